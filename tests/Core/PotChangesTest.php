<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Planning\Sequencing\PassScheduler;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Planning\Sequencing\StepColour;
use Ordotype\Core\Planning\Sequencing\StepKey;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Extent;
use Ordotype\Core\Standard\Standard;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;

/** How often a pot is changed, against every order there is. */
final class PotChangesTest extends TestCase
{
    private const CASES = 400;

    public function test_pots_change_at_most_once_more_than_in_the_best_of_all_orders(): void
    {
        $standard = self::dryAtOnce();
        $exact = 0;
        for ($seed = 1; $seed <= self::CASES; $seed++) {
            [$steps, $edges, $sculpt] = self::randomSteps($seed, $standard);
            $best = self::fewestChanges($steps, $edges);
            $work = (new PassScheduler($steps, $sculpt, 3))->order($edges);
            self::assertSame(0.0, $work->idleMinutes, "seed $seed: nothing dries here");
            self::assertKeeps($work->steps, $steps, $edges, "seed $seed");
            $changes = self::changes($work->steps);
            self::assertGreaterThanOrEqual(
                $best,
                $changes,
                "seed $seed: the search that tries everything missed an order",
            );
            self::assertLessThanOrEqual($best + 1, $changes, "seed $seed");
            $exact += $changes === $best ? 1 : 0;
        }
        self::assertGreaterThan(self::CASES * 0.9, $exact);
    }

    public function test_no_order_waits_as_little_and_changes_pots_two_times_less(): void
    {
        $standard = Demo::tierOf([]);
        $waited = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            [$steps, $edges, $sculpt] = self::randomSteps($seed, $standard, 6);
            $work = (new PassScheduler($steps, $sculpt, 2))->order($edges);
            $waited += $work->idleMinutes > 0 ? 1 : 0;
            foreach (self::orders($edges) as $order) {
                $keys = array_map(fn (int $i) => $steps[$i]->key(), $order);
                $other = (new PassScheduler($steps, $sculpt, 2))->order(clone $edges, $keys);
                if ($other->idleMinutes <= $work->idleMinutes + 1e-6) {
                    self::assertLessThanOrEqual(
                        self::changes($other->steps) + 1,
                        self::changes($work->steps),
                        "seed $seed: ".implode(', ', array_map(fn (StepKey $k) => $k->id, $keys)),
                    );
                }
            }
        }
        self::assertGreaterThan(10, $waited, 'hardly any case has to wait for paint');
    }

    public function test_an_order_made_by_hand_is_kept_where_the_rules_let_it(): void
    {
        $standard = self::dryAtOnce();
        for ($seed = 1; $seed <= 40; $seed++) {
            [$steps, $edges, $sculpt] = self::randomSteps($seed, $standard, 6);
            foreach (self::orders($edges) as $n => $order) {
                if ($n % 7 === 0) {
                    $keys = array_map(fn (int $i) => $steps[$i]->key(), $order);
                    $work = (new PassScheduler($steps, $sculpt, 1))->order(clone $edges, $keys);
                    self::assertEquals($keys, array_map(fn (Step $s) => $s->key(), $work->steps), "seed $seed");
                }
            }
        }
    }

    /**
     * @return array{list<Step>, PrecedenceGraph, Sculpt} up to two steps on an area, one after the other, from four
     *     pots, with random edges between areas
     */
    private static function randomSteps(int $seed, Standard $standard, int $most = 10): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $count = $random->getInt(4, $most);
        $areas = [];
        for ($i = 0; $i < intdiv($count + 1, 2); $i++) {
            $areas["a$i"] = [];
        }
        $sculpt = Demo::sculptOf($areas);
        $steps = [];
        for ($i = 0; $i < $count; $i++) {
            $area = $sculpt->areas[$i % count($areas)];
            $technique = $standard->technique(['base_coat', 'layer'][$random->getInt(0, 1)]);
            $steps[] = new Step(
                $area,
                $technique,
                0,
                $i + 1,
                Extent::Full,
                (float) $random->getInt(1, 4),
                0.5,
                [],
                new StepColour(['Red', 'Green'][$random->getInt(0, 1)], null, null),
            );
        }
        $edges = new PrecedenceGraph($count);
        for ($j = 1; $j < $count; $j++) {
            for ($i = 0; $i < $j; $i++) {
                if ($random->getInt(1, 100) <= 18 || ($j - $i) % count($areas) === 0) {
                    $edges->put($i, $j, Rule::Phase);
                }
            }
        }

        return [$steps, $edges, $sculpt];
    }

    private static function dryAtOnce(): Standard
    {
        $document = Demo::json('standards/five-rungs.json');
        assert($document instanceof \stdClass);
        foreach ($document->techniques as $technique) {
            $technique->dry = 0;
            $technique->coat_dry = 0;
        }

        return StandardFormat::read($document);
    }

    /**
     * By every set of steps that can be done first, and the pot that is open after it.
     *
     * @param  list<Step>  $steps
     */
    private static function fewestChanges(array $steps, PrecedenceGraph $edges): int
    {
        $n = count($steps);
        $needs = array_map(
            fn (array $before) => array_sum(array_map(fn (int $i) => 1 << $i, array_keys($before))),
            $edges->reversed(),
        );
        $best = [0 => ['' => 0]];
        for ($set = 0; $set < 1 << $n; $set++) {
            foreach ($best[$set] ?? [] as $open => $changes) {
                for ($i = 0; $i < $n; $i++) {
                    if ((($set >> $i) & 1) === 1 || ($needs[$i] & $set) !== $needs[$i]) {
                        continue;
                    }
                    $pot = $steps[$i]->pot();
                    $then = $set | (1 << $i);
                    $best[$then][$pot] = min(
                        $best[$then][$pot] ?? PHP_INT_MAX,
                        $changes + ($pot === (string) $open ? 0 : 1),
                    );
                }
            }
        }

        return (int) min($best[(1 << $n) - 1]);
    }

    /** @return \Generator<int, list<int>> every order that keeps the edges */
    private static function orders(PrecedenceGraph $edges): \Generator
    {
        $before = array_map(array_keys(...), $edges->reversed());
        $extend = function (array $done) use (&$extend, $before): \Generator {
            if (count($done) === count($before)) {
                yield $done;

                return;
            }
            foreach ($before as $i => $needs) {
                if (! in_array($i, $done, true) && array_diff($needs, $done) === []) {
                    foreach ($extend([...$done, $i]) as $order) {
                        yield $order;
                    }
                }
            }
        };
        $n = 0;
        foreach ($extend([]) as $order) {
            yield $n++ => $order;
        }
    }

    /** @param  list<Step>  $steps */
    private static function changes(array $steps): int
    {
        $changes = 0;
        foreach ($steps as $i => $step) {
            $changes += $i === 0 || $steps[$i - 1]->pot() !== $step->pot() ? 1 : 0;
        }

        return $changes;
    }

    /**
     * @param  list<Step>  $order
     * @param  list<Step>  $steps
     */
    private static function assertKeeps(array $order, array $steps, PrecedenceGraph $edges, string $where): void
    {
        $place = array_flip(array_map(fn (Step $s) => $s->key()->id, $order));
        self::assertCount(count($steps), $place, $where);
        foreach ($steps as $i => $step) {
            foreach (array_keys($edges->after($i)) as $j) {
                self::assertLessThan($place[$steps[$j]->key()->id], $place[$step->key()->id], $where);
            }
        }
    }
}
