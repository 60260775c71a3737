<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Unit;
use App\Repositories\Units;
use App\Studio\UnitPlans;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Planning\Outlook\SprayComparison;
use Ordotype\Core\Planning\Outlook\SprayOrBrush;
use Ordotype\Core\Sculpt\Area;

/** Every colour of a unit that could be sprayed, with what spraying and brushing it would take. */
final class SprayShown
{
    public function __construct(
        private readonly Units $units,
        private readonly UnitPlans $plans,
        private readonly SprayComparison $comparison,
    ) {
    }

    /** @return array{pieces: int, colours: list<array<string, mixed>>} */
    public function of(Unit $unit): array
    {
        $request = $this->plans->plan($this->units->withPlan($unit))->request;

        return [
            'pieces' => $request->pieces,
            'colours' => array_map(
                fn (SprayOrBrush $c) => self::colour($c, $request->shelf),
                $this->comparison->of($request),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function colour(SprayOrBrush $colour, Shelf $shelf): array
    {
        return [
            'paint' => $colour->paint,
            'hex' => $colour->paint === null ? null : $shelf->colourOf($colour->paint)?->hex(),
            'areas' => array_map(fn (Area $a) => $a->name, $colour->areas),
            'masked' => array_map(fn (Area $a) => $a->name, $colour->masked),
            'sprayed' => $colour->isSprayed,
            'spray' => [
                'setup' => round($colour->spraySetup, 2),
                'hand' => round($colour->sprayHand, 2),
                'masking' => round($colour->masking, 2),
                'total' => round($colour->bySpray(), 2),
            ],
            'brush' => [
                'setup' => round($colour->brushSetup, 2),
                'hand' => round($colour->brushHand, 2),
                'total' => round($colour->byBrush(), 2),
            ],
        ];
    }
}
