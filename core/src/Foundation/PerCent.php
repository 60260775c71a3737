<?php

declare(strict_types=1);

namespace Ordotype\Core\Foundation;

use InvalidArgumentException;

/** An exact share in per cent, with up to three places, never a floating point number. */
final readonly class PerCent
{
    private function __construct(public int $thousandths)
    {
    }

    /** @throws InvalidArgumentException when it is not a decimal with at most three places, 0 to 1000 */
    public static function of(string $decimal): self
    {
        if (preg_match('/^(\d{1,4})(?:\.(\d{1,3}))?$/D', $decimal, $m) !== 1) {
            throw new InvalidArgumentException("\"$decimal\" is not a per cent such as 19 or 7.7.");
        }
        $thousandths = 1000 * (int) $m[1] + (int) str_pad($m[2] ?? '', 3, '0');

        return $thousandths <= 1_000_000
            ? new self($thousandths)
            : throw new InvalidArgumentException("\"$decimal\" is more than a thousand per cent.");
    }

    /** As the formats write it: without zeros that say nothing. */
    public function decimal(): string
    {
        $places = rtrim(sprintf('%03d', $this->thousandths % 1000), '0');

        return intdiv($this->thousandths, 1000).($places === '' ? '' : ".$places");
    }
}
