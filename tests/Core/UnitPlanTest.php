<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Format\AmendmentFormat;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Planning\Unit\Variant;
use Ordotype\Core\Planning\Unit\VariantAssignment;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentSpread;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\TestCase;
use Tests\Support\Demo;
use Tests\Support\DemoPlans;
use Tests\Support\OrderChecker;

/** Units whose pieces are not all alike. */
final class UnitPlanTest extends TestCase
{
    public function test_what_is_dealt_evenly_lies_as_far_apart_as_it_can(): void
    {
        for ($n = 1; $n <= 24; $n++) {
            for ($k = 0; $k <= $n; $k++) {
                foreach ([0, 1, 7] as $turn) {
                    $places = VariantAssignment::evenly($n, $k, $turn);
                    self::assertCount($k, array_unique($places), "$k of $n");
                    self::assertSame([], array_filter($places, fn (int $p) => $p < 0 || $p >= $n));
                    $gaps = array_map(
                        fn (int $i) => ((($places[($i + 1) % $k] ?? 0) - $places[$i] + $n - 1) % $n) + 1,
                        array_keys($places),
                    );
                    self::assertLessThanOrEqual(
                        1,
                        $k === 0 ? 0 : max($gaps) - min($gaps),
                        "$k of $n: ".implode(' ', $places),
                    );
                }
            }
        }
        self::assertSame(
            [3, 3, 0, 5],
            [
                VariantAssignment::count(new AmendmentSpread(3, null), 12),
                VariantAssignment::count(new AmendmentSpread(null, 0.25), 12),
                VariantAssignment::count(new AmendmentSpread(null, 0.1), 4),
                VariantAssignment::count(new AmendmentSpread(9, null), 5),
            ],
        );
    }

    public function test_variants_keep_their_shares_at_every_point_along_the_unit(): void
    {
        foreach ([[0.25], [0.5, 0.5], [0.3, 0.2, 0.1], [1 / 3, 1 / 3, 1 / 3], [1.0], []] as $shares) {
            for ($n = 1; $n <= 30; $n++) {
                $dealt = VariantAssignment::byShare($n, $shares);
                self::assertCount($n, $dealt);
                foreach ($shares as $v => $share) {
                    for ($k = 1; $k <= $n; $k++) {
                        $so = count(array_filter(array_slice($dealt, 0, $k), fn (?int $d) => $d === $v));
                        self::assertLessThanOrEqual(
                            1.0 + 1e-9,
                            abs($so - $share * $k),
                            "variant $v of ".implode(', ', $shares)." after $k",
                        );
                    }
                }
            }
        }
    }

    public function test_an_amendment_holds_on_as_many_pieces_as_it_says_and_only_there(): void
    {
        $request = $this->request('company', [
            [
                'do' => 'add',
                'technique' => 'freehand_simple',
                'scope' => ['area' => ['coat']],
                'on' => ['pieces' => 3],
            ],
            ['do' => 'omit', 'clause' => 'muster.shade', 'scope' => ['area' => ['boots']], 'on' => ['share' => 0.5]],
        ]);
        $unit = UnitPlan::of($request, self::pieces(12));
        $painted = $spared = 0;
        foreach ($unit->kinds as $kind) {
            $free = in_array('freehand_simple', $this->on($kind, 'coat'), true);
            $asked = array_filter(
                $kind->plan->areas[$request->sculpt->place('boots')]->demand->requirements,
                fn ($r) => in_array('muster.shade', Reason::ids($r->reasons), true),
            );
            self::assertSame(in_array(1, $kind->amendments, true), $free);
            self::assertSame(in_array(2, $kind->amendments, true), $asked === []);
            $painted += $free ? count($kind->pieces) : 0;
            $spared += $asked === [] ? count($kind->pieces) : 0;
        }
        self::assertSame([3, 6], [$painted, $spared]);
        self::assertSame(
            range(1, 12),
            self::sorted(array_merge(...array_map(fn (PieceKind $k) => $k->pieces, $unit->kinds))),
        );
        self::assertEqualsWithDelta(
            array_sum(array_map(fn (int $p) => $unit->kindOf($p)->plan->minutesByPasses(), range(1, 12))),
            $unit->minutes(),
            1e-9,
        );
    }

