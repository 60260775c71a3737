<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Format\MethodFormat;
use Ordotype\Core\Inspection\Repair;
use Ordotype\Core\Inspection\RepairStep;
use Ordotype\Core\Inspection\Spread;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\FaultKind;
use Ordotype\Core\Standard\Technique;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BruteForce;
use Tests\Support\Demo;

/**
 * Repairs on random plans against a list of the test's own, from what model.md 9 says of them: what is done first, what
 * of the plan is done again there, what is tidied beside it, and varnish; each with its minutes.
 */
final class RandomRepairsTest extends TestCase
{
    private const PLANS = 60;

    private const FACTOR = ['spot' => 0.15, 'patch' => 0.25, 'whole' => 1.0];

    private const STAINS = ['stain_coat', 'stain_fade'];

    public function test_a_repair_is_what_is_done_first_what_follows_there_what_strays_and_varnish(): void
    {
        $random = new Randomizer(new Mt19937(15));
        $seen = ['stain' => 0, 'spray' => 0, 'strays' => 0, 'varnish' => 0, 'longer' => 0, 'priced' => 0];
        $kinds = array_values(array_filter(
            InspectionTest::faults()->kinds,
            fn (FaultKind $k) => $k->where !== 'whole' && $k->key !== 'missing_technique',
        ));
        for ($n = 0; $n < self::PLANS; $n++) {
            $plan = self::plan($random);
            $areas = array_values(array_filter(
                $plan->request->sculpt->areas,
                fn (Area $a) => $plan->area($a->key)->choice !== null,
            ));
            foreach ($kinds as $kind) {
                $area = $areas[$random->getInt(0, count($areas) - 1)];
                $spread = Spread::cases()[$random->getInt(0, 2)];
                $varnished = $random->getInt(0, 1) === 1;
                $given = (new Repair($plan))->of($kind, $area, $spread, $varnished);
                $wanted = self::wanted($plan, $kind, $area, $spread, $varnished, $seen);
                $where = "plan $n, $kind->key on $area->key, $spread->value";
                self::assertSame(
                    array_map(fn (array $w) => [$w[0], $w[1]], $wanted),
                    array_map(fn (RepairStep $s) => [$s->technique->key, $s->area?->key], $given),
                    $where,
                );
                foreach ($wanted as $k => [$technique, , $minutes]) {
                    if ($minutes !== null) {
                        self::assertEqualsWithDelta($minutes, $given[$k]->minutes, 1e-9, "$where: $technique");
                        $seen['priced']++;
                    }
                    self::assertGreaterThanOrEqual(0.0, $given[$k]->minutes, "$where: $technique");
                }
            }
        }
        self::assertGreaterThan(20, min($seen), (string) json_encode($seen));
    }

    /**
     * @param  array<string, int>  $seen
     * @return list<array{string, string|null, float|null}> technique, area, and minutes where the test reckons them
     */
    private static function wanted(
        Plan $plan,
        FaultKind $kind,
        Area $area,
        Spread $spread,
        bool $varnished,
        array &$seen,
    ): array {
        $steps = [];
        foreach (self::places($plan, $kind, $area) as $place) {
            array_push($steps, ...self::on($plan, $kind, $place, self::FACTOR[$spread->value], $seen));
        }
        if ($varnished && $steps !== []) {
            foreach ($plan->work->steps as $step) {
                $isThere = in_array($step->technique->key, array_column($steps, 0), true);
                if ($step->area === null && $step->phase === Phase::MattVarnish && ! $isThere) {
                    $steps[] = [$step->technique->key, null, $step->minutes * self::FACTOR[$spread->value]];
                    $seen['varnish']++;
                }
            }
        }

        return $steps;
    }

    /** @return list<Area> where it is seen; what comes from a material and is noted on it lies on what touches that */
    private static function places(Plan $plan, FaultKind $kind, Area $area): array
    {
        $comesFromHere = $kind->where === 'neighbour' && in_array($area->material, $kind->materials, true);
        $beside = $comesFromHere ? self::beside($plan, $area) : [];

        return $beside === [] ? [$area] : $beside;
    }

    /** @return list<Area> what touches an area, but the ground */
    private static function beside(Plan $plan, Area $area): array
    {
        $sculpt = $plan->request->sculpt;

        return array_values(array_filter(
            $sculpt->areas,
            fn (Area $a) => $a->rank->value !== 'ground' &&
                (in_array($a->key, $area->touches, true) || in_array($area->key, $a->touches, true)),
        ));
    }

