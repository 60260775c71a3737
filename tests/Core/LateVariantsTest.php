<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Planning\Unit\LateVariants;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Reference\Csv;
use Tests\Support\Demo;

/** What can still go over finished paint, by the trade's table of techniques. */
final class LateVariantsTest extends TestCase
{
    /** Effects that change a look and paint nothing over (common practice, no source). */
    private const OVER_PAINT = ['tint', 'tone', 'freehand', 'wear', 'wear_drawn', 'grime', 'ground_plants'];

    /** @return iterable<string, array{string}> */
    public static function figures(): iterable
    {
        foreach (['sluice-warden', 'mudlark', 'lantern-provost', 'bell-diver', 'reedback-toad', 'ferry-gun'] as $figure) {
            yield $figure => [$figure];
        }
    }

    #[DataProvider('figures')]
    public function test_an_area_is_given_what_its_material_and_relief_take_and_nothing_that_covers(string $figure): void
    {
        $rows = Csv::rows('techniques.csv');
        $catalogue = Demo::standard()->techniques;
        $some = 0;
        foreach (Demo::sculpt($figure)->areas as $area) {
            $relief = array_map(fn (Relief $r) => $r->value, $area->relief);
            // `all` stands for the words of a figure, not of its base (trade.md 2).
            $relief = array_diff($relief, ['ground', 'rim']) === [] ? $relief : [...$relief, 'all'];
            $wanted = [];
            foreach ($rows as $row) {
                $effects = array_map(fn (string $e) => explode(':', $e)[0], self::words($row['effects']));
                $only = self::words($row['only_on']);
                $suits = array_map(fn (string $s) => explode(':', $s)[0], self::words($row['suits']));
                if (
                    $effects !== [] &&
                    array_diff($effects, self::OVER_PAINT) === [] &&
                    ($only === [] || in_array($area->material->value, $only, true)) &&
                    ! in_array($area->material->value, self::words($row['never_on']), true) &&
                    array_intersect($suits, $relief) !== []
                ) {
                    $wanted[] = $row['key'];
                }
            }
            $given = array_map(fn (Technique $t) => $t->key, LateVariants::on($area, $catalogue));
            self::assertEqualsCanonicalizing($wanted, $given, $area->key);
            $some += count($given);
        }
        self::assertGreaterThan(0, $some);
    }

    /** @return list<string> */
    private static function words(string $cell): array
    {
        return array_values(array_filter(explode(' ', $cell), fn (string $w) => $w !== ''));
    }
}
