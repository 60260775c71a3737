<?php

declare(strict_types=1);

namespace App\Queries\Figures;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Sculpt;

/** The areas of a figure with their outlines and the colour each is shown in. */
final class FigureShown
{
    /** @return list<array<string, mixed>> */
    public static function of(Sculpt $sculpt, ?Scheme $scheme, Shelf $shelf): array
    {
        return array_map(
            function (Area $area, int $i) use ($scheme, $shelf): array {
                $base = $scheme?->for($area)?->base;

                return [
                    'key' => $area->key,
                    'no' => $i + 1,
                    'name' => $area->name,
                    'material' => $area->material->value,
                    'relief' => array_map(fn (Relief $r) => $r->value, $area->relief),
                    'rank' => $area->rank->value,
                    'slot' => $area->slot,
                    'focus' => $area->focus,
                    'layer' => $area->layer,
                    'outline' => (object) $area->outline,
                    'paint' => $base?->words(),
                    'colour' => $base === null ? null : $shelf->colourOf($base)?->hex(),
                ];
            },
            $sculpt->areas,
            array_keys($sculpt->areas),
        );
    }
}
