<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** A drawing and its truth. */
final readonly class BoothPicture
{
    /**
     * @param  string  $rgb  three bytes a pixel, row by row
     * @param  float  $scale  pixels a mm
     * @param  array{int, int, int}  $card  left, top and side of the uppermost of the card's three fields, pixels
     */
    public function __construct(
        public int $width,
        public int $height,
        public string $rgb,
        public float $scale,
        public BoothTruth $truth,
        public array $card,
    ) {
    }
}
