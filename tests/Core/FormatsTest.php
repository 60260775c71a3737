<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Formats\SchemaCheck;
use BackedEnum;
use Closure;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\PlanFormat;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Format\ShelfFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Facing;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\ClauseKind;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Gate;
use Ordotype\Core\Standard\Place;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\TierStatus;
use Ordotype\Core\Studio\OrderStatus;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Demo;

final class FormatsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function documents(): iterable
    {
        foreach (
            [
                'standards' => 'standard@1',
                'sculpts' => 'sculpt@1',
                'schemes' => 'scheme@1',
                'methods' => 'method@1',
                'amendments' => 'amendment@1',
            ] as $folder => $schema
        ) {
            foreach (glob(Demo::path("$folder/*.json")) ?: [] as $file) {
                yield "$folder/".basename($file) => ["$folder/".basename($file), $schema];
            }
        }
    }

    /** A word that the core knows and a schema or the contract does not, or the other way round. */
    public function test_closed_sets_are_the_same_in_the_core_its_schemas_and_the_contract(): void
    {
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/schemas/standard@1.schema.json'));
        $contract = Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml')['components']['schemas'];
        $words = fn (array $cases): array => array_map(fn (BackedEnum $c) => $c->value, $cases);
        $sets = [
            'Effect' => $words(Effect::cases()),
            'Family' => $words(Family::cases()),
            'Material' => $words(Material::cases()),
            'Rank' => $words(Rank::cases()),
            'Relief' => $words(Relief::cases()),
            'Facing' => $words(Facing::cases()),
            'FigureRole' => $words(Role::cases()),
            'Size' => $words(Size::cases()),
            'View' => $words(View::cases()),
            'Gate' => $words(Gate::cases()),
            'Criterion' => $words(Criterion::cases()),
            'TechniqueStatus' => $words(TechniqueStatus::cases()),
            'TierStatus' => $words(TierStatus::cases()),
            'ClausePlace' => $words(Place::cases()),
            'ClauseSeverity' => $words(Severity::cases()),
            'Extent' => array_values(array_diff(
                array_map(fn (Extent $e) => $e->word(), Extent::cases()),
                [Extent::None->word()],
            )),
        ];
        foreach ($sets as $name => $values) {
            self::assertEqualsCanonicalizing($values, $schema->{'$defs'}->{$name}->enum, "the schema's $name");
            self::assertEqualsCanonicalizing($values, $contract[$name]['enum'], "the contract's $name");
        }
        $kinds = $words(ClauseKind::cases());
        self::assertEqualsCanonicalizing($kinds, $schema->{'$defs'}->clause->properties->kind->enum);
        self::assertCount(count($kinds), $schema->{'$defs'}->clause->allOf, 'each with its fields');
        self::assertEqualsCanonicalizing($kinds, array_keys($contract['Clause']['discriminator']['mapping']));
        self::assertEqualsCanonicalizing($words(OrderStatus::cases()), $contract['OrderStatus']['enum']);
    }

    #[DataProvider('documents')]
    public function test_what_is_read_is_written_back_equal_and_fits_its_schema(string $file, string $schema): void
    {
        $document = Demo::json($file);
        SchemaCheck::against($schema, $document);
        $written = match ($schema) {
            'standard@1' => StandardFormat::write(StandardFormat::read($document)),
            'sculpt@1' => SculptFormat::write(SculptFormat::read($document)),
            'scheme@1' => SchemeFormat::write(SchemeFormat::read($document)),
            'method@1' => MethodFormat::write(MethodFormat::read($document)),
            default => array_map(AmendmentFormat::write(...), AmendmentFormat::read($document, self::techniques())),
        };
        self::assertSame(CanonicalJson::encode($document), CanonicalJson::encode($written));
    }

    public function test_every_kind_of_clause_and_every_optional_key_survives_reading_and_writing(): void
    {
        $document = self::standard();
        $document->techniques[0]->retired = true;
        $document->techniques[1]->mark_mm = 0.3;
        $document->techniques[1]->taper = true;
        $document->tiers[1]->faults = (object) ['tide_mark' => 'critical'];
        $document->tiers[1]->clauses[] = Demo::object([
            'id' => 'muster.any',
            'kind' => 'effect',
            'effect' => ['shade', 'tint'],
            'extent' => 'spot',
            'passes' => 1,
            'by' => ['glaze'],
            'place' => 'upper',
            'scope' => [
                'rank' => ['main'],
                'material' => ['cloth'],
                'relief' => ['joints'],
                'role' => ['hero'],
                'size' => ['large'],
                'facing' => ['back'],
                'area' => ['hem'],
                'focus_min' => 2,
                'except' => ['except' => ['focus_min' => 3]],
            ],
            'label' => 'Row',
            'client_text' => 'Plain',
            'severity' => 'critical',
        ]);
        $document->tiers[1]->clauses[] = Demo::object([
            'id' => 'muster.sampled',
            'kind' => 'acceptance',
            'role' => ['horde'],
            'inspect' => 'sample',
            'level' => 'II',
            'aql' => ['major' => 4, 'minor' => 6.5],
            'limits' => ['critical' => 0, 'major' => 1, 'minor' => 3],
            'views' => ['under'],
            'gates' => [],
            'consent' => 'none',
        ]);
        self::assertSame(
            CanonicalJson::encode($document),
            CanonicalJson::encode(StandardFormat::write(StandardFormat::read($document))),
        );
        SchemaCheck::against('standard@1', $document);
    }

    /**
     * @return iterable<string, array{string, Closure(stdClass): mixed, string, string}> what is spoilt, how, and the
     * path and words that must be said
     */
    public static function spoilt(): iterable
    {
        yield 'format word' => [
            'standard',
            fn ($d) => ($d->format = 'ordotype/standard@2'),
            '/format',
            'ordotype/standard@1',
        ];
        yield 'unknown key' => [
            'standard',
            fn ($d) => ($d->tiers[2]->colour = 'red'),
            '/tiers/2/colour',
            'unknown key',
        ];
        yield 'missing key' => [
            'standard',
            function ($d) {
                unset($d->tiers[2]->pace);
            },
            '/tiers/2',
            'lacks "pace"',
        ];
        yield 'number as text' => [
            'standard',
            fn ($d) => ($d->techniques[3]->hand = '4.0'),
            '/techniques/3/hand',
            'must be a number, not text',
        ];
        yield 'money as number' => [
            'standard',
            fn ($d) => ($d->prices[0]->low = 14.0),
            '/prices/0/low',
            'must be text',
        ];
        yield 'money with one decimal' => [
            'standard',
            fn ($d) => ($d->prices[0]->low = '14.0'),
            '/prices/0/low',
            'two decimals',
        ];
        yield 'half a pass' => [
            'standard',
            fn ($d) => ($d->techniques[3]->max_passes = 1.5),
            '/techniques/3/max_passes',
            'whole number',
        ];
        yield 'endless minutes' => [
            'standard',
            fn ($d) => ($d->techniques[3]->dry = 1e300),
            '/techniques/3/dry',
            'within',
        ];
        yield 'unknown technique in a clause' => [
            'standard',
            fn ($d) => (self::clause($d, 'muster.mount')->technique = 'sorcery'),
            '/tiers/1/clauses/0/technique',
            '"sorcery"',
        ];
        yield 'unknown technique in by' => [
            'standard',
            fn ($d) => (self::clause($d, 'company.edges')->by = ['sorcery']),
            '/by/0',
            '"sorcery"',
        ];
        yield 'unknown technique in excludes' => [
            'standard',
            fn ($d) => ($d->techniques[5]->excludes = ['sorcery']),
            '/techniques/5/excludes/0',
            '"sorcery"',
        ];
        yield 'technique twice' => [
            'standard',
            fn ($d) => ($d->techniques[5]->key = 'assemble'),
            '/techniques/5/key',
            'earlier technique',
        ];
        yield 'neither technique nor family' => [
            'standard',
            function ($d) {
                unset(self::clause($d, 'muster.mount')->technique);
            },
            '/tiers/1/clauses/0',
            'either',
        ];
        yield 'unknown kind of clause' => [
            'standard',
            fn ($d) => (self::clause($d, 'muster.mount')->kind = 'wish'),
            '/tiers/1/clauses/0/kind',
            '"wish"',
        ];
        yield 'unknown effect' => [
            'standard',
            fn ($d) => (self::clause($d, 'muster.shade')->effect = 'sparkle'),
            '/effect',
            '"sparkle"',
        ];
        yield 'clause that ends like another' => [
            'standard',
            fn ($d) => (self::clause($d, 'muster.mould')->id = 'muster.mount'),
            '/tiers/1/clauses/1/id',
            'earlier clause',
        ];
        yield 'extends an unknown tier' => [
            'standard',
            fn ($d) => ($d->tiers[2]->extends = 'nowhere'),
            '/tiers/2/extends',
            '"nowhere"',
        ];
        yield 'extends in a circle' => [
            'standard',
            fn ($d) => ($d->tiers[1]->extends = 'cabinet'),
            '/tiers/1/extends',
            'circle',
        ];
        yield 'drops what is not there' => [
            'standard',
            fn ($d) => ($d->tiers[2]->drop = ['nothing']),
            '/tiers/2/drop/0',
            'nothing',
        ];
        yield 'price of an unknown tier' => [
            'standard',
            fn ($d) => ($d->prices[0]->tier = 'nowhere'),
            '/prices/0/tier',
            '"nowhere"',
        ];
        yield 'price upside down' => [
            'standard',
            fn ($d) => ($d->prices[0]->high = '0.50'),
            '/prices/0/high',
            'below',
        ];
        yield 'whole technique that suits a relief' => [
            'standard',
            fn ($d) => ($d->techniques[0]->suits = (object) ['rim' => 1]),
            '/techniques/0/suits',
            'whole model',
        ];
        yield 'suits nothing' => [
            'standard',
            fn ($d) => ($d->techniques[20]->suits = new stdClass()),
            '/techniques/20/suits',
            'at least one relief',
        ];
        yield 'sample without a level' => [
            'standard',
            fn ($d) => (self::clause($d, 'muster.accept')->inspect = 'sample'),
            '/tiers/1/clauses',
            'level',
        ];
        yield 'a list for an object' => ['standard', fn ($d) => ($d->tiers[0] = []), '/tiers/0', 'must be an object'];
        yield 'shares that do not sum' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->share_pct = 40),
            '/areas',
            'sum to 112 %',
        ];
        yield 'touches what is not there' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->touches = ['wings']),
            '/areas/0/touches/0',
            '"wings"',
        ];
        yield 'touches itself' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->touches = ['coat']),
            '/areas/0/touches/0',
            'itself',
        ];
        yield 'surrounded by nothing' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->surround = 'ring'),
            '/areas/0/surround',
            '"ring"',
        ];
        yield 'part that is not listed' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->part = 'shield'),
            '/areas/0/part',
            '"shield"',
        ];
        yield 'point outside the frame' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->outline->front[0][1][0] = 1.2),
            '/areas/0/outline/front/0/1/0',
            '0 to 1',
        ];
        yield 'ring of two points' => [
            'sculpt',
            fn ($d) => ($d->areas[0]->outline->front[0] = [[0, 0], [1, 1]]),
            '/areas/0/outline/front/0',
            'three points',
        ];
        yield 'area twice' => ['sculpt', fn ($d) => ($d->areas[1]->key = 'coat'), '/areas/1/key', 'earlier area'];
        yield 'no area' => ['sculpt', fn ($d) => ($d->areas = []), '/areas', 'at least one'];
        yield 'word for a number' => [
            'sculpt',
            fn ($d) => ($d->surface_cm2 = 'large'),
            '/surface_cm2',
            'must be a number',
        ];
        yield 'unknown material' => [
            'sculpt',
            fn ($d) => ($d->areas[2]->material = 'moonstone'),
            '/areas/2/material',
            '"moonstone"',
        ];
        yield 'relief twice' => [
            'sculpt',
            fn ($d) => ($d->areas[2]->relief = ['organic', 'organic']),
            '/areas/2/relief/1',
            'twice',
        ];
        yield 'not a colour' => [
            'scheme',
            fn ($d) => ($d->slots->skin->base = '#12345'),
            '/slots/skin/base',
            '#rrggbb',
        ];
        yield 'unknown school' => ['method', fn ($d) => ($d->undercoat = 'pink'), '/undercoat', 'light, dark'];
        yield 'amendment with neither' => ['amendment', fn ($d) => ($d->clause = null), '', 'either'];
        yield 'amendment without a reason' => ['amendment', fn ($d) => ($d->reason = ' '), '/reason', 'empty'];
    }

    #[DataProvider('spoilt')]
    public function test_bad_documents_are_refused_with_path_and_reason(
        string $what,
        Closure $spoil,
        string $path,
        string $words,
    ): void {
        $document = match ($what) {
            'standard' => self::standard(),
            'sculpt' => Demo::json('sculpts/sluice-warden.json'),
            'scheme' => Demo::json('schemes/tidemark.json'),
            'method' => Demo::json('methods/dark-undercoat.json'),
            default => ((array) Demo::json('amendments/company-warden.json'))[0],
        };
        $spoil($document);
        try {
            match ($what) {
                'standard' => StandardFormat::read($document),
                'sculpt' => SculptFormat::read($document),
                'scheme' => SchemeFormat::read($document),
                'method' => MethodFormat::read($document),
                default => AmendmentFormat::read($document, self::techniques()),
            };
        } catch (FormatException $e) {
            $said = array_map(strval(...), $e->problems);
            $fitting = array_filter(
                $e->problems,
                fn ($p) => str_contains($p->path, $path) && str_contains($p->reason, $words),
            );
            self::assertNotSame([], $fitting, "Neither names $path with “{$words}”:\n".implode("\n", $said));

            return;
        }
        self::fail('It was read as if nothing were wrong.');
    }

    public function test_all_that_is_wrong_is_said_at_once(): void
    {
        $document = self::standard();
        $document->tiers[1]->pace = 'slow';
        $document->techniques[0]->hand = null;
        $document->currency = 'shells';
        try {
            StandardFormat::read($document);
            self::fail('It was read.');
        } catch (FormatException $e) {
            self::assertSame(
                ['/techniques/0/hand', '/tiers/1/pace', '/currency'],
                array_map(fn ($p) => $p->path, $e->problems),
            );
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function notJson(): iterable
    {
        yield 'not JSON' => ['{"format":', 'is not JSON'];
        yield 'empty' => ['', 'is not JSON'];
        yield 'not UTF-8' => ["{\"name\":\"\xE9t\xE9\"}", 'is not UTF-8'];
        yield 'too deep' => [str_repeat('[', 100).str_repeat(']', 100), 'is not JSON'];
        yield 'too large' => ['"'.str_repeat('a', Json::MAX_BYTES).'"', 'is too large'];
    }

    #[DataProvider('notJson')]
    public function test_what_is_no_document_is_refused(string $text, string $words): void
    {
        $this->expectException(FormatException::class);
        $this->expectExceptionMessage($words);
        Json::decode($text);
    }

    public function test_a_plan_fits_its_schema_and_is_the_same_bytes_every_time(): void
    {
        $bytes = [];
        foreach ([1, 2] as $_) {
            $standard = Demo::standard();
            foreach (['company', 'centrepiece'] as $tier) {
                $written = PlanFormat::write(
                    Demo::planner()->plan(
                        new PlanRequest(
                            $standard,
                            $standard->tier($tier),
                            Demo::sculpt('lantern-provost'),
                            Demo::scheme(),
                            shelf: Demo::shelf(),
                            pieces: 5,
                        ),
                    ),
                );
                SchemaCheck::against('plan@1', Json::decode(Json::encode($written)));
                $bytes[$tier][] = Json::encode($written);
            }
        }
        self::assertSame($bytes['company'][0], $bytes['company'][1]);
        self::assertSame($bytes['centrepiece'][0], $bytes['centrepiece'][1]);
    }

    public function test_a_shelf_names_the_line_that_is_wrong(): void
    {
        try {
            ShelfFormat::readCsv(
                "name,kind,hex,hiding,ml\nTarpitch,opaque,#1b1a1c,high,17\nOoze,opaque,green,high,17\nTarpitch,opaque,#000000,low,1\n",
            );
            self::fail('It was read.');
        } catch (FormatException $e) {
            self::assertSame(['/line 3', '/line 4'], array_map(fn ($p) => $p->path, $e->problems));
        }
    }

    /** @return array<string, true> */
    private static function techniques(): array
    {
        return array_fill_keys(array_map(fn (Technique $t) => $t->key, Demo::standard()->techniques), true);
    }

    private static function standard(): stdClass
    {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof stdClass);

        return $document;
    }

    private static function clause(stdClass $document, string $id): stdClass
    {
        foreach ($document->tiers as $tier) {
            foreach ($tier->clauses as $clause) {
                if ($clause->id === $id) {
                    return $clause;
                }
            }
        }
        self::fail("There is no clause $id.");
    }
}
