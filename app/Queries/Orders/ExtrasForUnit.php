<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Studio;
use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\AmendmentLevel;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** What higher tiers do on a figure that its own does not: extras, each with its minutes and what they come to. */
final class ExtrasForUnit
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly Planner $planner,
    ) {
    }

    /** @return list<array<string, mixed>> the next tier first */
    public function of(Unit $unit): array
    {
        $now = $this->plans->plan($this->units->withPlan($unit));
        $own = $now->request->tier;
        $higher = array_values(
            array_filter(
                $now->request->standard->tiers,
                fn (Tier $t) => $t->order > $own->order && $t->status === TierStatus::Offered,
            ),
        );
        usort($higher, fn (Tier $a, Tier $b) => $a->order <=> $b->order);
        $rate = Money::of(Studio::row()->hourly_rate);
        $extras = [];
        foreach ($higher as $tier) {
            $plan = $this->planner->plan($now->request->at($tier)->amended([]));
            foreach ($plan->areas as $i => $planned) {
                foreach (self::added($now->areas[$i], $planned) as $used) {
                    $area = $planned->demand->area;
                    $id = "{$used->technique->key} $area?->key";
                    $extras[$id] ??= self::extra($used, $planned, $tier, $rate);
                }
            }
        }

        return array_values($extras);
    }

    /** @return list<ChosenTechnique> */
    private static function added(PlannedArea $now, PlannedArea $then): array
    {
        return array_values(
            array_filter(
                $then->choice->techniques ?? [],
                fn (ChosenTechnique $t) => $now->choice?->uses($t->technique->key) !== true,
            ),
        );
    }

    /** @return array<string, mixed> */
    private static function extra(ChosenTechnique $used, PlannedArea $planned, Tier $tier, Money $rate): array
    {
        $area = $planned->demand->area;

        return [
            'tier' => $tier->name,
            'area' => $area->name ?? '',
            'technique' => $used->technique->name,
            'words' => "{$used->technique->name} on the ".mb_strtolower($area->name ?? 'model'),
            'minutes' => round($used->minutes(), 1),
            'price' => Money::halfUp($used->minutes(), $rate)->decimal(),
            'amendment' => [
                'level' => AmendmentLevel::Unit->value,
                'do' => AmendmentAction::Add->value,
                'clause' => null,
                'technique' => $used->technique->key,
                'scope' => ['area' => [$area->key ?? '']],
                'values' => ['passes' => $used->passes, 'extent' => $used->extent->word()],
                'reason' => '',
                'price' => null,
                'on' => null,
            ],
        ];
    }
}
