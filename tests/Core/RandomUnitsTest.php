<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Planning\Outlook\Raising;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Planning\Unit\PieceKind;
use Ordotype\Core\Planning\Unit\PieceNeeds;
use Ordotype\Core\Planning\Unit\UnitPlan;
use Ordotype\Core\Planning\Unit\Variant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;
use Tests\Support\OrderChecker;

/** Random units of unlike pieces, and random work that is raised. */
final class RandomUnitsTest extends TestCase
{
    public function test_every_piece_gets_what_it_needs_in_the_one_order_of_its_unit(): void
    {
        $unlike = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            [$request, $pieces, $variants] = self::randomUnit($seed);
            $unit = UnitPlan::of($request, $pieces, $variants);
            $all = array_map(fn (StepKey $k) => $k->id, $unit->work->keys());
            self::assertCount(count($all), array_unique($all), "seed $seed: a key twice");
            $place = array_flip($all);
            $needed = [];
            foreach ($unit->kinds as $kind) {
                $keys = array_map(fn (StepKey $k) => $k->id, $unit->work->keysOf($kind->plan->work->steps));
                self::assertSame([], array_diff($keys, $all), "seed $seed");
                array_push($needed, ...$keys);
                // The same work as planned for such a piece alone, whatever the order.
                $alone = Demo::planner()->plan($kind->plan->request->arranged($request->arrangement));
                self::assertEqualsCanonicalizing(
                    array_map(fn (Step $s) => $s->key()->id, $alone->work->steps),
                    array_map(fn (Step $s) => $s->key()->id, $kind->plan->work->steps),
                    "seed $seed",
                );
                self::assertSame([], $kind->plan->conflicts());
                if ($kind->plan->work->cycles === [] && $unit->work->cycles === []) {
                    self::assertSame([], OrderChecker::broken($kind->plan, false), "seed $seed");
                    // Passes follow one another as in the unit: a later pass holds nothing that the unit does before
                    // an earlier one, but what the unit has in one pass.
                    $last = -1;
                    foreach ($kind->plan->work->passes as $pass) {
                        $places = array_map(fn (int $i) => $place[$keys[$i]], $pass->steps);
                        self::assertGreaterThan($last, max($places), "seed $seed");
                        $last = min($places) > $last ? min($places) : $last;
                    }
                }
            }
            self::assertEqualsCanonicalizing(
                $all,
                array_values(array_unique($needed)),
                "seed $seed: a step that nobody needs",
            );
            $numbers = array_merge(...array_map(fn (PieceKind $k) => $k->pieces, $unit->kinds));
            sort($numbers);
            self::assertSame(
                array_map(fn (PieceNeeds $p) => $p->number, $pieces),
                $numbers,
                "seed $seed: every piece is of one kind",
            );
            $unlike += count($unit->kinds) > 1 ? 1 : 0;
        }
        self::assertGreaterThan(40, $unlike);
    }

    public function test_added_work_keeps_the_rules_and_names_each_step_once(): void
    {
        $standard = Demo::standard();
        $ladder = ['muster', 'company', 'banner', 'cabinet', 'centrepiece'];
        for ($seed = 1; $seed <= 60; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $from = $random->getInt(0, 3);
            $to = $random->getInt($from + 1, 4);
            $figure = ['sluice-warden', 'mudlark', 'lantern-provost', 'bell-diver'][$random->getInt(0, 3)];
            $request = fn (string $tier): PlanRequest => new PlanRequest(
                $standard,
                $standard->tier($tier),
                Demo::sculpt($figure),
                Demo::scheme(),
                shelf: Demo::shelf(),
            );
            $low = Demo::planner()->plan($request($ladder[$from]));
            $keys = array_map(fn (Step $s) => $s->key(), $low->work->steps);
            $done = array_slice($keys, 0, $random->getInt(0, count($keys)));
            $where = "seed $seed: $figure from {$ladder[$from]} to {$ladder[$to]}, ".count($done).' done';
            $raising = new Raising($request($ladder[$to]), Raising::workSoFar($low, $done));
            $work = $raising->work();
            self::assertSame([], $work->conflicts(), $where);
            $added = array_map(fn (Step $s) => $s->key()->id, $work->work->steps);
            self::assertCount(count($added), array_unique($added), $where);
            self::assertSame([], array_intersect($added, array_map(fn (StepKey $k) => $k->id, $done)), $where);
            $count =
                array_sum(array_map(fn ($a) => array_sum(array_map(fn ($u) => $u->passes, $a->added)), $work->areas)) +
                count($work->whole);
            self::assertCount($count, $added, $where);
            $places = array_flip(array_map(fn (Step $s) => $s->key()->id, $work->work->steps));
            foreach ($work->work->steps as $i => $earlier) {
                foreach (array_slice($work->work->steps, $i + 1) as $later) {
                    if (
                        $earlier->area !== null &&
                        $earlier->area->key === $later->area?->key &&
                        $earlier->technique->key !== $later->technique->key &&
                        ! in_array(
                            'light_last',
                            array_map(fn ($r) => $r->value, $work->work->held[$places[$later->key()->id]]),
                            true,
                        )
                    ) {
                        self::assertLessThanOrEqual(
                            OrderChecker::phase($later) + 18,
                            OrderChecker::phase($earlier),
                            $where,
                        );
                    }
                }
            }
            // Nothing is primed or sprayed again once there is paint.
            if ($done !== [] && count(array_filter($done, fn (StepKey $k) => ! str_starts_with($k->id, '*'))) > 0) {
                self::assertSame(
                    [],
                    array_filter(
                        $work->work->steps,
                        fn (Step $s) => in_array($s->technique->family->value, ['undercoat', 'spray'], true),
                    ),
                    $where,
                );
            }
        }
    }

    /** @return array{PlanRequest, list<PieceNeeds>, list<Variant>} */
    private static function randomUnit(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $standard = Demo::standard();
        $scheme = Demo::scheme();
        $count = $random->getInt(1, 9);
        $request = new PlanRequest(
            $standard,
            $standard->tier($pick(['muster', 'company', 'banner'])),
            Demo::sculpt($pick(['sluice-warden', 'mudlark', 'lantern-provost'])),
            $scheme,
            shelf: Demo::shelf(),
            pieces: $count,
        );
        $pieces = [];
        for ($n = 1; $n <= $count; $n++) {
            $pieces[] = new PieceNeeds($n, $random->getInt(0, 2) === 0 ? [$pick($request->sculpt->areas)->key] : []);
        }
        $variants = [];
        if ($random->getInt(0, 1) === 1) {
            $variants[] = new Variant(
                'Other',
                $pick([0.25, 0.5]),
                new Scheme('', ['main cloth' => $scheme->slots['second cloth']], []),
            );
        }
        if ($random->getInt(0, 2) === 0) {
            $variants[] = new Variant('Third', 0.3, new Scheme('', ['leather' => $scheme->slots['wood']], []));
        }

        return [$request, $pieces, $variants];
    }
}
