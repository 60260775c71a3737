<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\FaultKind;

/**
 * How far the colour of a fault is from the colour that it lies on, where both are known (model.md 7): what shows
 * through a miss is the undercoat; what strays comes from a neighbour, and of several the one that shows most counts.
 */
final class FaultContrast
{
    /** @return float|null ΔE00; null where a colour is not known */
    public static function of(FaultKind $fault, ?Area $area, PlanRequest $request): ?float
    {
        $ground = $area === null ? null : self::base($area, $request);
        if ($ground === null || $area === null) {
            return null;
        }
        $strange = match ($fault->key) {
            'bare_primer' => [self::colour($request->method->undercoatColour, $request)],
            'overspill' => self::neighbours($area, $request),
            default => [],
        };
        $differences = array_map(
            fn (Lab $colour) => $ground->deltaE00($colour),
            array_values(array_filter($strange, fn (?Lab $colour) => $colour !== null)),
        );

        return $differences === [] ? null : max($differences);
    }

    /** @return list<Lab|null> */
    private static function neighbours(Area $area, PlanRequest $request): array
    {
        $touching = array_filter(
            $request->sculpt->areas,
            fn (Area $other) => $other->key !== $area->key && $request->sculpt->touch($area->key, $other->key),
        );

        return array_map(fn (Area $other) => self::base($other, $request), array_values($touching));
    }

    private static function base(Area $area, PlanRequest $request): ?Lab
    {
        return self::colour($request->scheme?->for($area)?->base, $request);
    }

    private static function colour(string|Pot|null $entry, PlanRequest $request): ?Lab
    {
        return $entry === null ? null : $request->shelf->colourOf($entry)?->lab();
    }
}
