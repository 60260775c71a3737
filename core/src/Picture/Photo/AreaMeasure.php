<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Sculpt\Area;

/** What a photograph says of one area. */
final readonly class AreaMeasure
{
    /**
     * @param  Figure  $contrast  L* from the 5th to the 95th percentile
     * @param  Figure  $stark  1 − valley ÷ lower peak of the starkest step between tones, 0 to 1
     * @param  Figure  $fromAbove  rank correlation of lightness with height, −1 to 1
     * @param  Figure  $bare  share of the area in its largest bare spot
     * @param  Figure  $lineWidth  mm, the median along edges
     * @param  Lab|null  $colour  the median
     * @param  list<float>|null  $tones  L* of each, the darkest first
     */
    public function __construct(
        public Area $area,
        public int $pixels,
        public ?Unmeasured $why,
        public Figure $contrast,
        public Figure $stark,
        public Figure $fromAbove,
        public Figure $bare,
        public Figure $lineWidth,
        public ?Lab $colour,
        public ?array $tones,
    ) {
    }
}
