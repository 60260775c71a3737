<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/**
 * How carefully a tier is painted: its time factor and the cleanest grade it insists on (common practice, no source).
 */
enum Pace: string
{
    case Fast = 'fast';
    case Even = 'even';
    case Finest = 'finest';

    public function timeFactor(): float
    {
        return match ($this) {
            self::Fast => 1.0,
            self::Even => 1.5,
            self::Finest => 2.5,
        };
    }

    /** What each counted thing takes: they grow dearer more slowly than surfaces (common practice, no source). */
    public function countedFactor(): float
    {
        return match ($this) {
            self::Fast => 1.0,
            self::Even => 1.25,
            self::Finest => 1.5,
        };
    }

    /** Share of the final look's minutes (common practice, no source). */
    public function lookFactor(): float
    {
        return match ($this) {
            self::Fast => 0.4,
            self::Even => 0.7,
            self::Finest => 1.0,
        };
    }

    /** The lowest grade on the area, 1 rough to 5 show, that a technique may have at this pace. */
    public function gradeBar(): int
    {
        return match ($this) {
            self::Fast => 1,
            self::Even => 3,
            self::Finest => 4,
        };
    }
}
