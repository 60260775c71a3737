<?php

declare(strict_types=1);

namespace App\Console;

use Ordotype\Core\Format\Json;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;

final class LintCommand extends CoreCommand
{
    protected $signature = 'ordotype:lint
        {standard : file in ordotype/standard@1}
        {--json : print the findings as JSON}';

    protected $description = 'Check a standard: schema, references, floors above ceilings, clauses that can match nothing';

    protected function work(): int
    {
        $path = $this->argument('standard');
        $standard = $this->standard(is_string($path) ? $path : '');
        $findings = (new Lint($standard))->findings();
        if ($this->option('json') === true) {
            $this->line(Json::encode(array_map(fn (Finding $f) => [
                'kind' => $f->kind, 'tier' => $f->tier, 'clauses' => $f->clauses, 'why' => $f->why, 'change' => $f->change,
            ], $findings)));
        } elseif ($findings === []) {
            $this->line("$standard->name: ".count($standard->tiers).' tiers, '.count($standard->techniques).' techniques, nothing to complain about.');
        } else {
            $this->table(['Tier', 'Clauses', 'Why', 'What to change'], array_map(fn (Finding $f) => [$f->tier, implode(', ', $f->clauses), $f->why, $f->change], $findings));
        }

        return $findings === [] ? self::SUCCESS : self::FAILURE;
    }
}
