<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** What is to be drawn. */
final readonly class BoothRequest
{
    /**
     * @param  list<Coat>  $done  what is done, in their order
     * @param  int  $width  pixels, 120 to 2000
     * @param  int  $seed  of the brush: another piece of the same sculpt has another
     * @param  list<PlantedFault>  $faults
     * @param  float  $stops  by which it is exposed too much or too little
     * @param  array{float, float, float}  $cast  of the light: what red, green and blue are multiplied with
     * @param  bool  $isPlain  without card and scale, for who only looks and does not measure
     */
    public function __construct(
        public Sculpt $sculpt,
        public array $done,
        public View $view = View::Front,
        public int $width = 1000,
        public int $seed = 1,
        public array $faults = [],
        public float $stops = 0.0,
        public array $cast = [1.0, 1.0, 1.0],
        public bool $isPlain = false,
    ) {
    }
}