    /**
     * @param  array<string, int>  $seen
     * @return list<array{string, string|null, float|null}>
     */
    private static function on(Plan $plan, FaultKind $kind, Area $area, float $factor, array &$seen): array
    {
        $standard = $plan->request->standard;
        $own = null;
        foreach ($plan->area($area->key)->choice->techniques ?? [] as $used) {
            $own ??= isset($used->technique->effects['base_colour']) ? $used->technique : null;
        }
        $takesBase = in_array('own_base', $kind->first, true);
        $isStain = $takesBase && in_array($own?->key, self::STAINS, true);
        $factor = $isStain ? 1.0 : $factor;
        $steps = $phases = [];
        foreach ($kind->first as $key) {
            if ($key === 'own_base' && $own === null) {
                continue;
            }
            if ($key === 'own_base') {
                if ($isStain) {
                    $seen['stain']++;
                    $steps[] = ['light_underlay', $area->key, null];
                    $phases[] = Phase::of($standard->technique('light_underlay'))->value;
                }
                // By brush: what was sprayed is a base coat.
                $seen['spray'] += (int) ($own->family->value === 'spray');
                $key = $own->family->value === 'spray' ? 'base_coat' : $own->key;
                $steps[] = [$key, $area->key, null];
                $phases[] = Phase::of($standard->technique($key))->value;

                continue;
            }
            $technique = $standard->technique($key);
            $isPriced = ! $technique->whole && $technique->suit($area->relief) > 0 && $technique->coats === 1 &&
                ! isset($technique->effects['base_colour']);
            $steps[] = [
                $key,
                $technique->whole ? null : $area->key,
                $isPriced ? (new BruteForce($plan->request, $area))->minutes($technique, 3) * $factor : null,
            ];
            $phases[] = Phase::of($technique)->value;
        }
        if ($kind->redoLater) {
            $steps = self::inOrder($plan, $area, $steps, self::again($plan, $area, $steps, $phases, $factor));
            $seen['longer'] += (int) (count($steps) > 2);
        }
        $strays = fn (Technique $t): bool => $t->mess >= 2 && ! $t->whole;
        if (array_filter($steps, fn (array $s) => $strays($standard->technique($s[0]))) !== []) {
            $seen['strays']++;
            $tidy = $standard->technique('tidy_base');
            foreach (self::beside($plan, $area) as $neighbour) {
                $steps[] = ['tidy_base', $neighbour->key, (new BruteForce($plan->request, $neighbour))->minutes($tidy, 3) * 0.15];
            }
        }

        return $steps;
    }

    /**
     * @param  list<array{string, string|null, float|null}>  $first
     * @param  list<int>  $phases  of these
     * @return list<array{string, string|null, float|null}> the plan's later steps on the area, nothing twice
     */
    private static function again(Plan $plan, Area $area, array $first, array $phases, float $factor): array
    {
        $from = $phases === [] ? null : min($phases);
        $there = array_column($first, 0);
        $hasBase = array_filter(
            $there,
            fn (string $key) => isset($plan->request->standard->technique($key)->effects['base_colour']),
        ) !== [];
        $again = [];
        foreach ($plan->work->steps as $step) {
            $isOn = $step->area?->key === $area->key && $step->phase->value < Phase::MattVarnish->value;
            $isLater = $from === null ? $step->pass === 1 : $step->phase->value > $from;
            // A light ground under the whole area leaves nothing to be touched up.
            $isThere = in_array($step->technique->key, $there, true) ||
                ($step->technique->key === 'touch_up' && in_array('light_underlay', $there, true)) ||
                ($hasBase && isset($step->technique->effects['base_colour']));
            if ($isOn && $isLater && ! $isThere) {
                $again = [...$again, ...self::byBrush($step, $area, $factor)];
            }
        }

        return $again;
    }

    /**
     * What is done first stands where the plan has it on the area, else before what has a later phase.
     *
     * @param  list<array{string, string|null, float|null}>  $first
     * @param  list<array{string, string|null, float|null}>  $again
     * @return list<array{string, string|null, float|null}>
     */
    private static function inOrder(Plan $plan, Area $area, array $first, array $again): array
    {
        $own = array_values(array_filter(
            $plan->work->steps,
            fn (Step $s) => $s->area?->key === $area->key && $s->phase->value < Phase::MattVarnish->value,
        ));
        $gives = fn (Technique $t): bool => isset($t->effects['base_colour']);
        $place = function (array $step, bool $isFirst) use ($plan, $own, $gives): float {
            $technique = $plan->request->standard->technique($step[0]);
            foreach ($own as $nth => $planned) {
                $isSame = $planned->technique->key === $technique->key || ($gives($planned->technique) && $gives($technique));
                if ($isSame) {
                    return $nth;
                }
            }
            foreach ($isFirst ? $own : [] as $nth => $planned) {
                if ($planned->phase->value > Phase::of($technique)->value) {
                    return $nth - 0.5;
                }
            }

            return 999;
        };
        $steps = $again;
        $last = -1;
        foreach ($first as $one) {
            $at = count(array_filter($steps, fn (array $s) => $place($s, in_array($s, $first, true)) <= $place($one, true)));
            // What is done first keeps the order that the fault gives it.
            $last = max($at, $last + 1);
            array_splice($steps, $last, 0, [$one]);
        }

        return $steps;
    }

    /** @return list<array{string, string|null, float|null}> a brush does the base, and fades with a glaze */
    private static function byBrush(Step $step, Area $area, float $factor): array
    {
        if ($step->technique->family->value !== 'spray') {
            return [[$step->technique->key, $area->key, $step->minutes * $factor]];
        }

        return match (true) {
            isset($step->technique->effects['base_colour']) => [['base_coat', $area->key, null]],
            isset($step->technique->effects['blend']) => [['glaze', $area->key, null]],
            default => [],
        };
    }

    private static function plan(Randomizer $random): Plan
    {
        $one = fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $answers = [
            'spraying' => $one(['brush_only', 'can', 'airbrush', null]),
            'undercoat' => $one(['dark', 'mid_grey', 'light', 'value_sketch', null]),
        ];
        $build = $one(['stain_down', 'stain_down', 'up_from_dark', 'from_mid', null]);
        $document = ['format' => 'ordotype/method@1'] + array_filter($answers, fn ($a) => $a !== null);
        if ($build !== null) {
            $document['build'] = [(object) ['scope' => new stdClass(), 'value' => $build]];
        }
        $standard = Demo::standard();
        $figure = $one(['sluice-warden', 'mudlark', 'lantern-provost', 'bell-diver', 'reedback-toad', 'ferry-gun']);
        $tier = $one(['muster', 'company', 'banner', 'cabinet', 'centrepiece']);

        return Demo::planner()->plan(new PlanRequest(
            $standard,
            $standard->tier($tier),
            Demo::sculpt($figure),
            Demo::scheme(),
            MethodFormat::read((object) $document),
            shelf: Demo::shelf(),
        ));
    }
}
