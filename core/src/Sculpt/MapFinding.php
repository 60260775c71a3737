<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** Something on a sculpt's map that is worth a look. Which of the details are there follows from the kind. */
final readonly class MapFinding
{
    /**
     * @param  list<Area>  $others  areas it is also about
     * @param  int|null  $ring  its place in the outline, from 1
     * @param  string|null  $view  front or back
     * @param  float|null  $figure  percent of the surface that is outlined, or millimetres apart
     */
    public function __construct(
        public MapOddity $kind,
        public ?Area $area = null,
        public array $others = [],
        public ?int $ring = null,
        public ?string $view = null,
        public ?float $figure = null,
    ) {
    }
}
