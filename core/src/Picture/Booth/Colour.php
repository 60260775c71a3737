<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Colour\Srgb;

/** What a paint gives back, in linear light. */
final readonly class Colour
{
    public function __construct(public float $r, public float $g, public float $b)
    {
    }

    public static function of(Srgb $srgb): self
    {
        return new self(...$srgb->linear());
    }

    public static function hex(string $hex): self
    {
        return self::of(Srgb::fromHex($hex));
    }

    public function times(float $factor): self
    {
        return new self($this->r * $factor, $this->g * $factor, $this->b * $factor);
    }

    public function towards(self $other, float $share): self
    {
        return new self(
            $this->r + $share * ($other->r - $this->r),
            $this->g + $share * ($other->g - $this->g),
            $this->b + $share * ($other->b - $this->b),
        );
    }

    public function luminance(): float
    {
        return 0.2126 * $this->r + 0.7152 * $this->g + 0.0722 * $this->b;
    }

    /** Its hue as a filter: the brightest channel lets all through. */
    public function filter(): self
    {
        $most = max($this->r, $this->g, $this->b, 1e-6);

        return new self($this->r / $most, $this->g / $most, $this->b / $most);
    }
}
