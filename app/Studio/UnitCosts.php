<?php

declare(strict_types=1);

namespace App\Studio;

use App\Models\Paint;
use App\Models\Studio;
use App\Models\Unit;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Foundation\PerCent;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Unit\PaintNeed;
use Ordotype\Core\Planning\Unit\PaintNeeds;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Studio\PieceCost;

/** What a piece costs the studio by its plan: for the lead's eyes. */
final class UnitCosts
{
    /** @var array<string, float>|null cents of a millilitre, by paint */
    private ?array $perMl = null;

    public function __construct(private readonly UnitPlans $plans)
    {
    }

    public function of(Unit $unit): PieceCost
    {
        return $this->ofUnitPlan($this->plans->inForce($unit));
    }

    public function ofUnitPlan(UnitPlan $plan): PieceCost
    {
        $pieces = array_sum(array_map(fn (PieceKind $k) => count($k->pieces), $plan->kinds));

        return $this->cost($plan->minutes() + $plan->setupMinutes(), max(1, $pieces), PaintNeeds::of($plan));
    }

    /** Whether a piece is sold for less than it costs, as far as anybody priced it. */
    public function isBelow(?Money $price, UnitPlan|Plan $plan): bool
    {
        $cost = $plan instanceof Plan ? $this->ofPlan($plan) : $this->ofUnitPlan($plan);

        return $price !== null && $price->isLessThan($cost->cost);
    }

    /** Of pieces that differ in nothing. */
    public function ofPlan(Plan $plan): PieceCost
    {
        $pieces = max(1, $plan->request->pieces);
        $minutes = $pieces * $plan->minutesByPasses() + $plan->setupMinutes();

        return $this->cost($minutes, $pieces, PaintNeeds::ofPlans([[$plan, $pieces]]));
    }

    /** @param  list<PaintNeed>  $paints  for all of them */
    private function cost(float $minutes, int $pieces, array $paints): PieceCost
    {
        $studio = Studio::row();
        $cents = array_sum(
            array_map(fn (PaintNeed $n) => $n->ml * ($this->perMl()[(string) $n->paint] ?? 0.0), $paints),
        );

        return new PieceCost(
            $minutes / $pieces,
            Money::of($studio->hourly_rate),
            Money::ofCents((int) round($cents / $pieces)),
            PerCent::of($studio->overhead),
        );
    }

    /** @return array<string, float> */
    private function perMl(): array
    {
        if ($this->perMl === null) {
            $this->perMl = [];
            foreach (Paint::query()->whereNotNull('price')->get(['name', 'price', 'pot_ml']) as $paint) {
                $this->perMl[$paint->name] = (100 * (float) $paint->price) / max(0.01, (float) $paint->pot_ml);
            }
        }

        return $this->perMl;
    }
}
