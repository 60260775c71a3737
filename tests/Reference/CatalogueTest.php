<?php

declare(strict_types=1);

namespace Tests\Reference;

use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Demo;

/**
 * The shipped catalogue holds the trade's figures (house defaults: common practice, no source) and a note on every
 * technique.
 */
final class CatalogueTest extends TestCase
{
    private const FIGURE_WORDS = [
        'hard_edges',
        'soft_folds',
        'deep_recesses',
        'fine_texture',
        'open_panel',
        'organic',
        'rivets',
        'tiny_detail',
        'joints',
    ];

    public function test_every_figure_is_the_trades(): void
    {
        $rows = Csv::rows('techniques.csv');
        $standard = Demo::standard();
        self::assertSame(array_column($rows, 'key'), array_map(fn (Technique $t) => $t->key, $standard->techniques));
        foreach ($rows as $row) {
            $t = $standard->technique($row['key']);
            $key = $row['key'];
            self::assertSame($row['family'], $t->family->value, $key);
            self::assertEquals(
                self::pairs($row['effects'], 'full'),
                array_map(fn (Extent $e) => $e->word(), $t->effects),
                $key,
            );
            self::assertEquals(self::suits($row['suits']), $t->suits, $key);
            self::assertSame($row['suits'] === 'whole', $t->whole, $key);
            self::assertSame($row['grade'] === '' ? null : (int) $row['grade'], $t->grade, $key);
            foreach (
                [
                    'credit' => $t->credit,
                    'coats' => $t->coats,
                    'max_passes' => $t->maxPasses,
                    'handling' => $t->handling,
                    'hand' => $t->hand,
                    'per_piece' => $t->perPiece,
                    'setup' => $t->setup,
                    'dry' => $t->dry,
                    'coat_dry' => $t->coatDry,
                    'skill' => $t->skill,
                    'mess' => $t->mess,
                    'big' => $t->big,
                    'tidied' => $t->tidied,
                    'taper' => $t->taper === true,
                ] as $column => $value
            ) {
                self::assertEquals((float) $row[$column], (float) $value, "$key $column");
            }
            self::assertSame(self::words($row['only_on']), array_map(fn (Material $m) => $m->value, $t->onlyOn), $key);
            self::assertSame(
                self::words($row['never_on']),
                array_map(fn (Material $m) => $m->value, $t->neverOn),
                $key,
            );
            self::assertSame(self::words($row['excludes']), $t->excludes, $key);
            self::assertSame(self::words($row['needs']), array_map(fn ($e) => $e->value, $t->needs), $key);
        }
    }

    public function test_every_technique_has_its_notes_and_names_known_faults(): void
    {
        $faults = array_map(fn (stdClass $f) => $f->key, self::faults());
        foreach (Demo::standard()->techniques as $t) {
            foreach (
                ['purpose' => $t->notes->purpose, 'how' => $t->notes->how, 'good' => $t->notes->good] as $field => $text
            ) {
                self::assertGreaterThan(8, strlen($text), "$t->key $field");
            }
            self::assertSame([], array_diff($t->notes->faults, $faults), $t->key);
        }
    }

    public function test_what_can_hurt_carries_a_caution(): void
    {
        foreach (
            [
                'prime_can',
                'prime_airbrush',
                'value_sketch',
                'spray_base',
                'spray_fade',
                'matt_varnish',
                'mould_line_removal',
                'gap_filling',
                'assemble',
                'join_parts',
                'pigment_dust',
            ] as $key
        ) {
            self::assertNotNull(Demo::standard()->technique($key)->notes->caution, $key);
        }
    }

    public function test_every_fault_is_the_trades_and_its_repair_uses_known_techniques(): void
    {
        $standard = Demo::standard();
        $words = ['C' => 'critical', 'M' => 'major', 'm' => 'minor', '' => null];
        $rows = Csv::rows('faults.csv');
        self::assertSame(array_column($rows, 'key'), array_map(fn (stdClass $f) => $f->key, self::faults()));
        foreach (self::faults() as $i => $fault) {
            $row = $rows[$i];
            self::assertSame(
                [
                    $words[$row['severity']],
                    $words[$row['hero_severity']],
                    $row['by_size'] === '1',
                    $row['where'],
                    self::words($row['first']),
                    $row['redo'],
                    self::words($row['materials']),
                    self::words($row['effects']),
                ],
                [
                    $fault->severity,
                    $fault->hero_severity,
                    $fault->by_size,
                    $fault->where,
                    $fault->first,
                    $fault->redo,
                    $fault->materials,
                    $fault->effects,
                ],
                $fault->key,
            );
            foreach ($fault->first as $technique) {
                self::assertTrue(
                    $technique === 'own_base' || $standard->hasTechnique($technique),
                    "$fault->key: $technique",
                );
            }
            foreach ([$fault->name, $fault->looks, $fault->cause, $fault->how_to_see] as $text) {
                self::assertNotSame('', $text, $fault->key);
            }
        }
    }

    /** @return list<stdClass> */
    private static function faults(): array
    {
        return json_decode(
            (string) file_get_contents(dirname(__DIR__, 2).'/database/catalogue/faults.json'),
            false,
            64,
            JSON_THROW_ON_ERROR,
        )->faults;
    }

    /** @return array<string, int> */
    private static function suits(string $cell): array
    {
        $suits = [];
        $pairs = $cell === 'whole' ? [] : self::pairs($cell, '');
        foreach (isset($pairs['all']) ? self::FIGURE_WORDS : [] as $relief) {
            $suits[$relief] = (int) $pairs['all'];
        }
        unset($pairs['all']);

        // A word beside it overrides, wherever it stands.
        return array_map(intval(...), [...$suits, ...$pairs]);
    }

    /** @return array<string, string> */
    private static function pairs(string $cell, string $default): array
    {
        $pairs = [];
        foreach (self::words($cell) as $word) {
            [$key, $value] = explode(':', "$word:");
            $pairs[$key] = $value === '' ? $default : $value;
        }

        return $pairs;
    }

    /** @return list<string> */
    private static function words(string $cell): array
    {
        return array_values(array_filter(explode(' ', $cell), fn (string $w) => $w !== ''));
    }
}
