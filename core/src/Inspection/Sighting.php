<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

/** The size of a fault against what is noticed at the tier's distance. */
final readonly class Sighting
{
    /** From three times the size that is noticed on, a fault has its own severity; below, it is minor at most. */
    private const PLAIN = 3.0;

    public function __construct(public float $sizeMm, public float $noticedMm, public float $distanceCm)
    {
    }

    public function isNoticed(): bool
    {
        return $this->sizeMm >= $this->noticedMm;
    }

    public function isPlain(): bool
    {
        return $this->sizeMm >= self::PLAIN * $this->noticedMm;
    }
}
