<?php

declare(strict_types=1);

namespace App\Console;

use InvalidArgumentException;
use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;

final class DeltaECommand extends CoreCommand
{
    protected $signature = 'ordotype:delta-e
        {one : a colour as #rrggbb, or as L,a,b}
        {other : the other}';

    protected $description = 'How far two colours are apart: CIEDE2000, D65';

    protected function work(): int
    {
        $apart = $this->lab('one')->deltaE00($this->lab('other'));
        $this->line(sprintf('%.4f', $apart));

        return self::SUCCESS;
    }

    private function lab(string $argument): Lab
    {
        $given = $this->argument($argument);
        $given = is_string($given) ? trim($given) : '';
        if (Srgb::isHex($given)) {
            return Srgb::fromHex($given)->lab();
        }
        $numbers = explode(',', $given);
        if (count($numbers) !== 3 || array_filter($numbers, fn (string $n) => ! is_numeric(trim($n))) !== []) {
            throw new InvalidArgumentException("\"$given\" is no colour: write #rrggbb, or L,a,b in numbers.");
        }

        return new Lab((float) $numbers[0], (float) $numbers[1], (float) $numbers[2]);
    }
}
