<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\FaultFormat;
use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\CanonicalJson;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Foundation\Link;
use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Inspection\Checkpoint;
use Ordotype\Core\Inspection\CheckpointKey;
use Ordotype\Core\Inspection\FaultContrast;
use Ordotype\Core\Inspection\FaultSize;
use Ordotype\Core\Inspection\Judgement;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Signing;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Inspection\Verdict;
use Ordotype\Core\Planning\Demand\Method;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\FaultTable;
use Ordotype\Core\Standard\PhotographsWanted;
use Ordotype\Core\Standard\Severity;
use Ordotype\Core\Words\CheckWords;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;

final class InspectionTest extends TestCase
{
    public function test_a_fault_judged_by_size_counts_by_what_is_noticed_at_the_tiers_distance(): void
    {
        // Company: 2 arcminutes at 60 cm is 0.349 mm; from three times that, 1.047 mm, a fault is what the table says.
        $judge = fn (float $mm): ?Severity => $this->judge('overspill', 'coat', $mm)->severity;
        self::assertNull($judge(0.34));
        self::assertSame(Severity::Minor, $judge(0.36));
        self::assertSame(Severity::Minor, $judge(1.04));
        self::assertSame(Severity::Major, $judge(1.05));
        self::assertStringContainsString('0.35 mm', CheckWords::judgement($this->judge('overspill', 'coat', 0.36)));
    }

    public function test_a_fault_that_shouts_is_noticed_at_half_the_size_and_one_that_hides_at_double(): void
    {
        $tier = Demo::standard()->tier('company');
        $noticed = NoticingSize::mm($tier->viewing->distanceCm, $tier->viewing->angleArcmin);
        $figure = Demo::sculpt();
        $severity = fn (float $mm, ?float $contrast): ?Severity => Judgement::of(
            self::faults()->kind('bare_primer'), $tier, $figure, $figure->area('coat'), new Method(), null, Spread::Spot,
            $mm, $contrast,
        )->severity;
        foreach ([[null, 1.0], [10.0, 1.0], [40.0, 1.0], [40.1, 0.5], [9.9, 2.0]] as [$contrast, $factor]) {
            self::assertNull($severity($noticed * $factor * 0.99, $contrast), 'a note');
            self::assertSame(Severity::Minor, $severity($noticed * $factor * 1.01, $contrast));
            self::assertSame(Severity::Minor, $severity($noticed * $factor * 2.99, $contrast));
            self::assertSame(Severity::Major, $severity($noticed * $factor * 3.01, $contrast));
        }
        // From the colours of scheme, shelf and method: a white miss on a dark coat, a black one on it.
        $standard = Demo::standard();
        $of = function (string $fault, ?string $undercoat) use ($standard, $tier, $figure): ?float {
            $method = new Method([], $undercoat);
            $request = new PlanRequest($standard, $tier, $figure, Demo::scheme(), $method, shelf: Demo::shelf());

            return FaultContrast::of(self::faults()->kind($fault), $figure->area('coat'), $request);
        };
        $coat = Demo::shelf()->colourOf(Demo::scheme()->for($figure->area('coat'))->base ?? '')?->lab();
        self::assertNotNull($coat);
        foreach (['Oyster Bone', 'Tarpitch'] as $paint) {
            $under = Demo::shelf()->colourOf($paint)?->lab();
            self::assertNotNull($under);
            self::assertSame($coat->deltaE00($under), $of('bare_primer', $paint));
        }
        self::assertNull($of('bare_primer', null), 'the undercoat is not known');
        self::assertNull($of('pooling', 'Tarpitch'));
        $around = [];
        foreach ($figure->areas as $area) {
            $base = Demo::scheme()->for($area)?->base;
            if ($area->key !== 'coat' && $figure->touch('coat', $area->key) && $base !== null) {
                $around[] = $coat->deltaE00(Demo::shelf()->colourOf($base)?->lab() ?? $coat);
            }
        }
        self::assertSame(max($around), $of('overspill', null));
    }

