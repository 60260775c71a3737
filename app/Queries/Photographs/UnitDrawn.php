<?php

declare(strict_types=1);

namespace App\Queries\Photographs;

use App\Models\Unit;
use App\Pictures\Drawings;
use App\Studio\UnitPlans;
use stdClass;

/** Where drawings of a unit's plan are to be had, finished or after some of its passes. */
final class UnitDrawn
{
    public function __construct(private readonly UnitPlans $plans, private readonly Drawings $drawings)
    {
    }

    /**
     * @param  int|null  $piece  its number; null: one that differs in nothing
     * @return array{passes: int, drawn: stdClass}
     */
    public function of(Unit $unit, ?int $piece, ?int $passes): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $whole = $this->plans->inForce($unit);
        $plan = $piece === null ? $whole->plain() : $whole->kindOf($piece)->plan;

        return [
            'passes' => count($plan->work->passes),
            'drawn' => (object) $this->drawings->views($plan, $passes, $piece ?? 1),
        ];
    }
}
