<?php

declare(strict_types=1);

namespace App\Actions;

use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Outlook\RaisedWork;
use Ordotype\Core\Outlook\Raising;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\Conflict;
use App\Studio\Refusal;
use App\Studio\Standards;
use App\Studio\UnitPlans;
use Illuminate\Support\Facades\DB;

/**
 * Raises a unit that is on the bench, half-finished or finished, to a higher tier: what is there counts, the rest is
 * added.
 */
final class RaiseUnit
{
    private const CLOSED = ['signed', 'delivered'];

    private const AFTERWARDS = ['offered', 'rework', 'passed'];

    /** What it would take; `stands`: from what every piece has now, else from the finished plan. */
    public function work(Unit $unit, Tier $tier, bool $stands): RaisedWork
    {
        return $this->raising($unit, $tier, $stands)->work();
    }

    public function __invoke(Unit $unit, string $key, bool $stands, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $key, $stands, $revision): Unit {
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
            $closed = UnitPlans::pieces($unit)->whereIn('stage', self::CLOSED);
            if ($closed->isNotEmpty()) {
                throw new Refusal(
                    'Model '.
                        $closed->pluck('number')->implode(', ').
                        ' is signed off: withdraw the sign-off or take up a claim first.',
                    '',
                    409,
                );
            }
            $tier = $this->tier($unit, $key);
            $work = $this->work($unit, $tier, $stands);
            if ($work->conflicts() !== []) {
                throw new Refusal(
                    'It cannot be raised without an amendment: '.$work->conflicts()[0]->reason.'.',
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
            $this->cover($unit, $work);
            $unit = Unit::query()
                ->with(['order.version', 'order.scheme', 'sculpt', 'pieces'])
                ->findOrFail($unit->id);
            (new PlanUnit())->keep($unit, UnitPlans::unitPlan($unit));
            foreach ($unit->pieces()->whereIn('stage', self::AFTERWARDS)->get() as $piece) {
                $piece->update(['stage' => 'on_bench', 'revision' => $piece->revision + 1]);
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

    private function raising(Unit $unit, Tier $tier, bool $stands): Raising
    {
        $plan = UnitPlans::plan($unit);

        return new Raising(
            $plan->request->at($tier),
            $stands ? Raising::workSoFar($plan, self::onEveryPiece($unit)) : Raising::workOf($plan),
        );
    }

    /** @return list<string> keys of the steps that every piece has had */
    private static function onEveryPiece(Unit $unit): array
    {
        $common = null;
        foreach (UnitPlans::pieces($unit) as $piece) {
            $done = $piece->logs->whereNull('skipped')->pluck('step')->map(strval(...))->all();
            $common = $common === null ? $done : array_values(array_intersect($common, $done));
        }

        return $common ?? [];
    }

    /**
     * Work that is painted over, or is to be done anew at the end, is not taken for done any more: its log keeps its
     * minutes under another name.
     */
    private function cover(Unit $unit, RaisedWork $work): void
    {
        $lost = [];
        foreach ($work->areas as $raised) {
            foreach ($raised->lost as $used) {
                $lost[] = ($raised->demand->area->key ?? '*').":{$used->technique->key}:";
            }
        }
        foreach ($work->whole as $used) {
            $lost[] = "*:{$used->technique->key}:";
        }
        foreach ($unit->pieces as $piece) {
            foreach ($piece->logs as $log) {
                foreach ($lost as $start) {
                    if (str_starts_with($log->step, $start)) {
                        $log->update(['step' => "under:$piece->revision:$log->step"]);
                        break;
                    }
                }
            }
            $piece->update(['revision' => $piece->revision + 1]);
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
