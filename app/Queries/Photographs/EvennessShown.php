<?php

declare(strict_types=1);

namespace App\Queries\Photographs;

use App\Models\Piece;
use App\Models\Unit;
use App\Studio\UnitPhotographs;
use App\Studio\UnitPlans;
use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Picture\Photo\Drift;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Criterion;

/** How even a unit is: its models' colours against the test model, or else against the middle of the unit. */
final class EvennessShown
{
    /** Below this ΔE00 nobody sees a difference side by side (common practice, no source). */
    private const SAME = 2.0;

    public function __construct(private readonly UnitPlans $plans, private readonly UnitPhotographs $photographs)
    {
    }

    /** @return array<string, mixed> */
    public function of(Unit $unit): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $plan = $this->plans->inForce($unit)->plain();
        $test = $unit->pieces->firstWhere('id', $unit->test_piece_id);
        $limits = self::limits($plan);
        $models = [];
        foreach ([View::Front, View::Back] as $view) {
            $colours = $this->photographs->colours($unit, $view->value, $plan->request->sculpt);
            $from = $colours[$test->number ?? 0] ?? Drift::middle($colours);
            foreach (self::worst($colours, $from) as $number => $off) {
                $models[$number][$view->value] = $off;
            }
        }

        return [
            'test_model' => $test?->number,
            'models' => array_values(
                $unit->pieces
                    ->map(fn (Piece $p) => [
                        'number' => $p->number,
                        'stage' => $p->stage,
                        'off' => $this->off($models[$p->number] ?? [], $plan, $limits),
                    ])
                    ->all(),
            ),
        ];
    }

    /**
     * @param  array<int, array<string, Lab>>  $colours
     * @param  array<string, Lab>  $from
     * @return array<int, list<array{area: string, deltaE: float}>> by model, its worst area first
     */
    private static function worst(array $colours, array $from): array
    {
        $models = array_fill_keys(array_keys($colours), []);
        foreach (Drift::of($colours, $from) as $off) {
            $models[$off['model']][] = ['area' => $off['area'], 'deltaE' => $off['deltaE']];
        }

        return $models;
    }

    /**
     * @param  array<string, list<array{area: string, deltaE: float}>>  $views
     * @param  array<string, float>  $limits
     * @return list<array<string, mixed>>|null null: no photograph with a grey card
     */
    private function off(array $views, Plan $plan, array $limits): ?array
    {
        if ($views === []) {
            return null;
        }
        $all = [];
        foreach ($views as $view => $areas) {
            foreach ($areas as $off) {
                $limit = $limits[$off['area']] ?? null;
                $all[] = [
                    'area' => $off['area'],
                    'name' => $plan->request->sculpt->area($off['area'])->name,
                    'view' => $view,
                    'delta_e' => round($off['deltaE'], 1),
                    'limit' => $limit,
                    'is_met' => $limit === null || $off['deltaE'] <= $limit,
                    'is_same' => $off['deltaE'] <= self::SAME,
                ];
            }
        }
        usort($all, fn (array $a, array $b) => $b['delta_e'] <=> $a['delta_e']);

        return $all;
    }

    /** @return array<string, float> by area key: ΔE00 that the tier allows */
    private static function limits(Plan $plan): array
    {
        $limits = [];
        foreach ($plan->areas as $planned) {
            foreach ($planned->demand->of(FinishRequirement::class) as $r) {
                if ($r->criterion === Criterion::ColourDrift) {
                    $limits[(string) $r->area] = $r->limit;
                }
            }
        }

        return $limits;
    }
}