    public function test_a_piece_that_lacks_an_area_gets_no_step_there_and_the_rest_takes_as_long(): void
    {
        $request = $this->request('banner', []);
        $unit = UnitPlan::of($request, [new PieceNeeds(1), new PieceNeeds(2, ['hook', 'pole', 'not there'])]);
        self::assertCount(2, $unit->kinds);
        [$plain, $lacking] = $unit->kinds[0]->isPlain() ? $unit->kinds : array_reverse($unit->kinds);
        self::assertSame([[2], ['hook', 'pole']], [$lacking->pieces, $lacking->lacks]);
        self::assertSame(
            [],
            array_filter(
                $lacking->plan->work->steps,
                fn (Step $s) => in_array($s->area?->key, ['hook', 'pole'], true),
            ),
        );
        foreach ($lacking->plan->areas as $planned) {
            $same = $plain->plan->areas[$request->sculpt->place((string) $planned->demand->area?->key)];
            self::assertEqualsWithDelta(
                $same->minutes(),
                $planned->minutes(),
                1e-9,
                (string) $planned->demand->area?->key,
            );
        }
        self::assertSame($plain->plan, $unit->plain());
        self::assertLessThan($plain->plan->minutesByPasses(), $lacking->plan->minutesByPasses());
    }

    public function test_whatever_a_piece_lacks_it_gets_what_it_would_get_alone(): void
    {
        $compared = 0;
        foreach (DemoPlans::SCULPTS as $name) {
            $sculpt = Demo::sculpt($name);
            foreach (['muster', 'banner', 'centrepiece'] as $tier) {
                $standard = Demo::standard();
                $request = new PlanRequest(
                    $standard,
                    $standard->tier($tier),
                    $sculpt,
                    Demo::scheme(),
                    shelf: Demo::shelf(),
                );
                foreach ($sculpt->areas as $i => $area) {
                    if ($i % 4 !== 0) {
                        continue;
                    }
                    $unit = UnitPlan::of($request, [new PieceNeeds(1), new PieceNeeds(2), new PieceNeeds(3, [$area->key])]);
                    $kind = $unit->kindOf(3);
                    $alone = (new Planner())->plan($kind->plan->request);
                    self::assertSame(
                        array_map(fn (Step $s) => [$s->paintedKey()->id, round($s->minutes, 6)], $alone->work->steps),
                        array_map(fn (Step $s) => [$s->paintedKey()->id, round($s->minutes, 6)], $kind->plan->work->steps),
                        "$name without $area->key at $tier",
                    );
                    self::assertEquals($alone->notApplicable(), $kind->plan->notApplicable());
                    self::assertSame(count($alone->sprayed), count($kind->plan->sprayed));
                    $compared++;
                }
            }
        }
        self::assertGreaterThan(50, $compared);
    }

    public function test_variants_are_spread_meet_the_tier_and_say_what_they_add(): void
    {
        $request = $this->request('company', []);
        $scheme = Demo::scheme();
        $red = new Variant('Red coats', 0.25, new Scheme('', ['main cloth' => $scheme->slots['second cloth']], []));
        $marked = new Variant(
            'Marked',
            0.25,
            null,
            $this->amendments([['do' => 'add', 'technique' => 'tint_filter', 'scope' => ['area' => ['coat']]]]),
        );
        $unit = UnitPlan::of($request, self::pieces(8), [$red, $marked]);
        $by = [];
        foreach ($unit->kinds as $kind) {
            $by[$kind->variant->name ?? 'plain'] = $kind;
            self::assertSame(
                [],
                array_filter(
                    $kind->plan->requirements,
                    fn ($r) => in_array($r->state, [Standing::Short, Standing::Conflict], true),
                ),
            );
            self::assertSame([], OrderChecker::broken($kind->plan, false));
        }
        self::assertSame(
            [4, 2, 2],
            [count($by['plain']->pieces), count($by['Red coats']->pieces), count($by['Marked']->pieces)],
        );
        $coat = fn (PieceKind $k): ?string => array_values(
            array_filter($k->plan->work->steps, fn (Step $s) => $s->area?->key === 'coat' && $s->colour !== null),
        )[0]->colour?->paint;
        self::assertSame(['Bilge Green', 'Weathered Red'], [$coat($by['plain']), $coat($by['Red coats'])]);
        self::assertGreaterThan($by['plain']->plan->minutesByPasses() + 0.5, $by['Marked']->plan->minutesByPasses());
        self::assertGreaterThan(
            1,
            $by['Red coats']->pieces[1] - $by['Red coats']->pieces[0],
            'equal ones are not neighbours',
        );
    }

