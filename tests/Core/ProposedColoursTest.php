<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\Proposed;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\SlotCheck;
use Ordotype\Core\Colour\SlotProblem;
use Ordotype\Core\Colour\SlotProblemKind;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\ShelfFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Slots that have no colours yet get some that a painter would nod at. */
final class ProposedColoursTest extends TestCase
{
    private static function shelf(): Shelf
    {
        return ShelfFormat::readCsv((string) file_get_contents(dirname(__DIR__, 2).'/database/starter/rack.csv'));
    }

    /** @return iterable<string, array{string}> */
    public static function templates(): iterable
    {
        foreach (glob(dirname(__DIR__, 2).'/database/templates/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    #[DataProvider('templates')]
    public function test_every_slot_of_a_template_gets_what_its_material_is_painted_with(string $file): void
    {
        $shelf = self::shelf();
        $sculpt = SculptFormat::read(Json::decode((string) file_get_contents($file)));
        foreach ($sculpt->areas as $area) {
            self::assertNotNull($area->slot, "$area->name has a slot");
        }
        $scheme = new Scheme('trial', [], []);
        foreach (SlotCheck::all($scheme, [$sculpt], $shelf) as $slot) {
            $areas = array_column($slot->places, 1);
            self::assertNotSame([], $areas);
            $colours = Proposed::colours($areas, $shelf);
            self::assertNotNull($colours, $slot->slot);
            $paint = $shelf->paint($colours->base->words());
            self::assertInstanceOf(Paint::class, $paint);
            $metal = array_filter($areas, fn ($a) => $a->isMetal());
            if (count($metal) === count($areas) || $metal === []) {
                self::assertSame($metal === [] ? 'opaque' : 'metal', $paint->kind, "$slot->slot gets $paint->name");
            }
            $scheme = $scheme->with(new Scheme('trial', [$slot->slot => $colours], []));
        }
        $wrong = [];
        foreach (SlotCheck::all($scheme, [$sculpt], $shelf) as $slot) {
            $wrong = [...$wrong, ...array_map(fn (SlotProblem $p) => "$slot->slot: {$p->kind->name}", $slot->problems)];
        }
        self::assertSame([], $wrong, 'every shade falls and every light rises enough to be seen');
    }

    public function test_cloth_takes_what_no_other_slot_has_and_a_shelf_without_metals_has_none_for_steel(): void
    {
        $shelf = self::shelf();
        $file = dirname(__DIR__, 2).'/database/templates/figure.json';
        $sculpt = SculptFormat::read(Json::decode((string) file_get_contents($file)));
        $of = fn (string $slot): array => array_values(array_filter($sculpt->areas, fn ($a) => $a->slot === $slot));
        $cloths = array_values(array_unique(array_map(
            fn ($a) => (string) $a->slot,
            array_filter($sculpt->areas, fn ($a) => $a->material->value === 'cloth'),
        )));
        $first = Proposed::colours($of($cloths[0]), $shelf);
        self::assertNotNull($first);
        $second = Proposed::colours($of($cloths[0]), $shelf, [$first->base->words()]);
        self::assertNotSame($first->base->words(), $second?->base->words());
        $plain = new Shelf(array_values(array_filter($shelf->paints, fn (Paint $p) => $p->kind !== 'metal')));
        self::assertNull(Proposed::colours($of('steel'), $plain));
        self::assertSame(SlotProblemKind::NoColours, SlotCheck::all(new Scheme('x', [], []), [$sculpt], $plain)[0]->problems[0]->kind);
    }
}
