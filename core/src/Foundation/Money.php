<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;

/** An exact amount: a decimal with two places, never a floating point number. */
final readonly class Money
{
    private function __construct(public int $cents)
    {
    }

    /** @throws InvalidArgumentException when it is not a decimal with at most two places */
    public static function of(string $decimal): self
    {
        if (preg_match('/^(\d{1,12})(?:\.(\d{1,2}))?$/D', $decimal, $m) !== 1) {
            throw new InvalidArgumentException("\"$decimal\" is not an amount of money such as 6 or 6.50.");
        }

        return new self(100 * (int) $m[1] + (int) str_pad($m[2] ?? '', 2, '0'));
    }

    public static function ofCents(int $cents): self
    {
        return $cents >= 0 ? new self($cents) : throw new InvalidArgumentException('An amount is never below nothing.');
    }

    public static function none(): self
    {
        return new self(0);
    }

    /** What so many minutes cost at a rate for the hour, rounded up to the cent. */
    public static function forMinutes(float $minutes, self $hourlyRate): self
    {
        return new self((int) ceil(($minutes * $hourlyRate->cents) / 60 - 1e-6));
    }

    /** What so many minutes come to at a rate for the hour, rounded half up to the cent. */
    public static function halfUp(float $minutes, self $hourlyRate): self
    {
        return new self((int) floor(($minutes * $hourlyRate->cents) / 60 + 0.5 + 1e-9));
    }

    public function plus(self $other): self
    {
        return new self($this->cents + $other->cents);
    }

    public function times(int $n): self
    {
        return new self($this->cents * $n);
    }

    public function isLessThan(self $other): bool
    {
        return $this->cents < $other->cents;
    }

    /** As the formats write it. */
    public function decimal(): string
    {
        return sprintf('%d.%02d', intdiv($this->cents, 100), $this->cents % 100);
    }
}
