<?php

declare(strict_types=1);

namespace App\Queries\Orders;

use App\Models\Role;
use App\Models\Studio;
use App\Models\User;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Repositories\Standards;
use App\Studio\UnitCosts;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\UnitPrice;

/** What one model of a figure costs at each offered tier, beside what it is sold for. */
final class CostsOfFigure
{
    public function __construct(
        private readonly Standards $standards,
        private readonly Figures $figures,
        private readonly Colours $colours,
        private readonly UnitCosts $costs,
        private readonly Planner $planner,
    ) {
    }

    /** @return array{currency: string, data: list<array<string, mixed>>} the lowest tier first */
    public function of(string $slug, User $user): array
    {
        $standard = $this->standards->core($this->standards->current());
        $sculpt = $this->figures->named($slug);
        $tiers = array_filter($standard->tiers, fn (Tier $t) => $t->status === TierStatus::Offered);
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);
        $mark = PerCent::of(Studio::row()->mark_up);
        [$scheme, $shelf] = [$this->colours->usual(), $this->colours->shelf()];
        $rows = [];
        foreach ($tiers as $tier) {
            $range = self::range($standard, fn (PriceRange $r) => $r->isFor($tier, $sculpt));
            $price = UnitPrice::of($range, null, null);
            $cost = $this->costs->ofPlan(
                $this->planner->plan(new PlanRequest($standard, $tier, $sculpt, $scheme, shelf: $shelf)),
            );
            $isSeen = $user->role === Role::Lead;
            $rows[] = [
                'tier' => $tier->key,
                'tier_name' => $tier->name,
                'price' => $price?->price->decimal(),
                'ceiling' => $price?->ceiling->decimal(),
                'cost' => $isSeen ? $cost->cost->decimal() : null,
                'marked_up' => $isSeen ? $cost->markedUp($mark)->decimal() : null,
                'below_cost' => $price !== null && $price->price->isLessThan($cost->cost),
            ];
        }

        return ['currency' => $standard->currency, 'data' => $rows];
    }

    /** @param  callable(PriceRange): bool  $is */
    private static function range(Standard $standard, callable $is): ?PriceRange
    {
        foreach ($standard->prices as $range) {
            if ($is($range)) {
                return $range;
            }
        }

        return null;
    }
}
