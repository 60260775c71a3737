<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

use InvalidArgumentException;

/**
 * What a brush is dipped into: a paint of the shelf or a #rrggbb, or several in parts, with parts of medium to the
 * whole. Parts are reduced, so that equal mixes are equal. Medium makes it translucent; it is not a colour.
 */
final readonly class Pot
{
    /** @var array<string, int> parts by paint, in the order they were named */
    public array $parts;

    public int $medium;

    /**
     * @param  non-empty-array<string, int>  $parts  by paint, each 1 or more
     * @param  int  $medium  parts of medium, 0 or more
     *
     * @throws InvalidArgumentException when a part is less than one
     */
    public function __construct(array $parts, int $medium = 0)
    {
        $common = $medium;
        foreach ($parts as $part) {
            if ($part < 1 || $medium < 0) {
                throw new InvalidArgumentException('Parts of a mix are whole numbers from 1 on.');
            }
            $common = self::divisor($part, $common);
        }
        $this->parts = array_map(fn (int $part) => intdiv($part, $common), $parts);
        $this->medium = intdiv($medium, $common);
    }

    public static function of(string $paint): self
    {
        return new self([$paint => 1]);
    }

    /** As much of one as of the other. */
    public static function oneToOne(self $one, self $other): self
    {
        $parts = [];
        [$all, $allOther] = [array_sum($one->parts), array_sum($other->parts)];
        foreach ([[$one, $allOther], [$other, $all]] as [$pot, $times]) {
            foreach ($pot->parts as $paint => $part) {
                $parts[(string) $paint] = ($parts[(string) $paint] ?? 0) + $part * $times;
            }
        }
        assert($parts !== []);

        return new self($parts, $one->medium * $allOther + $other->medium * $all);
    }

    public function thinned(int $medium): self
    {
        assert($this->parts !== []);

        return new self($this->parts, $medium);
    }

    /** The one paint it is, as it comes; null where it is mixed or thinned with medium. */
    public function plain(): ?string
    {
        return count($this->parts) === 1 && $this->medium === 0 ? (string) array_key_first($this->parts) : null;
    }

    public function words(): string
    {
        $paints = implode(' + ', array_map(strval(...), array_keys($this->parts)));
        $ratio = count($this->parts) > 1 ? ' '.implode(':', $this->parts) : '';
        $medium = match (true) {
            $this->medium === 0 => '',
            count($this->parts) === 1 => " with medium {$this->parts[array_key_first($this->parts)]}:$this->medium",
            default => " with $this->medium of medium",
        };

        return $paints.$ratio.$medium;
    }

    private static function divisor(int $a, int $b): int
    {
        return $b === 0 ? $a : self::divisor($b, $a % $b);
    }
}
