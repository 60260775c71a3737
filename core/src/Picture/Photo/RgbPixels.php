<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

/** A picture as bytes, three a pixel, as the booth gives it. */
final readonly class RgbPixels implements Pixels
{
    public function __construct(private int $width, private int $height, private string $rgb)
    {
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    public function run(int $y, int $from, int $to): array
    {
        $out = [];
        $rgb = $this->rgb;
        $last = 3 * ($y * $this->width + $to);
        for ($i = 3 * ($y * $this->width + $from); $i <= $last; $i += 3) {
            $out[] = (ord($rgb[$i]) << 16) | (ord($rgb[$i + 1]) << 8) | ord($rgb[$i + 2]);
        }

        return $out;
    }
}
