<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;

/** What of a step can be seen: which mark, how widely, in which colour. */
final readonly class Coat
{
    /**
     * @param  string|null  $area  key; null on the whole model
     * @param  bool  $isBase  whether it gives the area its base colour
     */
    public function __construct(
        public ?string $area,
        public Mark $mark,
        public Extent $extent,
        public ?Srgb $colour,
        public bool $isBase,
    ) {
    }

    /**
     * Every area in the colours of a scheme, without any plan: its base, its first shade in the deep places, its
     * lights one above the other.
     *
     * @return list<self>
     */
    public static function inScheme(Sculpt $sculpt, Scheme $scheme, Shelf $shelf): array
    {
        $coats = [new self(null, Mark::Undercoat, Extent::Full, null, false)];
        foreach ($sculpt->areas as $area) {
            $colours = $scheme->for($area);
            if ($colours === null) {
                continue;
            }
            $base = $area->isMetal() ? Mark::Metal : Mark::Cover;
            $coats[] = new self($area->key, $base, Extent::Full, $shelf->colourOf($colours->base), true);
            foreach (array_slice($colours->shades, 0, 1) as $shade) {
                $coats[] = new self($area->key, Mark::Wash, Extent::Full, $shelf->colourOf($shade), false);
            }
            foreach ($colours->lights as $light) {
                $coats[] = new self($area->key, Mark::Layer, Extent::Full, $shelf->colourOf($light), false);
            }
        }

        return $coats;
    }

    /**
     * @param  list<Step>  $steps
     * @return list<self> of those that can be seen, in their order
     */
    public static function all(array $steps): array
    {
        $coats = [];
        foreach ($steps as $step) {
            $mark = Mark::of($step->technique);
            if ($mark !== null) {
                $coats[] = new self(
                    $step->area?->key,
                    $mark,
                    $step->extent,
                    $step->colour?->colour,
                    $step->technique->has(Effect::BaseColour),
                );
            }
        }

        return $coats;
    }
}
