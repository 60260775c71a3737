<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use Ordotype\Core\Format\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;

/** The commands on the core, run as a user runs them, with no settings, no key and no database. */
final class CommandLineTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("$this->folder/*") ?: []);
        rmdir($this->folder);
    }

    public function test_a_batch_is_laid_out_for_people_with_hours_and_says_what_is_wrong_with_them(): void
    {
        $demo = dirname(__DIR__, 2).'/database/demo';
        $of = [
            "--standard=$demo/standards/five-rungs.json", '--tier=muster', "--sculpt=$demo/sculpts/mudlark.json",
            "--scheme=$demo/schemes/tidemark.json", "--shelf=$demo/shelf.csv", '--pieces=6',
        ];
        $days = array_map(
            fn (int $d): array => ['date' => "2026-12-0$d", 'from' => '09:00', 'to' => '12:30'],
            range(1, 9),
        );
        $people = ['format' => 'ordotype/people@1', 'people' => [
            ['key' => 'ada', 'skill' => 5, 'days' => $days],
            ['key' => 'bo', 'skill' => 3, 'largest_batch' => 4, 'days' => $days],
        ], 'fan' => true];
        $file = "$this->folder/people.json";
        file_put_contents($file, json_encode($people));
        $made = Json::decode($this->artisan('ordotype:batch', "--people=$file", '--json', ...$of)->getOutput());
        assert($made instanceof stdClass);
        self::assertSame([[], ['ada', 'bo']], [$made->left, $made->people]);
        // Nobody works before nine, at noon or at night.
        foreach ($made->runs as $run) {
            $hour = fmod($run->from, 1440.0);
            self::assertTrue($hour >= 540.0 - 1e-6 && fmod($run->to, 1440.0) <= 750.0 + 1e-6, "run $run->no");
        }
        $done = array_merge(...array_map(fn ($r) => array_column($r->operations, 'id'), $made->runs));
        sort($done);
        self::assertSame(array_keys($made->operations), $done, 'each once');
        $alone = $this->artisan('ordotype:batch', ...$of)->getOutput();
        self::assertStringContainsString('Base colour, one coat, Saddle Brown', $alone);
        self::assertStringContainsString('No less than', $alone);
        $people['people'][0]['skill'] = 9;
        $people['people'][1]['days'][2]['from'] = 'nine';
        file_put_contents($file, json_encode($people));
        $wrong = $this->artisan('ordotype:batch', "--people=$file", ...$of);
        self::assertSame(1, $wrong->getExitCode());
        self::assertStringContainsString('/people/0/skill: must be within 1 to 5', $wrong->getErrorOutput());
        self::assertStringContainsString('/people/1/days/2/from: must be an hour', $wrong->getErrorOutput());
    }

    public function test_plan_prints_the_open_format_and_the_same_bytes_twice(): void
    {
        [$first, $second] = [
            $this->plan('company', ['--json', '--pieces=12']),
            $this->plan('company', ['--json', '--pieces=12']),
        ];
        self::assertSame(0, $first->getExitCode(), $first->getErrorOutput());
        self::assertSame($first->getOutput(), $second->getOutput());
        $plan = Json::decode($first->getOutput());
        SchemaCheck::against('plan@1', $plan);
        assert($plan instanceof stdClass);
        self::assertSame(
            array_map(fn ($a) => $a->key, Demo::sculpt()->areas),
            array_map(fn ($a) => $a->area, $plan->areas),
        );
        $techniques = array_flip(array_map(fn ($t) => $t->key, Demo::standard()->techniques));
        $total = 0.0;
        foreach ($plan->areas as $area) {
            $order = array_map(fn ($t) => $techniques[$t->technique], $area->techniques);
            self::assertSame($order, array_values(array_unique($order)));
            $sorted = $order;
            sort($sorted);
            self::assertSame($sorted, $order, "$area->area: techniques stand in catalogue order");
            self::assertEqualsWithDelta(
                array_sum(array_map(fn ($t) => $t->minutes, $area->techniques)),
                $area->minutes,
                1e-9,
            );
            $total += $area->minutes;
        }
        $total += array_sum(array_map(fn ($t) => $t->minutes, $plan->whole));
        foreach ($plan->steps as $step) {
            // What is done beside the choice: a ground that is put right under a stain.
            $total += $step->because === ['touch_up'] ? $step->minutes : 0.0;
        }
        foreach ($plan->passes as $pass) {
            $total += array_sum(array_map(fn ($s) => $s->minutes, $pass->slips));
        }
        self::assertEqualsWithDelta($total, $plan->totals->by_area, 1e-9);
        self::assertSame(range(1, count($plan->steps)), array_map(fn ($s) => $s->no, $plan->steps));
        foreach ($plan->steps as $step) {
            self::assertNotSame([], $step->because, "step $step->no says why it is there");
        }
    }

    public function test_a_readable_plan_names_areas_passes_and_what_holds_them(): void
    {
        $output = $this->plan('banner', [])->getOutput();
        foreach (
            [
                'Sluice Warden, Banner:',
                'Oilskin coat',
                'Matt varnish',
                'Bilge Green',
                'base colours go from the innermost layer outwards',
                'Requirements:',
            ] as $word
        ) {
            self::assertStringContainsString($word, $output);
        }
    }

    public function test_rules_of_thumb_for_whole_hand_time(): void
    {
        // Common practice, no source: minutes a piece with preparation, undercoat, base and final look.
        foreach (
            [
                ['muster', 'sluice-warden', 20, 45],
                ['company', 'sluice-warden', 25, 75],
                ['banner', 'sluice-warden', 60, 150],
                ['cabinet', 'sluice-warden', 110, 300],
                ['centrepiece', 'lantern-provost', 300, 1200],
            ] as [$tier, $sculpt, $least, $most]
        ) {
            $plan = Json::decode($this->plan($tier, ['--json'], $sculpt)->getOutput());
            assert($plan instanceof stdClass);
            self::assertGreaterThanOrEqual($least, $plan->totals->by_passes, "$tier $sculpt");
            self::assertLessThanOrEqual($most, $plan->totals->by_passes, "$tier $sculpt");
            self::assertSame([], $plan->conflicts, "$tier $sculpt");
        }
    }

    public function test_stops_and_raising_half_finished_work(): void
    {
        $files = [
            '--standard='.Demo::path('standards/five-rungs.json'),
            '--sculpt='.Demo::path('sculpts/sluice-warden.json'),
            '--scheme='.Demo::path('schemes/tidemark.json'),
            '--shelf='.Demo::path('shelf.csv'),
        ];
        $stops = $this->artisan('ordotype:stops', '--tier=cabinet', '--json', ...$files);
        self::assertSame(0, $stops->getExitCode(), $stops->getErrorOutput());
        $document = json_decode($stops->getOutput(), true);
        self::assertSame(['muster', 'company', 'banner', 'cabinet'], array_column($document['stops'], 'tier'));
        self::assertEqualsCanonicalizing(
            $document['stops'][0]['steps'],
            array_slice($document['order'], 0, count($document['stops'][0]['steps'])),
        );
        self::assertStringContainsString(
            'Muster',
            $this->artisan('ordotype:stops', '--tier=cabinet', ...$files)->getOutput(),
        );
        $raised = function (string ...$more) use ($files): array {
            $process = $this->artisan(
                'ordotype:raise',
                '--from=company',
                '--to=banner',
                '--json',
                ...$files,
                ...$more,
            );
            self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());

            return json_decode($process->getOutput(), true);
        };
        $finished = $raised();
        self::assertContains('*:final_look:2', $finished['order'], 'the final look is done again');
        self::assertGreaterThan($finished['minutes'], $raised('--steps=10')['minutes']);
        $bad = $this->artisan('ordotype:stops', '--tier=nowhere', ...$files);
        self::assertSame([1, 1], [$bad->getExitCode(), substr_count(trim($bad->getErrorOutput()), "\n") + 1]);
    }

    public function test_how_far_two_colours_are_apart(): void
    {
        $file = fopen(dirname(__DIR__).'/Reference/data/ciede2000-sharma-2005.csv', 'rb');
        assert($file !== false);
        fgetcsv($file, escape: '');
        // The first pairs of Sharma, Wu and Dalal (2005); the core is held against all 34.
        for ($n = 0; $n < 3; $n++) {
            $row = array_map(strval(...), fgetcsv($file, escape: '') ?: []);
            $apart = $this->artisan('ordotype:delta-e', "$row[1],$row[2],$row[3]", "$row[4],$row[5],$row[6]");
            self::assertSame($row[7], trim($apart->getOutput()), "pair $row[0]");
        }
        self::assertSame('0.0000', trim($this->artisan('ordotype:delta-e', '#2f5a50', '#2F5A50')->getOutput()));
        $bad = $this->artisan('ordotype:delta-e', 'red', '1,2,3');
        self::assertSame(1, $bad->getExitCode());
        self::assertStringContainsString('"red" is no colour', $bad->getErrorOutput());
    }

    public function test_a_sampling_plan_is_told_with_its_draw_and_its_chances(): void
    {
        $told = $this->artisan('ordotype:sample', '--lot=60', '--level=II', '--aql=4.0', '--seed=7');
        self::assertSame(0, $told->getExitCode(), $told->getErrorOutput());
        // MIL-STD-105E: a lot of 51 to 90 at level II is letter E, 13 pieces, at 4.0 accepted with one.
        self::assertStringContainsString('13 of 60 are checked; accepted with at most 1', $told->getOutput());
        self::assertSame(1, preg_match('/^Drawn: ([\d, ]+)\.$/m', $told->getOutput(), $drawn));
        self::assertCount(13, array_unique(explode(', ', $drawn[1])));
        $all = $this->artisan('ordotype:sample', '--lot=2');
        self::assertStringContainsString('Every one of the 2 is checked.', $all->getOutput());
        $bad = $this->artisan('ordotype:sample', '--lot=60', '--aql=3');
        self::assertSame(1, $bad->getExitCode());
        self::assertStringContainsString('3 is no AQL of the tables', $bad->getErrorOutput());
    }

    public function test_lint_and_diff(): void
    {
        $lint = $this->artisan('ordotype:lint', Demo::path('standards/five-rungs.json'));
        self::assertSame(0, $lint->getExitCode(), $lint->getErrorOutput());
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof stdClass);
        $document->tiers[1]->clauses[10]->scope = (object) ['rank' => []];
        $bad = $this->artisan('ordotype:lint', $this->file('lint.json', Json::encode($document)), '--json');
        self::assertSame(1, $bad->getExitCode());
        self::assertSame('matches_nothing', json_decode($bad->getOutput(), true)[0]['kind']);

        $diff = $this->artisan(
            'ordotype:diff',
            '--standard='.Demo::path('standards/five-rungs.json'),
            '--from=company',
            '--to=banner',
            '--sculpt='.Demo::path('sculpts/sluice-warden.json'),
            '--json',
        );
        $difference = json_decode($diff->getOutput(), true);
        self::assertEqualsWithDelta(
            $difference['minutes']['to'] - $difference['minutes']['from'],
            $difference['minutes']['change'],
            1e-9,
        );
        self::assertContains('added', array_column($difference['changes'], 'change'));
        self::assertSame('22.00 to 30.00', $difference['prices']['from']);
    }

    /**
     * @return iterable<string, array{string, string, list<string>}> which file is bad, its text, and what must be said
     */
    public static function badFiles(): iterable
    {
        $standard = (string) file_get_contents(Demo::path('standards/five-rungs.json'));
        $sculpt = (string) file_get_contents(Demo::path('sculpts/sluice-warden.json'));
        yield 'wrong format word' => [
            'standard',
            str_replace('ordotype/standard@1', 'ordotype/sculpt@1', $standard),
            ['/format', 'ordotype/standard@1'],
        ];
        yield 'unknown key' => [
            'standard',
            str_replace('"currency"', '"colour":1,"currency"', $standard),
            ['colour'],
        ];
        yield 'shares that do not sum' => [
            'sculpt',
            str_replace('"share_pct": 28', '"share_pct": 20', $sculpt),
            ['/areas', '92 %'],
        ];
        yield 'touches nothing' => [
            'sculpt',
            str_replace('"hood", "gorget"', '"wings", "gorget"', $sculpt),
            ['/areas/0/touches/0', 'wings'],
        ];
        yield 'unknown technique' => [
            'standard',
            str_replace('"technique": "handle_mount"', '"technique": "sorcery"', $standard),
            ['/tiers/1/clauses/0/technique', 'sorcery'],
        ];
        yield 'extends in a circle' => [
            'standard',
            str_replace('"extends": "muster"', '"extends": "cabinet"', $standard),
            ['/extends', 'circle'],
        ];
        yield 'numbers as text' => [
            'standard',
            str_replace('"hand": 4.0', '"hand": "4.0"', str_replace('"hand": 4,', '"hand": "4",', $standard)),
            ['/hand', 'must be'],
        ];
        yield 'not JSON' => ['sculpt', substr($sculpt, 0, 500), ['is not JSON']];
        yield 'not UTF-8' => ['sculpt', str_replace('Sluice', "Sl\xFCice", $sculpt), ['is not UTF-8']];
        yield 'fifty megabytes' => ['sculpt', str_repeat(' ', 50_000_000), ['too large', '50.0 MB']];
        yield 'a list' => ['sculpt', '[]', ['sculpt.json']];
        yield 'just a number' => ['standard', '12', ['standard.json']];
    }

    /** @param  list<string>  $words */
    #[DataProvider('badFiles')]
    public function test_bad_files_end_with_1_the_path_and_the_reason(string $which, string $text, array $words): void
    {
        $files = [
            'standard' => Demo::path('standards/five-rungs.json'),
            'sculpt' => Demo::path('sculpts/sluice-warden.json'),
        ];
        $files[$which] = $this->file("$which.json", $text);
        $process = $this->artisan(
            'ordotype:plan',
            "--standard={$files['standard']}",
            '--tier=company',
            "--sculpt={$files['sculpt']}",
            '--json',
        );
        self::assertSame(1, $process->getExitCode());
        self::assertSame('', $process->getOutput());
        foreach ($words as $word) {
            self::assertStringContainsString($word, $process->getErrorOutput());
        }
        self::assertStringNotContainsString('Stack trace', $process->getErrorOutput());
        self::assertStringNotContainsString('/core/src/', $process->getErrorOutput());
    }

    public function test_finished_work_is_raised_tiers_are_told_apart_and_a_ladder_is_held_against_figures(): void
    {
        $files = [
            '--standard='.Demo::path('standards/five-rungs.json'),
            '--sculpt='.Demo::path('sculpts/sluice-warden.json'),
        ];
        $raise = $this->artisan('ordotype:raise', '--from=company', '--to=banner', '--json', ...$files);
        self::assertSame(0, $raise->getExitCode(), $raise->getErrorOutput());
        $raised = json_decode($raise->getOutput(), true, 64, JSON_THROW_ON_ERROR);
        self::assertGreaterThan(0, $raised['minutes']);
        self::assertLessThan($raised['anew'], $raised['minutes']);
        self::assertTrue($raised['varnished']);
        self::assertEqualsWithDelta(
            $raised['minutes'],
            array_sum(array_column($raised['areas'], 'minutes')) +
                array_sum(array_column($raised['whole'], 'minutes')),
            1e-9,
        );
        $same = json_decode(
            $this->artisan('ordotype:raise', '--from=banner', '--to=banner', '--json', ...$files)->getOutput(),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        self::assertSame(0, (int) $same['minutes']);
        self::assertStringContainsString(
            'it is varnished',
            $this->artisan('ordotype:raise', '--from=company', '--to=cabinet', ...$files)->getOutput(),
        );
        self::assertStringContainsString(
            'no tier "palace"',
            $this->failing('ordotype:raise', '--from=company', '--to=palace', ...$files),
        );
        self::assertStringContainsString(
            '+ A light line on every visible edge.',
            $this->artisan(
                'ordotype:diff',
                '--from=company',
                '--to=banner',
                '--voice=client',
                ...$files,
            )->getOutput(),
        );
        $lint = $this->artisan(
            'ordotype:lint',
            Demo::path('standards/five-rungs.json'),
            '--figures='.Demo::path('sculpts/mudlark.json'),
            '--rate=90.00',
            '--json',
        );
        self::assertSame(1, $lint->getExitCode());
        self::assertContains(
            'below_cost',
            array_column(json_decode($lint->getOutput(), true, 64, JSON_THROW_ON_ERROR), 'kind'),
        );
        self::assertStringContainsString(
            '--rate must be a decimal',
            $this->failing('ordotype:lint', Demo::path('standards/five-rungs.json'), '--rate=much'),
        );
    }

    public function test_missing_files_tiers_and_options_are_named(): void
    {
        $say = fn (string ...$arguments): string => $this->failing(...$arguments);
        self::assertStringContainsString('--standard is missing', $say('ordotype:plan'));
        self::assertStringContainsString(
            'no readable file at nowhere.json',
            $say('ordotype:plan', '--standard=nowhere.json'),
        );
        $files = [
            '--standard='.Demo::path('standards/five-rungs.json'),
            '--sculpt='.Demo::path('sculpts/mudlark.json'),
        ];
        self::assertStringContainsString('no tier "palace"', $say('ordotype:plan', '--tier=palace', ...$files));
        self::assertStringContainsString(
            '--pieces must be a whole number',
            $say('ordotype:plan', '--tier=muster', '--pieces=many', ...$files),
        );
        self::assertStringContainsString(
            '/2/clause',
            $say(
                'ordotype:plan',
                '--tier=muster',
                '--amend='.Demo::path('amendments/company-warden.json'),
                ...$files,
            ),
        );
    }

    public function test_bench_prints_how_planning_grows(): void
    {
        $rows = json_decode($this->artisan('ordotype:bench', '--runs=1', '--json')->getOutput(), true)['rows'];
        self::assertSame([5, 10, 16, 24, 32, 40, 50, 60], array_column($rows, 'areas'));
    }

    public function test_bench_holds_batches_against_what_nobody_undercuts(): void
    {
        $told = $this->artisan('ordotype:bench', '--batch', '--runs=1')->getOutput();
        // 18 batches of ten: hand, chain, better, finish, and how much it is over the better.
        $n = ' ([\d,.]+) +\|';
        preg_match_all('/\|[^|]+, \w+ +\|[^|]+\|'.$n.$n.$n.$n.'[^|]+\|'.$n.'/', $told, $rows, PREG_SET_ORDER);
        self::assertCount(18, $rows);
        $gaps = [];
        foreach ($rows as $row) {
            $row = array_map(fn (string $n): float => (float) str_replace(',', '', $n), array_slice($row, 1));
            [$hand, $chain, $better, $finish, $gap] = $row;
            self::assertGreaterThanOrEqual(max($hand, $chain), $better);
            self::assertGreaterThanOrEqual($better, $finish);
            self::assertEqualsWithDelta(100 * ($finish / $better - 1), $gap, 0.3, 'of whole minutes');
            $gaps[] = $gap;
        }
        sort($gaps);
        $median = number_format($gaps[9], 1);
        self::assertStringContainsString("over the better bound by $median % (aim 14) in the median", $told);
        self::assertLessThanOrEqual(14.0, $gaps[9]);
    }

    private function failing(string ...$arguments): string
    {
        $process = $this->artisan(...$arguments);
        self::assertSame(1, $process->getExitCode());

        return $process->getErrorOutput();
    }

    /** @param  list<string>  $more */
    private function plan(string $tier, array $more, string $sculpt = 'sluice-warden'): Process
    {
        return $this->artisan(
            'ordotype:plan',
            '--standard='.Demo::path('standards/five-rungs.json'),
            "--tier=$tier",
            '--sculpt='.Demo::path("sculpts/$sculpt.json"),
            '--scheme='.Demo::path('schemes/tidemark.json'),
            '--shelf='.Demo::path('shelf.csv'),
            ...$more,
        );
    }

    private function artisan(string ...$arguments): Process
    {
        // No settings file is read and the database cannot be reached.
        $process = new Process(
            [PHP_BINARY, 'artisan', ...$arguments],
            dirname(__DIR__, 2),
            ['APP_ENV' => 'nothing-set', 'APP_KEY' => '', 'DB_PORT' => '1', 'DB_PASSWORD' => ''],
            null,
            60,
        );
        $process->run();

        return $process;
    }

    private function file(string $name, string $text): string
    {
        file_put_contents("$this->folder/$name", $text);

        return "$this->folder/$name";
    }
}