    public function test_a_spread_stands_for_a_size_from_the_smallest_ring_of_the_area(): void
    {
        // Frame 60 by 80 mm: the smaller ring is 6 by 16 mm, so s = 6: a spot is 1 mm (6/8 held up to 1), a patch 1.5.
        $rings = [[[0.1, 0.1], [0.6, 0.1], [0.6, 0.9], [0.1, 0.9]], [[0.7, 0.5], [0.8, 0.5], [0.8, 0.7], [0.7, 0.7]]];
        $sculpt = Demo::sculptOf(['coat' => ['outline' => ['front' => $rings]]]);
        $size = fn (Spread $s): float => FaultSize::mm($sculpt->area('coat'), $sculpt, $s);
        self::assertEqualsWithDelta(
            [1.0, 1.5, 6.0],
            array_map($size, [Spread::Spot, Spread::Patch, Spread::Whole]),
            1e-9,
        );
        // Without outlines: 40 cm² with two counted things are s = √(4000 / 4) = 31.6 mm; a spot is held to 3 mm.
        $quick = Demo::sculptOf(['coat' => ['count' => 2]]);
        $size = fn (Spread $s): float => FaultSize::mm($quick->area('coat'), $quick, $s);
        self::assertEqualsWithDelta(
            [3.0, 7.906, 31.623],
            array_map($size, [Spread::Spot, Spread::Patch, Spread::Whole]),
            0.001,
        );
        // An area smaller than the smallest spot: the spot is the area.
        $tiny = Demo::sculptOf(['eye' => ['share_pct' => 1], 'coat' => ['share_pct' => 99]], ['surface_cm2' => 0.5]);
        self::assertEqualsWithDelta(sqrt(0.25), FaultSize::mm($tiny->area('eye'), $tiny, Spread::Spot), 1e-9);
    }

    public function test_severity_follows_tier_clause_hero_and_table_and_focus_raises_a_minor(): void
    {
        self::assertSame(Severity::Minor, $this->judge('hard_step', 'coat')->severity);
        self::assertSame(Severity::Major, $this->judge('hard_step', 'face')->severity, 'focus 3');
        self::assertSame(
            Severity::Major,
            $this->judge('hard_step', 'robe', sculpt: 'lantern-provost')->severity,
            'heroes',
        );
        self::assertSame(Severity::Critical, $this->judge('hard_step', 'coat', clause: Severity::Critical)->severity);
        self::assertSame(Severity::Critical, $this->judge('broken_part', 'coat')->severity);
        $worn = MethodFormat::read(Demo::object(['format' => MethodFormat::WORD, 'look' => 'worn']));
        self::assertNull($this->judge('pooling', 'coat', method: $worn)->severity, 'wanted');
    }

    public function test_a_repair_starts_with_the_base_redoes_later_steps_and_varnishes_again(): void
    {
        $plan = self::plan('company');
        $names = fn (string $fault, string $area, Spread $spread, bool $varnished): array => array_map(
            fn (RepairStep $s) => "{$s->technique->key} ".($s->area->key ?? '*'),
            (new Repair($plan))->of(
                self::faults()->kind($fault),
                $plan->request->sculpt->area($area),
                $spread,
                $varnished,
            ),
        );
        // The coat is sprayed: it is repaired by brush, and its wash strays onto neighbours.
        $coat = $names('bare_primer', 'coat', Spread::Patch, true);
        self::assertSame(['base_coat coat', 'wash_all_over coat', 'drybrush coat'], array_slice($coat, 0, 3));
        self::assertContains('tidy_base hood', $coat);
        self::assertSame('matt_varnish *', $coat[count($coat) - 1]);
        self::assertNotContains('matt_varnish *', $names('bare_primer', 'coat', Spread::Patch, false));
        // A stain is put back over a light ground.
        self::assertSame(
            ['light_underlay face', 'stain_coat face'],
            array_slice($names('bare_primer', 'face', Spread::Whole, false), 0, 2),
        );
        self::assertSame(
            ['tint_filter satchel'],
            $names('dusty_drybrush', 'satchel', Spread::Spot, false),
            'nothing later is done again',
        );
        self::assertSame(
            ['gloss_under *', 'matt_varnish *'],
            array_map(
                fn (RepairStep $s) => "{$s->technique->key} ".($s->area->key ?? '*'),
                (new Repair($plan))->of(self::faults()->kind('frosted_varnish'), null, Spread::Whole, true),
            ),
        );
        $minutes = fn (Spread $spread): float => array_sum(
            array_map(
                fn (RepairStep $s) => $s->minutes,
                (new Repair($plan))->of(
                    self::faults()->kind('dusty_drybrush'),
                    $plan->request->sculpt->area('coat'),
                    $spread,
                    false,
                ),
            ),
        );
        self::assertEqualsWithDelta(0.15 * $minutes(Spread::Whole), $minutes(Spread::Spot), 1e-9);
        self::assertEqualsWithDelta(0.25 * $minutes(Spread::Whole), $minutes(Spread::Patch), 1e-9);
    }

