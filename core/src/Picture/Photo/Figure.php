<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** A figure from a photograph, or why there is none. */
final readonly class Figure
{
    private function __construct(public ?float $value, public int $pixels, public ?Unmeasured $why)
    {
    }

    /** @param  int  $pixels  that it was taken from */
    public static function of(float $value, int $pixels): self
    {
        return new self($value, $pixels, null);
    }

    public static function none(Unmeasured $why, int $pixels = 0): self
    {
        return new self(null, $pixels, $why);
    }
}
