<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** A part of a picture that is shown larger, in fractions of the frame. */
final readonly class Crop
{
    /** @param  string  $area  name of what it shows */
    public function __construct(
        public string $area,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
    ) {
    }

    /** How much of the smaller of two both show, 0 to 1. */
    public function shared(self $other): float
    {
        $wide = min($this->left + $this->width, $other->left + $other->width) - max($this->left, $other->left);
        $high = min($this->top + $this->height, $other->top + $other->height) - max($this->top, $other->top);
        $least = min($this->width * $this->height, $other->width * $other->height);

        return $wide <= 0 || $high <= 0 || $least <= 0.0 ? 0.0 : ($wide * $high) / $least;
    }
}
