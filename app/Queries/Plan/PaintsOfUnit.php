<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Unit;
use App\Studio\UnitPlans;
use Ordotype\Core\Planning\Unit\PaintNeed;
use Ordotype\Core\Planning\Unit\PaintNeeds;

/** How much of each paint a unit takes, and what the shelf has of it. */
final class PaintsOfUnit
{
    public function __construct(private readonly UnitPlans $plans)
    {
    }

    /** @return array{pieces: int, paints: list<array<string, mixed>>} */
    public function of(Unit $unit): array
    {
        $unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);

        return [
            'pieces' => $unit->standing()->count(),
            'paints' => array_map(self::need(...), PaintNeeds::of($this->plans->inForce($unit))),
        ];
    }

    /** @return array<string, mixed> */
    public static function need(PaintNeed $need): array
    {
        return [
            'paint' => $need->paint,
            'hex' => $need->colour?->hex(),
            'ml' => round($need->ml, 2),
            'drops' => $need->drops(),
            'left_ml' => $need->left,
            'short' => $need->runsShort(),
        ];
    }
}