    public function test_a_repair_leaves_out_what_the_catalogue_does_not_have(): void
    {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof \stdClass);
        $document->techniques = array_values(
            array_filter($document->techniques, fn ($t) => $t->key !== 'gloss_under'),
        );
        $standard = StandardFormat::read($document);
        $plan = Demo::planner()->plan(new PlanRequest($standard, $standard->tier('company'), Demo::sculpt()));
        $steps = (new Repair($plan))->of(self::faults()->kind('frosted_varnish'), null, Spread::Whole, true);
        self::assertSame(['matt_varnish'], array_map(fn (RepairStep $s) => $s->technique->key, $steps));
    }

    public function test_a_piece_passes_only_without_grave_faults_and_with_every_mandatory_answer(): void
    {
        $q = fn (string $key, bool $mandatory): Checkpoint => new Checkpoint(
            CheckpointKey::kept($key),
            View::Front,
            [],
            [],
            [],
            $mandatory,
            null,
            1,
        );
        $accept = array_values(
            array_filter(
                Demo::standard()->clausesOf(Demo::standard()->tier('company')),
                fn ($c) => $c instanceof \Ordotype\Core\Standard\AcceptanceClause,
            ),
        )[0];
        $questions = [$q('a', true), $q('b', true), $q('c', false)];
        $of = fn (array $answered, array $faults, $clause): Verdict => Verdict::of(
            $questions,
            array_map(CheckpointKey::kept(...), $answered),
            $faults,
            $clause,
        );
        self::assertTrue($of(['a', 'b'], [], null)->passes);
        self::assertFalse($of(['a', 'c'], [], null)->passes);
        self::assertSame(['b'], array_map(fn ($k) => $k->id, $of(['a', 'c'], [], null)->open));
        self::assertTrue($of(['a', 'b'], array_fill(0, 4, Severity::Minor), $accept)->passes, 'four pass at Company');
        self::assertFalse($of(['a', 'b'], array_fill(0, 5, Severity::Minor), $accept)->passes);
        self::assertFalse($of(['a', 'b'], [Severity::Minor], null)->passes, 'no acceptance clause: nothing passes');
        self::assertFalse($of(['a', 'b'], [Severity::Major], $accept)->passes);
        self::assertFalse($of(['a', 'b'], [Severity::Critical], $accept)->passes);
        // Where the tier wants photographs, each view must have one.
        $wants = $accept->changed(new ClauseChange(photographs: PhotographsWanted::Required));
        self::assertInstanceOf(AcceptanceClause::class, $wants);
        $seen = fn (array $views): Verdict => Verdict::of($questions, array_map(CheckpointKey::kept(...), ['a', 'b']), [], $wants, $views);
        self::assertSame([false, [View::Front, View::Back]], [$seen([])->passes, $seen([])->unphotographed]);
        self::assertFalse($seen([View::Front])->passes);
        self::assertTrue($seen([View::Back, View::Front])->passes);
        self::assertSame('Still to photograph: the back', CheckWords::verdict($seen([View::Front])));
    }

    public function test_nobody_signs_own_work_but_where_there_is_no_one_else(): void
    {
        $may = fn (int $signer, array $maySign, array $painters, array $answered, int $people): bool => Signing::by(
            $signer,
            $maySign,
            $painters,
            $answered,
            $people,
        )->allows();
        self::assertFalse($may(9, [1, 2], [], [], 5), 'no right to sign');
        self::assertTrue($may(1, [1, 2], [3], [1], 5));
        self::assertFalse($may(1, [1, 2], [1], [3], 5), 'somebody else may sign');
        self::assertTrue($may(1, [1, 2], [1, 2], [3], 5), 'all who may sign painted; another answered');
        self::assertFalse($may(1, [1, 2], [1, 2], [1], 5), 'nobody but the signer answered');
        self::assertFalse($may(1, [1], [1], [], 2));
        self::assertTrue($may(1, [1], [1], [], 1), 'a studio of one');
        self::assertStringContainsString('studio of one', CheckWords::signing(Signing::by(1, [1], [1], [], 1)));
    }

    public function test_canonical_json_follows_rfc_8785(): void
    {
        // RFC 8785, 3.2.3: members are sorted by UTF-16 code units; its example, with the names it gives.
        $names = [
            "\u{20ac}" => 'Euro Sign',
            "\r" => 'Carriage Return',
            "\u{fb33}" => 'Hebrew Letter Dalet With Dagesh',
            '1' => 'One',
            "\u{1f600}" => 'Emoji: Grinning Face',
            "\u{80}" => 'Control',
            "\u{f6}" => 'Latin Small Letter O With Diaeresis',
        ];
        self::assertSame(
            [
                'Carriage Return',
                'One',
                'Control',
                'Latin Small Letter O With Diaeresis',
                'Euro Sign',
                'Emoji: Grinning Face',
                'Hebrew Letter Dalet With Dagesh',
            ],
            array_values((array) json_decode(CanonicalJson::encode($names), true)),
        );
        self::assertSame(
            '{"a":[1,true,null,"é\"\\\\/\n\u001f"],"b":{}}',
            CanonicalJson::encode(['b' => new \stdClass(), 'a' => [1, true, null, "é\"\\/\n\x1f"]]),
        );
        self::assertSame('{"a":2,"b":0.1}', CanonicalJson::encode(['b' => 0.1, 'a' => 2.0]));
        $this->expectException(\InvalidArgumentException::class);
        CanonicalJson::record(['x' => 1.5]);
    }

    public function test_the_chain_names_the_first_link_that_was_touched(): void
    {
        $links = [];
        $previous = Chain::START;
        foreach (range(1, 5) as $number) {
            $links[] = Chain::link($number, $previous, ['number' => $number, 'what' => "piece $number"]);
            $previous = $links[$number - 1]->hash;
        }
        self::assertNull(Chain::broken($links, $previous));
        $changed = $links;
        $record = str_replace('piece 3', 'piece 4', $links[2]->record);
        $changed[2] = new Link(3, $links[2]->previous, $links[2]->hash, $record);
        self::assertSame(3, Chain::broken($changed)?->number);
        $changed[2] = new Link(3, $links[2]->previous, hash('sha256', $record), $record);
        self::assertSame(4, Chain::broken($changed)?->number, 'a new hash breaks the link after it');
        // A record among its neighbours, as its client is told.
        self::assertTrue(Chain::fits(array_slice($links, 1, 3)));
        self::assertTrue(Chain::fits([$links[0], $links[1]]));
        self::assertTrue(Chain::fits([$links[4]]));
        self::assertFalse(Chain::fits([$links[1], $changed[2], $links[3]]), 'the next one rests on another text');
        self::assertFalse(Chain::fits([$links[1], $links[3]]), 'one between them is gone');
        $text = new Link(3, $links[2]->previous, $links[2]->hash, $record);
        self::assertFalse(Chain::fits([$links[1], $text, $links[3]]));
        $first = Chain::link(1, $links[0]->hash, ['number' => 1]);
        self::assertFalse(Chain::fits([$first]), 'the first follows on nothing');
        $gone = $links;
        unset($gone[1]);
        self::assertSame(2, Chain::broken($gone)?->number);
        self::assertNull(Chain::broken(array_slice($links, 0, 3)), 'a cut tail alone looks whole');
        self::assertSame(3, Chain::broken(array_slice($links, 0, 3), $previous)?->number, 'but not with the head');
        self::assertSame(1, Chain::broken(array_slice($links, 1))?->number);
        self::assertNull(Chain::broken([]));
        self::assertNotNull(Chain::broken([], $previous));
    }

    private function judge(
        string $fault,
        string $area,
        ?float $mm = null,
        string $sculpt = 'sluice-warden',
        ?Severity $clause = null,
        Method $method = new Method(),
    ): Judgement {
        $figure = Demo::sculpt($sculpt);

        return Judgement::of(
            self::faults()->kind($fault),
            Demo::standard()->tier('company'),
            $figure,
            $figure->area($area),
            $method,
            $clause,
            Spread::Patch,
            $mm,
        );
    }

    private static function plan(string $tier, string $sculpt = 'sluice-warden'): Plan
    {
        $standard = Demo::standard();

        return Demo::planner()->plan(
            new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculpt($sculpt),
                Demo::scheme(),
                shelf: Demo::shelf(),
            ),
        );
    }

    public static function faults(): FaultTable
    {
        return FaultFormat::read(
            json_decode((string) file_get_contents(dirname(__DIR__, 2).'/database/catalogue/faults.json')),
        );
    }
}
