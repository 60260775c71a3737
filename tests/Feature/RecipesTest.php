<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Formats\SchemaCheck;
use Ordotype\Core\Format\Json;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Symfony\Component\Process\Process;

/**
 * Pieces as painters work them, planned on the command line from files: the order of the steps that are named here is
 * the order of the plan. Common practice, no source.
 */
final class RecipesTest extends TestCase
{
    private const FILES = 'tests/Fixtures/recipes';

    /**
     * @return iterable<string, array{string, int, list<list<string>>}> recipe, models, and chains of steps: each comes
     * before the next
     */
    public static function recipes(): iterable
    {
        $kit = ['straps', 'pouches', 'boots', 'wood'];
        $soldier = [['uniform:base_coat', 'uniform:wash_all_over', 'uniform:drybrush']];
        foreach ([...$kit, 'metal'] as $part) {
            $base = $part === 'metal' ? 'metal:metallic_base' : "$part:base_coat";
            $light = $part === 'metal' ? 'metal:edge_highlight' : "$part:layer";
            $soldier[] = ['uniform:drybrush', $base, "$part:wash_all_over", $light];
        }
        foreach ($kit as $part) {
            $soldier[] = ["$part:base_coat", 'straps:wash_all_over'];
        }
        $soldier[] = ['straps:wash_all_over', 'uniform:layer'];
        $soldier[] = ['uniform:drybrush', 'face:base_coat', 'face:layer'];
        yield 'a soldier: the uniform first, then kit on top, one wash on it, one tone each' => ['soldier', 12, $soldier];

        yield 'a swarm creature: stain, drybrushed light, tongue and sacs put back, tint, dots of clear colour' => [
            'swarm',
            1,
            [
                ['hide:stain_coat', 'hide:drybrush', 'hide:tint_filter'],
                ['plates:stain_coat', 'plates:drybrush', 'plates:tint_filter'],
                ['hide:drybrush', 'tongue:light_underlay', 'tongue:stain_coat'],
                ['plates:drybrush', 'claws:base_coat'],
                ['plates:drybrush', 'gun:metallic_base'],
                ['hide:drybrush', 'sacs:light_underlay', 'sacs:lit_spot'],
                ['hide:drybrush', 'eyes:pick_out', 'eyes:point_highlight', 'eyes:tint_over'],
            ],
        ];
        yield 'a cloak: two stains, a brown wash that tones it, ring and fur beside it' => [
            'cloak',
            1,
            [['cloak:stain_coat', 'cloak:stain_over', 'cloak:toning_wash']],
        ];
        yield 'a carapace: black glazed in, then edges and drawn lines together, tone by tone' => [
            'carapace',
            1,
            [
                [
                    'carapace:base_coat',
                    'carapace:glaze',
                    'carapace:glaze:2',
                    'carapace:edge_highlight',
                    'carapace:hatch_texture',
                    'carapace:edge_highlight:2',
                    'carapace:hatch_texture:2',
                    'carapace:edge_highlight:3',
                    'carapace:hatch_texture:3',
                ],
            ],
        ];
        $gun = [
            ['*:prime_airbrush', '*:value_sketch', 'hull:spray_base', 'barrel:metal_underlay', 'barrel:metal_drybrush_base'],
            ['hull:spray_base', 'hull:sponge_chips', 'hull:wash_all_over', 'hull:layer'],
            ['wheels:metal_drybrush_base', 'wheels:wash_all_over', 'wheels:verdigris', '*:matt_varnish'],
            ['barrel:metal_drybrush_base', 'barrel:wash_all_over', 'barrel:rust_grime', '*:matt_varnish'],
            ['hull:wash_all_over', 'shield:layer', '*:matt_varnish', 'lamp:gloss_spot'],
            ['lamp:lens_two_tone', '*:matt_varnish'],
            ['coats:base_coat', 'faces:base_coat', 'faces:wash_all_over', '*:join_parts'],
        ];
        foreach (['cable_red', 'cable_green', 'cable_yellow', 'cable_white'] as $cable) {
            $gun[] = ['hull:spray_base', "$cable:base_coat", "$cable:wash_all_over", 'hull:layer'];
        }
        yield 'a gun on wheels, its crew kept apart' => ['gun', 12, $gun];
        yield 'a base: paint, paste with gaps, water in the gaps, drybrushed, tufts, rim' => [
            'swamp',
            1,
            [
                [
                    'swamp:ground_paint',
                    'swamp:ground_texture',
                    'swamp:ground_wet',
                    'swamp:ground_drybrush',
                    'swamp:ground_tufts',
                    'edge:rim_paint',
                ],
                ['swamp:ground_texture', '*:matt_varnish', 'swamp:ground_wet'],
            ],
        ];
    }

