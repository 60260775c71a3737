<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Piece;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Studio\ActivityLog;
use App\Studio\Conflict;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Choice\AreaSolver;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Outlook\RaisedWork;
use Ordotype\Core\Outlook\Raising;
use Ordotype\Core\Sequencing\StepKey;
use Ordotype\Core\Sequencing\StepPlace;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Words\PlanWords;

/**
 * Raises a unit that is on the bench, half-finished or finished, to a higher tier: what is there counts, the rest is
 * added.
 */
final class RaiseUnit
{
    public function __construct(
        private readonly KeepRelease $keep,
        private readonly Releases $releases,
        private readonly AreaSolver $solver,
    ) {
    }

    /** What it would take; `stands`: from what every piece has now, else from the finished plan. */
    public function work(Unit $unit, Tier $tier, bool $stands): RaisedWork
    {
        $plan = $this->releases->find($unit)?->plan->plain() ?? UnitPlans::plan($unit);
        $done = $stands ? Raising::workSoFar($plan, self::onEveryPiece($unit)) : Raising::workOf($plan);
        $request = UnitPlans::request($unit)->at($tier);

        return (new Raising($request, $done, $this->solver))->work();
    }

    public function __invoke(Unit $unit, string $key, bool $stands, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $key, $stands, $revision): Unit {
            $unit = $this->locked($unit, $revision);
            $tier = $this->tier($unit, $key);
            $work = $this->work($unit, $tier, $stands);
            if ($work->conflicts() !== []) {
                $words = new PlanWords(UnitPlans::request($unit)->at($tier));
                throw new Refusal(
                    'It cannot be raised without an amendment: '.$words->conflict($work->conflicts()[0]).'.',
                    '',
                    409,
                );
            }
            $before = ['tier' => $unit->tier];
            $edits = [];
            foreach ($work->areas as $raised) {
                $edits[$raised->demand->area->key ?? ''] = self::merged([...$raised->kept, ...$raised->added]);
            }
            $unit->update([
                'tier' => $tier->key,
                'edits' => $edits,
                'arrangement' => array_diff_key($unit->arrangement ?? [], ['sequence' => true]) ?: null,
            ]);
            $unit->pieces()->update(['edits' => null]);
            $this->cover($unit, $work, $this->releases->nextNumber($unit));
            $unit = Unit::query()
                ->with(['order.version', 'order.scheme', 'sculpt', 'pieces'])
                ->findOrFail($unit->id);
            ($this->keep)($unit, UnitPlans::unitPlan($unit));
            foreach ($unit->pieces()->get() as $piece) {
                $stage = Stage::from($piece->stage)->afterAddedWork();
                $piece->update(['stage' => $stage->value, 'revision' => $piece->revision + 1]);
            }
            $unit->update(['revision' => $unit->revision + 1]);
            ActivityLog::write('unit.raised', $unit, $before, [
                'tier' => $tier->key,
                'minutes' => round($work->minutes(), 2),
                'from' => $stands ? 'as it stands' : 'finished',
            ]);

            return $unit->refresh();
        });
    }

    public function tier(Unit $unit, string $key): Tier
    {
        $standard = Standards::core($unit->order->version);
        if (! $standard->hasTier($key) || $standard->tier($key)->status === TierStatus::Retired) {
            throw new Refusal("There is no tier \"$key\" to raise it to.", '/tier');
        }
        if ($standard->tier($key)->order <= $standard->tier($unit->tier)->order) {
            throw new Refusal(
                "{$standard->tier($key)->name} is not higher than {$standard->tier($unit->tier)->name}.",
                '/tier',
            );
        }

        return $standard->tier($key);
    }

    private function locked(Unit $unit, int $revision): Unit
    {
        $unit = Unit::query()
            ->with(['order.version', 'order.scheme', 'sculpt', 'pieces.logs'])
            ->lockForUpdate()
            ->findOrFail($unit->id);
        if ($unit->revision !== $revision) {
            throw new Conflict('Somebody else has changed this unit in the meantime.', [
                'revision' => $unit->revision,
                'edits' => $unit->edits,
            ]);
        }
        if ($unit->released_at === null) {
            throw new Refusal('This unit is not on the bench yet: move it to the tier instead.', '', 409);
        }
        $closed = UnitPlans::pieces($unit)->filter(fn (Piece $p) => Stage::from($p->stage)->isClosed());
        if ($closed->isNotEmpty()) {
            $numbers = $closed->pluck('number')->implode(', ');
            throw new Refusal(
                "Model $numbers is signed off: withdraw the sign-off or take up a claim first.",
                '',
                409,
            );
        }

        return $unit;
    }

    /** @return list<StepKey> the steps that every piece has had and that stand */
    private static function onEveryPiece(Unit $unit): array
    {
        $common = null;
        foreach (UnitPlans::pieces($unit) as $piece) {
            $done = $piece->logs
                ->whereNull('skipped')
                ->whereNull('covered_by')
                ->pluck('step')
                ->map(strval(...))
                ->all();
            $common = $common === null ? $done : array_values(array_intersect($common, $done));
        }

        return array_map(StepKey::kept(...), array_values($common ?? []));
    }

    /**
     * Work that is painted over, or is to be done anew at the end, is not taken for done any more; it stays in the
     * log.
     */
    private function cover(Unit $unit, RaisedWork $work, int $release): void
    {
        $covered = [];
        foreach ($work->areas as $raised) {
            foreach ($raised->lost as $used) {
                $covered[StepPlace::of($raised->demand->area?->key, $used->technique->key)->id] = true;
            }
        }
        foreach ($work->whole as $used) {
            $covered[StepPlace::of(null, $used->technique->key)->id] = true;
        }
        foreach ($unit->pieces as $piece) {
            foreach ($piece->logs->whereNull('covered_by') as $log) {
                if (isset($covered[StepPlace::of($log->area, $log->technique)->id])) {
                    $log->update(['covered_by' => $release]);
                }
            }
        }
    }

    /**
     * @param  list<ChosenTechnique>  $list
     * @return list<array{technique: string, passes: int, extent: string}> each technique once, as widely as it is used
     */
    private static function merged(array $list): array
    {
        $merged = [];
        foreach ($list as $used) {
            $before = $merged[$used->index] ?? null;
            $merged[$used->index] = [
                'technique' => $used->technique->key,
                'passes' => ($before['passes'] ?? 0) + $used->passes,
                'extent' => $before !== null &&
                    \Ordotype\Core\Standard\Extent::named($before['extent'])?->value > $used->extent->value
                        ? $before['extent']
                        : $used->extent->word(),
            ];
        }
        ksort($merged);

        return array_values($merged);
    }
}
