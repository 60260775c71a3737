<?php

declare(strict_types=1);

namespace App\Console;

use InvalidArgumentException;
use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Format\DocumentEdit;
use Ordotype\Core\Format\DocumentEdits;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Ladder\Grid;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\TierDifference;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use stdClass;
use Tests\Support\IntegerProgramme;

final class BenchCommand extends CoreCommand
{
    protected $signature = 'ordotype:bench
        {--standard=database/demo/standards/five-rungs.json : file in ordotype/standard@1}
        {--tier=centrepiece : the richest tier}
        {--sculpt=database/demo/sculpts/lantern-provost.json : figure whose areas are repeated}
        {--runs=7 : how often each is measured; the median is printed}
        {--growth : instead, check 10 000 clauses and plan with 300 techniques more}
        {--booth : instead, draw pictures of the figure at the tier}
        {--batch : instead, lay batches of all figures out and hold them against their bounds}
        {--scheme=database/demo/schemes/tidemark.json : colours of the batches}
        {--shelf=database/demo/shelf.csv : paints of the batches}
        {--plot= : file for a drawing of the growth, as SVG}
        {--json : print figures instead of tables}';

    protected $description =
        'Measure how long planning takes on this machine, and how it grows with the '.'number of areas';

    protected function work(): int
    {
        $standard = $this->standard(self::path($this->needed('standard')));
        $tier = $standard->tier($this->needed('tier'));
        $sculpt = $this->sculpt(self::path($this->needed('sculpt')));
        if ($this->option('growth') === true) {
            return $this->growth($sculpt, $tier);
        }
        if ($this->option('batch') === true) {
            return $this->batches($standard, $this->wholeNumber('runs', 1, 1000));
        }
        if ($this->option('booth') === true) {
            $plan = $this->planner()->plan(new PlanRequest($standard, $tier, $sculpt));
            $this->line('JIT '.(self::opcache('jit', 'on') ? 'on' : 'off'));
            array_map($this->line(...), [...BoothBench::lines($plan), ...BoothBench::measuring($plan)]);

            return self::SUCCESS;
        }
        $runs = $this->wholeNumber('runs', 1, 1000);
        $rows = [];
        foreach ([5, 10, 16, 24, 32, 40, 50, 60] as $areas) {
            $request = new PlanRequest($standard, $tier, self::grown($sculpt, $areas));
            $plan = $this->planner()->plan($request);
            $rows[] = [
                'areas' => $areas,
                'choice_ms' => self::median($runs, fn (Planner $p) => $p->choose($request)),
                'plan_ms' => self::median($runs, fn (Planner $p) => $p->plan($request)),
                'steps' => count($plan->work->steps),
                'passes' => count($plan->work->passes),
            ];
        }
        $ladder = $this->ladder($sculpt, $runs);
        $army = $this->army($standard, min(5, $runs));
        $plot = $this->file('plot');
        if ($plot !== null) {
            file_put_contents($plot, Growth::drawn($rows, $tier->name));
        }
        if ($this->option('json') === true) {
            $this->line(
                Json::encode([
                    'tier' => $tier->key,
                    'runs' => $runs,
                    'opcache' => self::opcache('opcache_enabled'),
                    'jit' => self::opcache('jit', 'on'),
                    'rows' => $rows,
                    'ladder' => $ladder,
                    'army_ms' => $army,
                ]),
            );

            return self::SUCCESS;
        }
        $this->show($tier, $sculpt, $runs, $rows);
        $this->line(
            "A cell of a ladder of {$ladder['tiers']} tiers and {$ladder['rows']} rows is edited: ".
                round($ladder['edit_ms']).
                ' ms to the figures of the one that is tried (aim 120 ms), '.
                round($ladder['lint_ms']).
                " ms for the lint with {$ladder['figures']} figures (aim 1000 ms).",
        );
        $this->beside($standard, $sculpt, $tier);
        $this->line(
            'An order of 200 pieces of 20 sculpts, every piece planned: '.round($army).' ms (aim 600 ms).',
        );

        return self::SUCCESS;
    }

    /**
     * The choice for one figure, and the same problems by a general-purpose solver, where that and the development
     * classes are there.
     */
    private function beside(Standard $standard, Sculpt $sculpt, Tier $tier): void
    {
        exec('command -v glpsol', $found, $missing);
        if ($missing !== 0 || ! class_exists(IntegerProgramme::class)) {
            return;
        }
        $request = new PlanRequest($standard, $tier, $sculpt);
        $ours = self::median(7, fn (Planner $p) => $p->choose($request));
        $chosen = (new Planner())->choose($request);
        $began = hrtime(true);
        foreach ($chosen->areas as $planned) {
            if ($planned->demand->area !== null) {
                $given = $chosen->context->given;
                $bar = $planned->gradeBar;
                (new IntegerProgramme($request, $planned->demand->area, $planned->demand, $given, $bar, true))->least();
            }
        }
        $theirs = (hrtime(true) - $began) / 1e6;
        $this->line(
            count($chosen->areas)." areas of $sculpt->name chosen for in ".number_format($ours, 1).' ms; the same as '.
                'integer programmes, written and solved one by one by GLPK: '.round($theirs).' ms.',
        );
    }

