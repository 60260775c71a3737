<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Demo;

/** Which colours are sprayed, worked out apart: every area planned once with and once without the airbrush. */
final class SprayedColoursTest extends TestCase
{
    private const COLOURS = ['#2f5a50', '#7a2f2a', '#2d3653', '#8a6742'];

    public function test_the_colours_that_are_sprayed_are_those_of_the_definition(): void
    {
        $numbers = [];
        for ($seed = 1; $seed <= 150; $seed++) {
            [$sculpt, $scheme, $min, $max, $pieces, $pace] = self::randomCase($seed);
            $standard = Demo::tierOf(
                [['kind' => 'sprayed_colours', 'min' => $min, 'max' => $max], ...self::clauses()],
                ['pace' => $pace],
            );
            $plan = Demo::planner()->plan(
                new PlanRequest($standard, $standard->tier('tier'), $sculpt, $scheme, pieces: $pieces),
            );
            $expected = self::byDefinition($sculpt, $scheme, $min, $max, $pieces, $pace);
            $found = array_map(
                fn ($c) => [
                    array_map(fn (Area $a) => $a->key, $c->areas),
                    array_map(fn (Area $a) => $a->key, $c->masked),
                    round($c->maskingMinutes, 6),
                ],
                $plan->sprayed,
            );
            self::assertSame($expected, $found, "seed $seed");
            $numbers[count($found)] = ($numbers[count($found)] ?? 0) + 1;
            foreach ($plan->areas as $planned) {
                $sprayed = $planned->choice?->uses('spray_base') === true;
                self::assertSame(
                    in_array($planned->demand->area?->key, array_merge(...array_column($found, 0)), true),
                    $sprayed,
                    "seed $seed",
                );
            }
            $state = array_values(
                array_filter($plan->requirements, fn ($r) => $r->requirement->subject() === 'sprayed_colours'),
            )[0];
            self::assertSame(count($found) < $min ? Standing::Short : Standing::Met, $state->state, "seed $seed");
        }
        ksort($numbers);
        self::assertGreaterThanOrEqual(3, count($numbers), 'hardly any variety: '.json_encode($numbers));
    }

    /**
     * @return list<array{list<string>, list<string>, float}> areas, what is masked for them, masking minutes
     */
    private static function byDefinition(
        Sculpt $sculpt,
        Scheme $scheme,
        int $min,
        int $max,
        int $pieces,
        string $pace,
    ): array {
        $ways = [];
        foreach (['brush' => 'not_offered', 'spray' => 'required'] as $way => $status) {
            $standard = Demo::tierOf(
                [['kind' => 'technique', 'technique' => 'spray_base', 'status' => $status], ...self::clauses()],
                ['pace' => $pace],
            );
            foreach (
                Demo::planner()->choose(new PlanRequest($standard, $standard->tier('tier'), $sculpt, $scheme))->areas as $planned
            ) {
                $ways[$way][(string) $planned->demand->area?->key] = $planned->minutes();
            }
        }
        $spray = Demo::standard()->technique('spray_base');
        $groups = [];
        foreach ($sculpt->areas as $area) {
            if (
                $area->rank->value !== 'ground' &&
                $spray->permitsMaterial($area->material) &&
                $spray->suit($area->relief) > 0 &&
                $ways['spray'][$area->key] !== null &&
                $ways['brush'][$area->key] !== null
            ) {
                // What is kept apart is sprayed apart; a detail is no reason to spray and joins no main area.
                $with = $area->part.($area->rank->value === 'detail' ? ' detail' : '');
                $groups[($scheme->for($area)?->base->words() ?? $area->key)." $with"][] = $area;
            }
        }
        $main = fn (array $areas): float => array_sum(
            array_map(fn (Area $a) => $a->rank->value === 'main' ? $a->sharePct : 0.0, $areas),
        );
        $groups = array_values(
            array_filter(
                $groups,
                fn (array $areas) => array_filter($areas, fn (Area $a) => $a->rank->value === 'main') !== [],
            ),
        );
        usort(
            $groups,
            fn (array $a, array $b) => [$main($b), $sculpt->place($a[0]->key)] <=> [
                $main($a),
                $sculpt->place($b[0]->key),
            ],
        );
        $done = $sprayed = [];
        foreach ($groups as $areas) {
            if (count($sprayed) >= $max) {
                break;
            }
            $masked = array_values(
                array_filter(
                    $done,
                    fn (Area $d) => array_filter($areas, fn (Area $a) => $sculpt->touch($d->key, $a->key)) !== [],
                ),
            );
            // Masking takes 4 minutes for 10 cm² (table of techniques), at the tier's pace.
            $minutes =
                ((4.0 * array_sum(array_map($sculpt->areaCm2(...), $masked))) / 10) *
                ['fast' => 1.0, 'even' => 1.5, 'finest' => 2.5][$pace];
            $change = $minutes + 10 / $pieces;
            foreach ($areas as $area) {
                $change += $ways['spray'][$area->key] - $ways['brush'][$area->key];
            }
            if (count($sprayed) >= $min && $change >= 0) {
                break;
            }
            $sprayed[] = [
                array_map(fn (Area $a) => $a->key, $areas),
                array_map(fn (Area $a) => $a->key, $masked),
                round($minutes, 6),
            ];
            array_push($done, ...$areas);
        }

        return $sprayed;
    }

    /** @return list<array<string, mixed>> bases that take their time, so that spraying may pay */
    private static function clauses(): array
    {
        return [
            ...array_map(
                fn (string $t): array => ['kind' => 'technique', 'technique' => $t, 'status' => 'not_offered'],
                ['stain_coat', 'stain_fade', 'one_coat_base', 'thin_base', 'wet_blend'],
            ),
            [
                'kind' => 'effect',
                'effect' => 'highlight_raised',
                'extent' => 'prominent',
                'scope' => ['rank' => ['main']],
            ],
        ];
    }

    /** @return array{Sculpt, Scheme, int, int, int, string} */
    private static function randomCase(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $pick = fn (array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $areas = $colours = [];
        $count = $random->getInt(2, 6);
        for ($i = 0; $i < $count; $i++) {
            $areas["a$i"] = [
                'material' => $pick(['cloth', 'cloth', 'plate', 'leather', 'steel', 'skin']),
                'relief' => [$pick(['soft_folds', 'open_panel', 'hard_edges', 'organic'])],
                'rank' => $pick(['main', 'main', 'secondary']),
                'share_pct' => 1,
                'layer' => $i,
                'touches' => $i > 0 && $random->getInt(0, 2) > 0 ? ['a'.$random->getInt(0, $i - 1)] : [],
            ];
            $colours["a$i"] = ['base' => $pick(self::COLOURS), 'shades' => [], 'lights' => ['#c0c0c0']];
        }
        $weights = array_map(fn () => $random->getInt(1, 10), $areas);
        foreach (array_keys($areas) as $key) {
            $areas[$key]['share_pct'] = (100 * $weights[$key]) / array_sum($weights);
        }
        $min = $random->getInt(0, 2);

        return [
            Demo::sculptOf($areas, ['surface_cm2' => $pick([20, 60, 200])]),
            SchemeFormat::read(
                Demo::object([
                    'format' => SchemeFormat::WORD,
                    'name' => 'R',
                    'slots' => (object) [],
                    'areas' => $colours,
                ]),
            ),
            $min,
            max(1, $min + $random->getInt(0, 2)),
            $pick([1, 5, 30]),
            $pick(['fast', 'even']),
        ];
    }
}
