<?php

declare(strict_types=1);

namespace Ordotype\Core\Booth;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Sequencing\Step;
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
