<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use InvalidArgumentException;

final class LintCommand extends CoreCommand
{
    protected $signature = 'ordotype:lint
        {standard : file in ordotype/standard@1}
        {--figures=* : files in ordotype/sculpt@1 to plan the tiers on}
        {--rate= : what an hour at the bench costs, as 20.00}
        {--json : print the findings as JSON}';

    protected $description =
        'Check a standard: schema, references, and everything on the ladder that cannot '.'be meant so';

    protected function work(): int
    {
        $path = $this->argument('standard');
        $standard = $this->standard(is_string($path) ? $path : '');
        $rate = $this->file('rate');
        if ($rate !== null && preg_match('/^\d{1,6}(\.\d{1,2})?$/D', $rate) !== 1) {
            throw new InvalidArgumentException('--rate must be a decimal such as 20.00.');
        }
        $figures = array_values(array_filter((array) $this->option('figures'), is_string(...)));
        $findings = (new Lint($standard, array_map($this->sculpt(...), $figures), $rate))->findings();
        if ($this->option('json') === true) {
            $this->line(
                Json::encode(
                    array_map(
                        fn (Finding $f) => [
                            'kind' => $f->kind,
                            'tier' => $f->tier,
                            'clauses' => $f->clauses,
                            'why' => $f->why,
                            'change' => $f->change,
                        ],
                        $findings,
                    ),
                ),
            );
        } elseif ($findings === []) {
            $this->line(
                "$standard->name: ".
                    count($standard->tiers).
                    ' tiers, '.
                    count($standard->techniques).
                    ' techniques, nothing to complain about.',
            );
        } else {
            $this->table(
                ['Tier', 'Clauses', 'Why', 'What to change'],
                array_map(fn (Finding $f) => [$f->tier, implode(', ', $f->clauses), $f->why, $f->change], $findings),
            );
        }

        return $findings === [] ? self::SUCCESS : self::FAILURE;
    }
}