    private function growth(Sculpt $sculpt, Tier $tier): int
    {
        $document = Json::decode((string) file_get_contents(self::path($this->needed('standard'))));
        $growth = new Growth($document instanceof stdClass ? $document : new stdClass());
        foreach ([1_000, 3_000, 10_000] as $clauses) {
            $seconds = number_format($growth->lintMs($clauses) / 1000, 1);
            $aim = $clauses === 10_000 ? ' (aim 20 s)' : '';
            $this->line(number_format($clauses)." clauses checked in $seconds s$aim");
        }
        foreach ([0, 100, 300] as $more) {
            $ms = round($growth->planMs($sculpt, $tier->key, $more));
            $aim = $more === 300 ? ' (aim 1000 ms)' : '';
            $this->line("$sculpt->name planned with $more techniques more in $ms ms$aim");
        }

        return self::SUCCESS;
    }

    /** Six figures at three tiers; of the sizes, as many as there are runs. */
    private function batches(Standard $standard, int $runs): int
    {
        foreach (array_slice(BatchBench::SIZES, 0, $runs) as [$pieces, $painters, $median, $worst]) {
            $releases = [];
            foreach ($this->figures() as $sculpt) {
                foreach (['muster', 'banner', 'centrepiece'] as $key) {
                    $releases["$sculpt->name, {$standard->tier($key)->name}"] = $this->asReleased(
                        new PlanRequest(
                            $standard,
                            $standard->tier($key),
                            $sculpt,
                            $this->scheme(),
                            shelf: $this->shelf(),
                            pieces: $pieces,
                        ),
                    );
                }
            }
            $rows = BatchBench::rows($releases, $pieces, $painters);
            $this->table(
                ['Batch', 'Operations', 'Hand', 'Chain', 'Better', 'Finish, min', 'Proven', 'Over, %', 'ms'],
                array_map(
                    fn (array $r) => [
                        $r[0],
                        $r[1],
                        ...array_map(fn (float $minutes) => number_format($minutes), array_slice($r, 2, 4)),
                        $r[6] ? 'yes' : '',
                        number_format($r[7], 1),
                        round($r[8]),
                    ],
                    $rows,
                ),
            );
            $this->line(BatchBench::summary($rows, $pieces, $painters, $median, $worst));
        }

        return self::SUCCESS;
    }

    /** @return list<Sculpt> the demo's */
    private function figures(): array
    {
        return array_map(
            fn (string $file) => $this->sculpt($file),
            glob(base_path('database/demo/sculpts/*.json')) ?: [],
        );
    }

    /** @param  list<array{areas: int, choice_ms: float, plan_ms: float, steps: int, passes: int}>  $rows */
    private function show(Tier $tier, Sculpt $sculpt, int $runs, array $rows): void
    {
        $this->line(
            "$tier->name, areas of $sculpt->name repeated, median of $runs runs, OPcache ".
                (self::opcache('opcache_enabled') ? 'on' : 'off').
                ', JIT '.
                (self::opcache('jit', 'on') ? 'on' : 'off').
                '. Aims for 24 areas: choice 20 ms, whole plan 80 ms.',
        );
        $this->table(
            ['Areas', 'Choice ms', 'Whole plan ms', 'Steps', 'Passes'],
            array_map(
                fn (array $r) => [
                    $r['areas'],
                    number_format($r['choice_ms'], 1),
                    number_format($r['plan_ms'], 1),
                    $r['steps'],
                    $r['passes'],
                ],
                $rows,
            ),
        );
    }

