<?php

declare(strict_types=1);

namespace App\Pictures;

use GdImage;
use InvalidArgumentException;
use Ordotype\Core\Picture\Photo\Pixels;

/** A photograph, decoded by GD. */
final readonly class GdPixels implements Pixels
{
    /** Pixels that are decoded at most: 40 megapixels take 160 MB. */
    private const MOST = 40_000_000;

    private function __construct(private GdImage $image)
    {
    }

    /** @throws InvalidArgumentException naming what is wrong with the file */
    public static function of(string $file): self
    {
        $bytes = is_file($file) ? file_get_contents($file) : false;

        return self::ofBytes($bytes === false ? '' : $bytes, $file);
    }

    /** @throws InvalidArgumentException naming what is wrong with it */
    public static function ofBytes(string $bytes, string $name = 'The photograph'): self
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_PNG, IMAGETYPE_JPEG, IMAGETYPE_WEBP], true)) {
            throw new InvalidArgumentException("$name is not a PNG, JPEG or WebP picture.");
        }
        if ($size[0] * $size[1] > self::MOST) {
            throw new InvalidArgumentException("$name has $size[0] × $size[1] pixels; 40 million are the most.");
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new InvalidArgumentException("$name is damaged: it cannot be decoded.");
        }
        if (! imageistruecolor($image)) {
            imagepalettetotruecolor($image);
        }

        return new self($image);
    }

    public function width(): int
    {
        return imagesx($this->image);
    }

    public function height(): int
    {
        return imagesy($this->image);
    }

    public function run(int $y, int $from, int $to): array
    {
        $out = [];
        $image = $this->image;
        for ($x = $from; $x <= $to; $x++) {
            $out[] = (int) imagecolorat($image, $x, $y) & 0xFFFFFF;
        }

        return $out;
    }
}
