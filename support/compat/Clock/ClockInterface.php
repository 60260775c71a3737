<?php

// Stands in for symfony/clock, which Carbon names and the package index this project installs from does not carry.
// The folder goes, with its lines in composer.json, when the package is there.

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClockInterface;

interface ClockInterface extends PsrClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(DateTimeZone|string $timezone): static;
}
