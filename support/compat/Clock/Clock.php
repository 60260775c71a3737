<?php

// Stands in for symfony/clock; see ClockInterface.php in this folder.

declare(strict_types=1);

namespace Symfony\Component\Clock;

use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface as PsrClockInterface;

final class Clock implements ClockInterface
{
    private static ?PsrClockInterface $shared = null;

    public function __construct(private readonly ?PsrClockInterface $clock = null, private readonly ?DateTimeZone $timezone = null)
    {
    }

    public static function get(): ClockInterface
    {
        $shared = self::$shared ??= new NativeClock;

        return $shared instanceof ClockInterface ? $shared : new self($shared);
    }

    public static function set(PsrClockInterface $clock): void
    {
        self::$shared = $clock;
    }

    public function now(): DateTimeImmutable
    {
        $now = ($this->clock ?? self::get())->now();

        return $this->timezone === null ? $now : $now->setTimezone($this->timezone);
    }

    public function sleep(float|int $seconds): void
    {
        $clock = $this->clock ?? self::get();
        $clock instanceof ClockInterface ? $clock->sleep($seconds) : (new NativeClock)->sleep($seconds);
    }

    public function withTimeZone(DateTimeZone|string $timezone): static
    {
        return new self($this->clock, is_string($timezone) ? new DateTimeZone($timezone) : $timezone);
    }
}
