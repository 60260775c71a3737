<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A picture has a largest number of pixels. */
final class TooManyPixels extends Refusal
{
    public function __construct(
        public readonly int $width,
        public readonly int $height,
        public readonly int $millions,
    ) {
        parent::__construct(
            "The picture has $width × $height pixels; at most $millions million are taken.",
            '/picture',
        );
    }
}