    /**
     * From an edited cell to what the Standard screen's panel shows, on the largest ladder it is made for: the demo's
     * seven tiers with rows added up to eighty, and six figures.
     *
     * @return array{tiers: int, rows: int, figures: int, edit_ms: float, lint_ms: float}
     */
    private function ladder(Sculpt $sculpt, int $runs): array
    {
        $document = Json::decode((string) file_get_contents(self::path($this->needed('standard'))));
        assert($document instanceof stdClass);
        for ($rows = count((new Grid(StandardFormat::read($document)))->rows()), $i = 0; $rows < 80; $rows++, $i++) {
            foreach ($document->tiers as $t) {
                if (! isset($t->extends)) {
                    $t->clauses[] = (object) [
                        'id' => "$t->key.more_$i",
                        'kind' => 'finish',
                        'scope' => (object) ['rank' => ['main']],
                        'criterion' => 'tonal_span',
                        'limit' => 1,
                    ];
                }
            }
        }
        $before = StandardFormat::read($document);
        $tier = $before->tier($this->needed('tier'));
        $clause =
            Clause::only(EffectClause::class, $tier->clauses)[0] ??
            throw new InvalidArgumentException("$tier->name has no effect clause of its own to edit.");
        $was = ClauseFormat::write($clause);
        $is = clone $was;
        $is->passes = ($was->passes ?? 1) + 1;
        $edits = [new DocumentEdit('clause', $tier->key, $was, $is)];
        $figures = array_map(
            fn (int $i) => new Sculpt(
                "{$sculpt->name} $i",
                $sculpt->role,
                $sculpt->size,
                $sculpt->baseMm,
                $sculpt->surfaceCm2,
                $sculpt->definition,
                [],
                false,
                null,
                $sculpt->areas,
            ),
            range(1, 6),
        );
        $edited = function (Planner $planner) use ($document, $edits, $tier, $figures): Standard {
            $after = StandardFormat::read(DocumentEdits::apply($document, $edits));
            $plan = fn (Standard $s) => $planner->plan(new PlanRequest($s, $s->tier($tier->key), $figures[0]));
            (new TierDifference($plan(StandardFormat::read($document)), $plan($after)))->areaMinutes();

            return $after;
        };

        return [
            'tiers' => count($before->tiers),
            'rows' => count((new Grid($before))->rows()),
            'figures' => count($figures),
            'edit_ms' => self::median($runs, $edited),
            'lint_ms' => self::median(
                min(3, $runs),
                fn (Planner $p) => (new Lint($edited($p), $figures, Money::of('20.00'), $p))->findings(),
            ),
        ];
    }

    /**
     * An order of 200 pieces: twenty sculpts, the demo's figures at several sizes, ten pieces of each at the offered
     * tiers in turn; one piece in each unit lacks an area, so that two kinds of piece are planned and worked
     * together.
     */
    private function army(Standard $standard, int $runs): float
    {
        $figures = $this->figures();
        $tiers = array_values(array_filter($standard->tiers, fn ($t) => $t->status === TierStatus::Offered));
        $requests = [];
        for ($i = 0; $i < 20; $i++) {
            $s = $figures[$i % count($figures)];
            $sculpt = new Sculpt(
                "$s->name $i",
                $s->role,
                $s->size,
                $s->baseMm,
                $s->surfaceCm2 * (1 + 0.1 * intdiv($i, count($figures))),
                $s->definition,
                $s->parts,
                false,
                $s->frameMm,
                $s->areas,
            );
            $requests[] = new PlanRequest($standard, $tiers[$i % count($tiers)], $sculpt, pieces: 10);
        }
        $pieces = fn (PlanRequest $r): array => array_map(
            fn (int $n) => new PieceNeeds($n, $n === 1 ? [$r->sculpt->areas[count($r->sculpt->areas) - 3]->key] : []),
            range(1, 10),
        );

        return self::median(
            $runs,
            fn (Planner $p) => array_map(fn (PlanRequest $r) => UnitPlan::of($r, $pieces($r), planner: $p), $requests),
        );
    }

    /**
     * The sculpt's areas repeated until there are as many as wanted; copies touch what the originals touch, and are a
     * little larger each time, so that none is the same problem twice.
     */
    private static function grown(Sculpt $sculpt, int $count): Sculpt
    {
        $areas = [];
        $own = count($sculpt->areas);
        for ($i = 0; $i < $count; $i++) {
            $a = $sculpt->areas[$i % $own];
            $round = intdiv($i, $own);
            $name = fn (string $key): string => $round === 0 ? $key : "$key-$round";
            $there = fn (string $key): bool => $round * $own + $sculpt->place($key) < $count;
            $areas[] = new Area(
                $name($a->key),
                $a->name,
                $a->material,
                $a->relief,
                $a->rank,
                $a->focus,
                $a->facing,
                $a->layer,
                $a->sharePct * (1 + 0.013 * $round),
                $a->count,
                $a->access,
                null,
                array_values(array_map($name, array_filter($a->touches, $there))),
                $a->surround !== null && $there($a->surround) ? $name($a->surround) : null,
                $a->slot,
                $a->optional,
                [],
            );
        }

        return new Sculpt(
            "$sculpt->name × $count",
            $sculpt->role,
            $sculpt->size,
            $sculpt->baseMm,
            $sculpt->surfaceCm2,
            $sculpt->definition,
            [],
            false,
            null,
            $areas,
        );
    }

    /** @param  callable(Planner): mixed  $work */
    private static function median(int $runs, callable $work): float
    {
        $work(new Planner());
        $times = [];
        for ($i = 0; $i < $runs; $i++) {
            // A planner of its own: nothing is remembered from the run before.
            $planner = new Planner();
            $start = hrtime(true);
            $work($planner);
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);

        return $times[intdiv($runs, 2)];
    }

    private static function opcache(string ...$what): bool
    {
        $status = function_exists('opcache_get_status') ? @opcache_get_status(false) : false;
        foreach ($what as $key) {
            $status = is_array($status) ? $status[$key] ?? false : false;
        }

        return $status === true;
    }

    private static function path(string $path): string
    {
        return str_starts_with($path, '/') || is_file($path) ? $path : base_path($path);
    }
}
