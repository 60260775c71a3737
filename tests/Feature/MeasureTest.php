<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pictures\Png;
use App\Pictures\TruthTable;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;

/** Drawings measured as photographs, by the same code as the table in the docs; the command line of both. */
final class MeasureTest extends TestCase
{
    /** Pixels across: half a megapixel. */
    private const WIDTH = 612;

    public function test_most_of_what_is_measured_is_so(): void
    {
        $plans = [];
        foreach (DemoPlans::SCULPTS as $sculpt) {
            foreach (['muster', 'banner', 'centrepiece'] as $tier) {
                $plans[] = self::plan($sculpt, $tier);
            }
        }
        $table = new TruthTable($plans, self::WIDTH);
        for ($seed = 3001; $seed <= 3024; $seed++) {
            $table->add($seed);
        }
        $least = [
            'contrast within 3 L*' => 0.85,
            'median colour within ΔE00 2' => 0.93,
            'no bare undercoat where there is none' => 0.95,
        ];
        foreach ($least as $what => $share) {
            [$right, $tried] = $table->counts()[$what];
            self::assertGreaterThan(50, $tried, $what);
            self::assertGreaterThanOrEqual($share, $right / $tried, $what);
        }
        [$right, $tried] = $table->counts()['line width within 0.1 mm'];
        self::assertGreaterThanOrEqual(0.6, $right / $tried, "lines: $right of $tried");
    }

    /** What both commands are told. */
    private const OF = [
        '--standard=database/demo/standards/five-rungs.json',
        '--tier=company',
        '--sculpt=database/demo/sculpts/sluice-warden.json',
        '--scheme=database/demo/schemes/tidemark.json',
        '--shelf=database/demo/shelf.csv',
    ];

    public function test_the_command_line_draws_and_measures_what_it_drew(): void
    {
        $out = sys_get_temp_dir().'/ordotype-measure-'.bin2hex(random_bytes(4)).'.png';
        self::assertSame(0, self::artisan('ordotype:booth', '--width=360', "--out=$out")->getExitCode());
        $measured = self::artisan('ordotype:measure', $out, '--json');
        self::assertSame(0, $measured->getExitCode(), $measured->getErrorOutput());
        $areas = json_decode($measured->getOutput(), true, 32, JSON_THROW_ON_ERROR);
        self::assertIsArray($areas);
        $coat = array_column($areas, null, 'area')['coat'];
        self::assertGreaterThan(4000, $coat['pixels']);
        self::assertGreaterThan(15, $coat['contrast']['value']);
        self::assertSame('too_small', array_column($areas, null, 'area')['eyes']['why']);
        foreach (
            [
                [['ordotype:measure', __FILE__], 'not a PNG'],
                [['ordotype:measure', $out, '--card=1,2,3'], '--card'],
                [['ordotype:measure', $out, '--card=1,1,9999,9'], 'outside'],
                [['ordotype:measure', $out, '--view=moon'], '--view'],
                [['ordotype:booth', "--out=$out", '--view=left'], 'front and back'],
                [['ordotype:booth', "--out=$out", '--fault=tide_mark'], '--fault'],
                [['ordotype:booth', "--out=$out", '--fault=tide_mark:moon'], 'no area'],
                [['ordotype:booth', "--out=$out", '--width=9000'], '--width'],
            ] as [$command, $says]
        ) {
            $refused = self::artisan(...$command);
            self::assertNotSame(0, $refused->getExitCode(), $says);
            self::assertStringContainsString($says, $refused->getOutput().$refused->getErrorOutput());
        }
        unlink($out);
    }

    private static function artisan(string ...$arguments): Process
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$arguments, ...self::OF], dirname(__DIR__, 2));
        $process->run();

        return $process;
    }

    /** @return iterable<string, array{string, string}> */
    public static function spoiled(): iterable
    {
        yield 'cut off' => ['cut', 'damaged'];
        yield 'a text with a picture’s name' => ['text', 'not a PNG'];
        yield 'thirty thousand by thirty thousand' => ['huge', 'are the most'];
    }

    #[DataProvider('spoiled')]
    public function test_files_that_are_no_photographs_are_refused(string $how, string $says): void
    {
        $png = Png::of((new Booth())->draw(new BoothRequest(Demo::sculpt(), Coat::all([]), width: 120)));
        $file = sys_get_temp_dir().'/ordotype-spoiled-'.bin2hex(random_bytes(4)).'.png';
        file_put_contents($file, match ($how) {
            'cut' => substr($png, 0, intdiv(strlen($png), 3)),
            'text' => '<script>alert(1)</script>',
            default => substr($png, 0, 16).pack('NN', 30_000, 30_000).substr($png, 24),
        });
        $refused = self::artisan('ordotype:measure', $file);
        self::assertNotSame(0, $refused->getExitCode());
        self::assertStringContainsString($says, $refused->getOutput().$refused->getErrorOutput());
        unlink($file);
    }

    private static function plan(string $sculpt, string $tier): Plan
    {
        $standard = Demo::standard();
        $request = new PlanRequest(
            $standard,
            $standard->tier($tier),
            Demo::sculpt($sculpt),
            Demo::scheme(),
            shelf: Demo::shelf(),
        );

        return Demo::planner()->plan($request);
    }
}