    public function test_a_sergeant_of_his_own_is_worked_with_the_others_in_one_order(): void
    {
        $request = $this->request('company', []);
        $plan = Demo::planner()->plan($request);
        $coat = $plan->areas[$request->sculpt->place('coat')]->choice;
        self::assertNotNull($coat);
        $technique = $request->standard->technique('tint_filter');
        $edits = [
            'coat' => new \Ordotype\Core\Planning\Choice\Choice([
                ...$coat->techniques,
                new ChosenTechnique(
                    $technique,
                    (int) array_search($technique, $request->standard->techniques, true),
                    \Ordotype\Core\Standard\Extent::Full,
                    [3.0],
                ),
            ]),
        ];
        $sergeant = new PieceNeeds(
            1,
            amendments: $this->amendments(
                [
                    [
                        'level' => 'piece',
                        'do' => 'add',
                        'technique' => 'freehand_simple',
                        'scope' => ['area' => ['hood']],
                    ],
                ],
                5,
            ),
            edits: $edits,
        );
        $unit = UnitPlan::of($request, [$sergeant, ...array_slice(self::pieces(6), 1)]);
        $own = $unit->kindOf(1);
        self::assertSame([1], $own->pieces);
        self::assertTrue($own->edited);
        self::assertSame([5], $own->amendments);
        self::assertContains('freehand_simple', $this->on($own, 'hood'));
        self::assertContains('tint_filter', $this->on($own, 'coat'));
        self::assertNotContains('tint_filter', $this->on($unit->kindOf(2), 'coat'));
        $all = array_map(fn (Step $s) => $s->key()->id.($s->colour?->words() ?? ''), $unit->work->steps);
        foreach ($unit->kinds as $kind) {
            self::assertSame([], OrderChecker::broken($kind->plan, false));
            $mine = array_map(fn (Step $s) => $s->key()->id.($s->colour?->words() ?? ''), $kind->plan->work->steps);
            $within = array_values(array_filter($all, fn (string $k) => in_array($k, $mine, true)));
            // What one pass holds may be listed in another order within it, never across passes.
            self::assertEqualsCanonicalizing($within, $mine);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $amendments
     */
    private function request(string $tier, array $amendments): PlanRequest
    {
        $standard = Demo::standard();

        return new PlanRequest(
            $standard,
            $standard->tier($tier),
            Demo::sculpt(),
            Demo::scheme(),
            amendments: $this->amendments($amendments),
            shelf: Demo::shelf(),
            pieces: 12,
        );
    }

    /**
     * @param  list<array<string, mixed>>  $amendments
     * @return list<Amendment>
     */
    private function amendments(array $amendments, int $first = 1): array
    {
        $known = array_fill_keys(array_map(fn (Technique $t) => $t->key, Demo::standard()->techniques), true);
        $full = array_map(function (array $a): array {
            $a['scope'] = (object) ($a['scope'] ?? []);

            return $a + [
                'level' => 'unit',
                'clause' => null,
                'technique' => null,
                'values' => (object) [],
                'reason' => 'Because.',
                'price' => null,
                'on' => null,
            ];
        }, $amendments);
        // Numbers go on after those that stand before in the list.
        $before = array_fill(0, $first - 1, [
            'do' => 'add',
            'technique' => 'decal',
            'scope' => (object) ['area' => ['nowhere']],
            'level' => 'unit',
            'clause' => null,
            'values' => (object) [],
            'reason' => '',
            'price' => null,
            'on' => null,
        ]);

        return array_slice(
            AmendmentFormat::read(
                Demo::object([...array_map(fn (array $b) => ['reason' => '-'] + $b, $before), ...$full]),
                $known,
            ),
            $first - 1,
        );
    }

    /** @return list<PieceNeeds> */
    private static function pieces(int $n): array
    {
        return array_map(fn (int $i) => new PieceNeeds($i), range(1, $n));
    }

    /** @return list<string> */
    private function on(PieceKind $kind, string $area): array
    {
        return array_map(
            fn (ChosenTechnique $u) => $u->technique->key,
            $kind->plan->areas[$kind->plan->request->sculpt->place($area)]->choice->techniques ?? [],
        );
    }

    /**
     * @param  list<int>  $list
     * @return list<int>
     */
    private static function sorted(array $list): array
    {
        sort($list);

        return $list;
    }
}
