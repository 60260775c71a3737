<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\BenchRefused;
use App\Models\StepLog;
use App\Models\Unit;
use App\Studio\ActivityLog;
use App\Studio\UnitPlans;
use App\Studio\UnitRaising;
use Illuminate\Support\Facades\DB;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Outlook\RaisedWork;
use Ordotype\Core\Planning\Sequencing\StepPlace;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Words\PlanWords;

/**
 * Raises a unit that is on the bench, half-finished or finished, to a higher tier: what is there counts, the rest is
 * added.
 */
final class RaiseUnit
{
    public function __construct(
        private readonly NextRelease $next,
        private readonly UnitRaising $raising,
        private readonly UnitPlans $plans,
        private readonly ActivityLog $log,
    ) {
    }

    public function __invoke(Unit $unit, string $key, bool $stands, int $revision): Unit
    {
        return DB::transaction(function () use ($unit, $key, $stands, $revision): Unit {
            $unit = $this->onBench($unit, $revision);
            $tier = $this->raising->tier($unit, $key);
            $work = $this->raising->work($unit, $tier, $stands);
            if ($work->conflicts() !== []) {
                $words = new PlanWords($this->plans->request($unit)->at($tier));
                throw BenchRefused::raisingInConflict($words->conflict($work->conflicts()[0]));
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

    private function onBench(Unit $unit, int $revision): Unit
    {
        $unit = $this->next->locked($unit, $revision) ?? throw BenchRefused::moveInsteadOfRaising($unit);
        NextRelease::noneSigned($unit->standing());

        return $unit;
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
