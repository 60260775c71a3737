<?php

declare(strict_types=1);

namespace App\Console;

use App\Repositories\FlatPaintCatalogue;
use InvalidArgumentException;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Words\ClauseWords;
use Ordotype\Core\Words\LadderWords;

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
        $findings = (new Lint(
            $standard,
            array_map($this->sculpt(...), $figures),
            $rate === null ? null : Money::of($rate),
            $this->planner(),
            $this->laravel->make(FlatPaintCatalogue::class)->table(),
        ))->findings();
        $words = new LadderWords($standard);
        $clauses = new ClauseWords($standard);
        if ($this->option('json') === true) {
            $this->line(
                Json::encode(
                    array_map(
                        fn (Finding $f) => [
                            'kind' => $f->kind->value,
                            'tier' => $f->tier->key,
                            'clauses' => array_map(fn (Clause $c) => $c->id, $f->clauses),
                            'why' => $words->why($f),
                            'change' => $words->change($f),
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
                array_map(
                    fn (Finding $f) => [
                        $f->tier->name,
                        implode(', ', array_map($clauses->name(...), $f->clauses)),
                        $words->why($f),
                        $words->change($f),
                    ],
                    $findings,
                ),
            );
        }

        return $findings === [] ? self::SUCCESS : self::FAILURE;
    }
}
