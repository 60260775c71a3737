<?php

declare(strict_types=1);

namespace App\Console;

use InvalidArgumentException;
use Ordotype\Core\Inspection\Sampling;

final class SampleCommand extends CoreCommand
{
    protected $signature = 'ordotype:sample
        {--lot= : models that are offered together}
        {--level=II : general inspection level I, II or III}
        {--aql=4.0 : acceptable quality limit, percent}
        {--tightened : after two of five lots were refused}
        {--seed= : draws which of the models, numbered from 1}';

    protected $description = 'Which sampling plan a lot is checked by, and the chance that it accepts (MIL-STD-105E)';

    /** Shares of bad models for which the chance is told, percent. */
    private const SHARES = [1, 2, 5, 10, 20, 30];

    protected function work(): int
    {
        $lot = $this->wholeNumber('lot', 1, 1_000_000);
        $aql = $this->needed('aql');
        if (! is_numeric($aql)) {
            throw new InvalidArgumentException("--aql: \"$aql\" is no number.");
        }
        $plan = Sampling::plan($lot, $this->needed('level'), (float) $aql, $this->option('tightened') === true);
        if ($plan === null) {
            $this->line("Every one of the $lot is checked.");

            return self::SUCCESS;
        }
        $this->line("$plan->n of $lot are checked; accepted with at most $plan->accepts that fail.");
        if ($this->option('seed') !== null) {
            $drawn = Sampling::draw(range(1, $lot), $plan->n, $this->wholeNumber('seed', 0, PHP_INT_MAX));
            $this->line('Drawn: '.implode(', ', $drawn).'.');
        }
        $rows = [];
        foreach (self::SHARES as $share) {
            $bad = (int) round(($share * $lot) / 100);
            $accepted = 100 * Sampling::chance($lot, $plan->n, $plan->accepts, $bad);
            $rows[] = ["$share %", $bad, sprintf('%.1f %%', $accepted)];
        }
        $this->table(['Truly bad', 'Models', 'Accepted'], $rows);

        return self::SUCCESS;
    }
}
