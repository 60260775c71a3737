<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** How much of an area a technique covers: none < spot < prominent < full. */
enum Extent: int
{
    case None = 0;
    case Spot = 1;
    case Prominent = 2;
    case Full = 3;

    public static function named(string $word): ?self
    {
        foreach (self::cases() as $case) {
            if ($case->word() === $word) {
                return $case;
            }
        }

        return null;
    }

    public function word(): string
    {
        return match ($this) {
            self::None => 'none',
            self::Spot => 'spot',
            self::Prominent => 'prominent',
            self::Full => 'full',
        };
    }

    /** So many extents less, never less than a spot. */
    public function narrower(int $by): self
    {
        return self::from(max(self::Spot->value, $this->value - $by));
    }

    /** Share of the full hand time that work at this extent takes (common practice, no source). */
    public function timeFactor(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::Spot => 0.15,
            self::Prominent => 0.45,
            self::Full => 1.0,
        };
    }
}
