<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\MoveInsteadOfRaising;
use App\Exceptions\NoSuchTier;
use App\Exceptions\RaisingInConflict;
use App\Exceptions\TierNotHigher;
use App\Models\StepLog;
use App\Models\Unit;
use App\Repositories\Releases;
use App\Repositories\Standards;
use App\Studio\ActivityLog;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Planning\Choice\AreaSolver;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Outlook\RaisedWork;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Sequencing\StepPlace;
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
        private readonly NextRelease $next,
        private readonly Releases $releases,
        private readonly AreaSolver $solver,
        private readonly UnitPlans $plans,
        private readonly ActivityLog $log,
        private readonly Standards $standards,
    ) {
    }

    /** What it would take; `stands`: from what every piece has now, else from the finished plan. */
    public function work(Unit $unit, Tier $tier, bool $stands): RaisedWork
    {
        $plan = $this->releases->find($unit)?->plan->plain() ?? $this->plans->plan($unit);
        $done = $stands ? Raising::workSoFar($plan, self::onEveryPiece($unit)) : Raising::workOf($plan);
        $request = $this->plans->request($unit)->at($tier);

        return (new Raising($request, $done, $this->solver))->work();
    }

    public function __invoke(Unit $unit, string $key, bool $stands, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $key, $stands, $revision): Unit {
            $unit = $this->onBench($unit, $revision);
            $tier = $this->tier($unit, $key);
            $work = $this->work($unit, $tier, $stands);
            if ($work->conflicts() !== []) {
                $words = new PlanWords($this->plans->request($unit)->at($tier));
                throw new RaisingInConflict($words->conflict($work->conflicts()[0]));
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
            $covered = self::covered($work);
            $unit = $this->next->keep(
                $unit,
                fn (StepLog $log) => isset($covered[StepPlace::of($log->area, $log->technique)->id]),
            );
            $this->log->write('unit.raised', $unit, $before, [
                'tier' => $tier->key,
                'minutes' => round($work->minutes(), 2),
                'from' => $stands ? 'as it stands' : 'finished',
            ]);

            return $unit->refresh();
        });
    }

    public function tier(Unit $unit, string $key): Tier
    {
        $standard = $this->standards->core($unit->order->version);
        if (! $standard->hasTier($key) || $standard->tier($key)->status === TierStatus::Retired) {
            throw new NoSuchTier($key, '/tier');
        }
        if ($standard->tier($key)->order <= $standard->tier($unit->tier)->order) {
            throw new TierNotHigher($standard->tier($key), $standard->tier($unit->tier));
        }

        return $standard->tier($key);
    }

    private function onBench(Unit $unit, int $revision): Unit
    {
        $unit = $this->next->locked($unit, $revision) ?? throw new MoveInsteadOfRaising($unit);
        NextRelease::noneSigned($unit->standing());

        return $unit;
    }

    /** @return list<StepKey> the steps that every piece has had and that stand */
    private static function onEveryPiece(Unit $unit): array
    {
        $common = null;
        foreach ($unit->standing() as $piece) {
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

    /** @return array<string, true> by place: work that is painted over, or is to be done anew at the end */
    private static function covered(RaisedWork $work): array
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

        return $covered;
    }

    /**
     * @param  list<ChosenTechnique>  $list
     * @return list<array{technique: string, passes: int, extent: string}> each technique once, as widely as it is
     * used
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
