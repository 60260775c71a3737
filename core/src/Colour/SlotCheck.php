<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;

/** The colours of one slot of an army, where they go, and how its shades and lights step in L*. */
final readonly class SlotCheck
{
    /** L* a light must rise by to be seen on the table, and a shade must fall by (house defaults). */
    private const LIGHT_SEEN = 4.0;

    private const SHADE_SEEN = 6.0;

    /**
     * @param  list<array{Sculpt, Area}>  $places
     * @param  list<float|null>  $steps  L* of the shades, the base and the lights against the one before: shades
     *     against the base, lights against what they go over; null where a colour is not known
     * @param  list<SlotProblem>  $problems
     */
    private function __construct(
        public string $slot,
        public ?AreaColours $colours,
        public array $places,
        public array $steps,
        public array $problems,
    ) {
    }

    /**
     * Every slot that the scheme colours or that some figure has, in the order of the scheme, then of the figures.
     *
     * @param  list<Sculpt>  $sculpts
     * @return list<self>
     */
    public static function all(Scheme $scheme, array $sculpts, Shelf $shelf): array
    {
        $places = array_map(fn () => [], $scheme->slots);
        foreach ($sculpts as $sculpt) {
            foreach ($sculpt->areas as $area) {
                if ($area->slot !== null && ! isset($scheme->areas[$area->key])) {
                    $places[$area->slot][] = [$sculpt, $area];
                }
            }
        }

        return array_map(
            fn (string $slot) => self::of($slot, $scheme->slots[$slot] ?? null, $places[$slot], $shelf),
            array_map(strval(...), array_keys($places)),
        );
    }

    /** L* that a light must rise by, or a shade fall by, to be seen on the table. */
    public static function seen(bool $light): float
    {
        return $light ? self::LIGHT_SEEN : self::SHADE_SEEN;
    }

    /** @param  list<array{Sculpt, Area}>  $places */
    private static function of(string $slot, ?AreaColours $colours, array $places, Shelf $shelf): self
    {
        if ($colours === null) {
            return new self($slot, null, $places, [], [new SlotProblem(SlotProblemKind::NoColours)]);
        }
        $l = fn (Pot $paint): ?float => $shelf->colourOf($paint)?->lab()->l;
        $base = $l($colours->base);
        $steps = $problems = [];
        foreach (
            [
                $colours->base,
                ...$colours->shades,
                ...$colours->lights,
                $colours->tint,
                $colours->line,
                $colours->patch,
            ] as $paint
        ) {
            if ($paint !== null && $shelf->colourOf($paint) === null) {
                $problems[] = new SlotProblem(SlotProblemKind::NotOnShelf, $paint->words());
            }
        }
        foreach ($colours->shades as $shade) {
            $fall = $base === null || $l($shade) === null ? null : $l($shade) - $base;
            $steps[] = $fall;
            if ($fall !== null && $fall > -self::SHADE_SEEN) {
                $beside = $colours->base->words();
                $problems[] = new SlotProblem(SlotProblemKind::ShadeHardlyDarker, $shade->words(), $beside);
            }
        }
        [$before, $from] = [$colours->base, $base];
        foreach ($colours->lights as $light) {
            $rise = $from === null || $l($light) === null ? null : $l($light) - $from;
            $steps[] = $rise;
            if ($rise !== null && $rise <= 0) {
                $problems[] = new SlotProblem(SlotProblemKind::LightNotLighter, $light->words(), $before->words());
            } elseif ($rise !== null && $rise < self::LIGHT_SEEN) {
                $problems[] = new SlotProblem(SlotProblemKind::LightHardlyLighter, $light->words(), $before->words());
            }
            [$before, $from] = [$light, $l($light)];
        }

        return new self($slot, $colours, $places, $steps, array_values(array_unique($problems, SORT_REGULAR)));
    }
}