    /** @param  list<list<string>>  $chains */
    #[DataProvider('recipes')]
    public function test_the_steps_of_a_recipe_come_in_its_order(string $recipe, int $models, array $chains): void
    {
        $plan = $this->plan($recipe, $models);
        self::assertSame([], $plan->conflicts);
        $place = [];
        foreach ($plan->steps as $step) {
            $key = ($step->area ?? '*').":$step->technique";
            $place[$step->pass > 1 ? "$key:$step->pass" : $key] = $step->no;
        }
        foreach ($chains as $chain) {
            foreach ($chain as $k => $key) {
                self::assertArrayHasKey($key, $place);
                if ($k > 0) {
                    self::assertGreaterThan($place[$chain[$k - 1]], $place[$key], "{$chain[$k - 1]} before $key");
                }
            }
        }
    }

    public function test_one_pot_washes_the_kit_and_what_strays_is_named_with_its_pot(): void
    {
        $washes = array_filter($this->plan('soldier', 12)->passes, fn ($p) => $p->technique === 'wash_all_over');
        $kit = ['straps', 'pouches', 'boots', 'wood', 'metal'];
        $overAll = array_filter($washes, fn ($p) => array_diff($kit, $p->areas) === []);
        self::assertCount(1, $overAll, 'one wash on all of the kit');
        $toned = array_values(
            array_filter($this->plan('cloak', 1)->passes, fn ($p) => $p->technique === 'toning_wash'),
        )[0];
        self::assertSame(['cloak'], $toned->areas, 'ring and fur are spared');
        self::assertSame(
            [['ring', '#b08a30'], ['fur', '#c0b090']],
            array_map(fn ($s) => [$s->area, $s->paint], $toned->slips),
        );
        self::assertSame(0.0, (float) $this->plan('carapace', 1)->totals->slips);
    }

    public function test_finished_work_is_raised_two_tones_and_nothing_is_repainted(): void
    {
        $raised = $this->raised();
        foreach ($raised->areas as $area) {
            self::assertFalse($area->repainted, $area->area);
            self::assertSame([], $area->lost, $area->area);
            $light = in_array($area->area, ['metals', 'armour'], true) ? 'edge_highlight' : 'layer';
            self::assertSame([$light], array_map(fn ($t) => $t->technique, $area->added), $area->area);
            self::assertSame(2, $area->added[0]->passes, $area->area);
        }
    }

    public function test_raising_takes_what_is_agreed_and_tells_the_colours(): void
    {
        $agreed = sys_get_temp_dir().'/ordotype-'.bin2hex(random_bytes(6)).'.json';
        file_put_contents(
            $agreed,
            Json::encode([
                [
                    'level' => 'unit',
                    'do' => 'omit',
                    'clause' => 'veteran.c4',
                    'technique' => null,
                    'scope' => ['area' => ['metals']],
                    'values' => (object) [],
                    'reason' => 'They are to look dull.',
                    'price' => null,
                    'on' => null,
                ],
            ]),
        );
        $raised = $this->raised("--amend=$agreed");
        unlink($agreed);
        $added = array_column(array_map(fn ($a) => [$a->area, $a->added], $raised->areas), 1, 0);
        self::assertSame([], $added['metals']);
        self::assertNotSame([], $added['armour']);
        // Of three tones the first was there; the scheme's second and third are added.
        $colours = array_combine($raised->order, $raised->colours);
        self::assertSame('#5a78a8', $colours['armour:edge_highlight:2']);
        self::assertSame('#90a8d0', $colours['armour:edge_highlight:3']);
    }

    private function raised(string ...$more): stdClass
    {
        return $this->json(
            'ordotype:raise',
            '--from=trooper',
            '--to=veteran',
            '--sculpt='.self::FILES.'/veteran.sculpt.json',
            '--scheme='.self::FILES.'/veteran.scheme.json',
            ...$more,
        );
    }

    private function plan(string $recipe, int $models): stdClass
    {
        $method = self::FILES."/$recipe.method.json";
        $plan = $this->json(
            'ordotype:plan',
            "--tier=$recipe",
            '--sculpt='.self::FILES."/$recipe.sculpt.json",
            '--scheme='.self::FILES."/$recipe.scheme.json",
            "--pieces=$models",
            ...(is_file(dirname(__DIR__, 2)."/$method") ? ["--method=$method"] : []),
        );
        SchemaCheck::against('plan@1', $plan);

        return $plan;
    }

    private function json(string $command, string ...$arguments): stdClass
    {
        // No settings file is read and the database cannot be reached.
        $process = new Process(
            [PHP_BINARY, 'artisan', $command, '--json', '--standard='.self::FILES.'/ladder.json', ...$arguments],
            dirname(__DIR__, 2),
            ['APP_ENV' => 'nothing-set', 'APP_KEY' => '', 'DB_PORT' => '1', 'DB_PASSWORD' => ''],
            null,
            60,
        );
        $process->run();
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput().$process->getOutput());
        $document = Json::decode($process->getOutput());
        assert($document instanceof stdClass);

        return $document;
    }
}
