<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;

/**
 * An exact amount: a decimal with two places, above or below nothing, never a floating point number. What is rounded is
 * rounded half up by its size: a discount of 0.125 is one of 0.13.
 */
final readonly class Money
{
    /** Thousandths of a per cent in the whole. */
    private const WHOLE = 100_000;

    private function __construct(public int $cents)
    {
    }

    /** @throws InvalidArgumentException when it is not a decimal with at most two places */
    public static function of(string $decimal): self
    {
        if (preg_match('/^(-?)(\d{1,12})(?:\.(\d{1,2}))?$/D', $decimal, $m) !== 1) {
            throw new InvalidArgumentException("\"$decimal\" is not an amount of money such as 6 or 6.50.");
        }
        $cents = 100 * (int) $m[2] + (int) str_pad($m[3] ?? '', 2, '0');

        return new self($m[1] === '-' ? -$cents : $cents);
    }

    public static function ofOrNull(?string $decimal): ?self
    {
        return $decimal === null ? null : self::of($decimal);
    }

    public static function ofCents(int $cents): self
    {
        return new self($cents);
    }

    public static function none(): self
    {
        return new self(0);
    }

    /** @param  iterable<self>  $amounts */
    public static function sum(iterable $amounts): self
    {
        $cents = 0;
        foreach ($amounts as $amount) {
            $cents += $amount->cents;
        }

        return new self($cents);
    }

    /** Half way between two, half up. */
    public static function middle(self $low, self $high): self
    {
        return new self(self::quotient($low->cents + $high->cents, 2));
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

    public function minus(self $other): self
    {
        return new self($this->cents - $other->cents);
    }

    public function times(int $n): self
    {
        return new self($this->cents * $n);
    }

    /** A share of it. */
    public function share(PerCent $of): self
    {
        return new self($this->proportion($of->thousandths, self::WHOLE));
    }

    /** What of it is a tax that it holds already: at 19 per cent, 19 of 119. */
    public function contained(PerCent $tax): self
    {
        return new self($this->proportion($tax->thousandths, self::WHOLE + $tax->thousandths));
    }

    public function isLessThan(self $other): bool
    {
        return $this->cents < $other->cents;
    }

    /** As the formats write it. */
    public function decimal(): string
    {
        $size = abs($this->cents);

        return ($this->cents < 0 ? '-' : '').sprintf('%d.%02d', intdiv($size, 100), $size % 100);
    }

    /** Times one number through another: the whole parts first, so that no product leaves the integers. */
    private function proportion(int $times, int $through): int
    {
        [$whole, $rest] = [intdiv($this->cents, $through), $this->cents % $through];

        return $whole * $times + self::quotient($rest * $times, $through);
    }

    private static function quotient(int $n, int $through): int
    {
        $size = intdiv(2 * abs($n) + $through, 2 * $through);

        return $n < 0 ? -$size : $size;
    }
}
