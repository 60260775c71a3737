<?php

declare(strict_types=1);

namespace Ordotype\Core\Outlook;

use Ordotype\Core\Choice\AreaProblem;
use Ordotype\Core\Choice\ChosenTechnique;
use Ordotype\Core\Choice\Conformance;
use Ordotype\Core\Demand\AreaDemand;
use Ordotype\Core\Demand\RequirementKind;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Problem\FormatException;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sequencing\OrderedWork;
use Ordotype\Core\Sequencing\Phase;
use Ordotype\Core\Sequencing\PrecedenceGraph;
use Ordotype\Core\Sequencing\Rule;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/**
 * Good places to stop: for each offered tier up to the plan's own, from the lowest up, the smallest set of the plan's
 * steps that is closed under the rules of order, holds the sets before it and meets the tier's floors, effects and
 * required techniques. Ceilings do not count.
 *
 * On one area the order of work is a chain, so what is done there is a beginning of it; the sets are therefore found
 * as
 * the least fixed point of "what the tier needs on each area" and "what must come before it", and no smaller one
 * exists.
 * Steps that finish a piece (varnish, plants and gloss after it, joining, the rim, the final look) are done wherever
 * the work stops, so
 * they belong to every set and the rules that put them last do not pull anything forward.
 */
final class StoppingPoints
{
    private const FINISHING = [
        Phase::MattVarnish,
        Phase::GroundPlants,
        Phase::Gloss,
        Phase::Join,
        Phase::JointTidy,
        Phase::Rim,
        Phase::Check,
    ];

    /** @var list<Step> */
    private array $steps;

    /** @var array<string, list<int>> by area key ('' for the whole model): places of its steps, in their order */
    private array $chains = [];

    /** @var list<bool> */
    private array $finishing = [];

    private PrecedenceGraph $edges;

    public function __construct(private readonly Plan $plan)
    {
        $this->steps = $plan->work->steps;
        foreach ($this->steps as $i => $step) {
            $this->finishing[] = in_array($step->phase, self::FINISHING, true);
            if (! $this->finishing[$i]) {
                $this->chains[(string) $step->area?->key][] = $i;
            }
        }
        $this->edges = Planner::rulesOf($plan);
    }

    /** @return list<StoppingPoint> from the lowest tier up; the last is the plan's own */
    public function all(): array
    {
        $tiers = array_values(
            array_filter(
                $this->plan->request->standard->tiers,
                fn (Tier $t) => $t->order <= $this->plan->request->tier->order &&
                    ($t->status === TierStatus::Offered || $t->key === $this->plan->request->tier->key),
            ),
        );
        usort($tiers, fn (Tier $a, Tier $b) => $a->order <=> $b->order);
        $done = [];
        $points = [];
        foreach ($tiers as $tier) {
            $point =
                $tier->key === $this->plan->request->tier->key ? $this->whole($tier) : $this->point($tier, $done);
            $points[] = $point;
            $done = $point->steps === null ? $done : array_fill_keys($point->steps, true);
        }

        return $points;
    }

    /**
     * The plan's order of work laid out in these sets.
     *
     * @param  list<StoppingPoint>  $points
     */
    public function laidOut(array $points): OrderedWork
    {
        $stages = array_fill(0, count($this->steps), count($points));
        foreach (array_reverse($points, true) as $stage => $point) {
            foreach ($point->steps ?? [] as $i) {
                $stages[$i] = $stage;
            }
        }
        foreach ($this->finishing as $i => $finishing) {
            $stages[$i] = $finishing ? count($points) : $stages[$i];
        }

        return Planner::inStages($this->plan, array_values($stages));
    }

    private function whole(Tier $tier): StoppingPoint
    {
        return new StoppingPoint(
            $tier,
            array_keys($this->finishing, false, true),
            array_keys($this->finishing, true, true),
            $this->plan->minutesByArea(),
            null,
        );
    }

    /** @param  array<int, true>  $done  what the sets before hold */
    private function point(Tier $tier, array $done): StoppingPoint
    {
        try {
            [$problems, $whole] = Planner::problems($this->plan->request->at($tier));
        } catch (FormatException $e) {
            return $this->none($tier, 'an amendment of this plan does not fit it: '.$e->getMessage());
        }
        $missing = $this->missingOnModel($whole->demand);
        if ($missing !== null) {
            return $this->none($tier, $missing);
        }
        $set = $done;
        foreach ($this->chains[''] ?? [] as $i) {
            $set += $this->isNeededOnModel($whole->demand, $this->steps[$i]) ? [$i => true] : [];
        }
        $met = [];
        foreach ($problems as [$demand, $problem]) {
            $key = (string) $demand->area?->key;
            $met[$key] = $this->lengthsThatMeet($demand, $problem, $tier);
            if ($met[$key] === []) {
                return $this->none($tier, $this->whatFails($demand, $problem, $tier));
            }
        }
        $alone = $this->extend($set, $met);
        $closed = $alone;
        $pulled = [];
        do {
            $before = count($closed);
            $closed = $this->extend($this->closed($closed, $pulled), $met);
        } while (count($closed) > $before);
        if (count($closed) === array_sum(array_map(count(...), $this->chains)) && count($alone) < count($closed)) {
            arsort($pulled);
            $rule = Rule::from((string) array_key_first($pulled));

            return $this->none(
                $tier,
                "{$rule->words()} ($rule->value): whatever the tier asks comes after all the rest of the work",
            );
        }
        $steps = array_keys($closed);
        sort($steps);
        $demands = ['' => $whole->demand];
        foreach ($problems as [$demand]) {
            $demands[(string) $demand->area?->key] = $demand;
        }
        $finish = array_values(
            array_filter(
                array_keys($this->finishing, true, true),
                fn (int $i) => $this->finishes($demands[(string) $this->steps[$i]->area?->key], $i),
            ),
        );

        return new StoppingPoint(
            $tier,
            $steps,
            $finish,
            array_sum(array_map(fn (int $i) => $this->steps[$i]->minutes, [...$steps, ...$finish])),
            null,
        );
    }

    private function none(Tier $tier, string $reason): StoppingPoint
    {
        return new StoppingPoint($tier, null, [], 0.0, $reason);
    }

    /**
     * Lets every area reach the next of the lengths at which what is done on it meets the tier.
     *
     * @param  array<int, true>  $set
     * @param  array<string, list<int>>  $met  by area: lengths of its chain, rising
     * @return array<int, true>
     */
    private function extend(array $set, array $met): array
    {
        foreach ($met as $key => $lengths) {
            $chain = $this->chains[$key] ?? [];
            $have = count(array_filter($chain, fn (int $i) => isset($set[$i])));
            $want = array_values(array_filter($lengths, fn (int $l) => $l >= $have))[0] ?? count($chain);
            foreach (array_slice($chain, 0, $want) as $i) {
                $set[$i] = true;
            }
        }

        return $set;
    }

    /**
     * @param  array<int, true>  $set
     * @param  array<string, int>  $pulled  by rule: how many steps it has pulled in
     * @return array<int, true> with everything that must come before something in it
     */
    private function closed(array $set, array &$pulled): array
    {
        $before = $this->edges->reversed();
        $open = array_keys($set);
        while ($open !== []) {
            foreach ($before[array_pop($open)] as $earlier => $rules) {
                if (isset($set[$earlier]) || $this->finishing[$earlier]) {
                    continue;
                }
                foreach ($rules as $rule) {
                    $pulled[$rule->value] = ($pulled[$rule->value] ?? 0) + 1;
                }
                $set[$earlier] = true;
                $open[] = $earlier;
            }
        }

        return $set;
    }

    /** @return list<int> how many of an area's steps, counted from its first, meet the tier there */
    private function lengthsThatMeet(AreaDemand $demand, AreaProblem $problem, Tier $tier): array
    {
        $chain = $this->chains[(string) $demand->area?->key] ?? [];
        $lengths = [];
        for ($length = 0; $length <= count($chain); $length++) {
            if (
                $this->failing(
                    $demand,
                    $problem,
                    $tier,
                    self::used(array_map(fn (int $i) => $this->steps[$i], array_slice($chain, 0, $length))),
                ) === null
            ) {
                $lengths[] = $length;
            }
        }

        return $lengths;
    }

    /** @param  list<ChosenTechnique>  $used */
    private function failing(AreaDemand $demand, AreaProblem $problem, Tier $tier, array $used): ?string
    {
        $finishing = array_filter($this->finishing, fn (bool $f) => $f);
        foreach ($demand->requirements as $requirement) {
            $state = Conformance::state($requirement, $used);
            if ($state->state !== 'short') {
                continue;
            }
            foreach (array_keys($finishing) as $i) {
                $step = $this->steps[$i];
                if (
                    $step->area?->key === $demand->area?->key &&
                    Conformance::state($requirement, [...$used, ...self::used([$step])])->state !== 'short'
                ) {
                    continue 2;
                }
            }

            return "{$requirement->subject()} on ".
                ($demand->area->name ?? 'the whole model').
                ' ('.
                implode(', ', $requirement->clauses).
                ') is not met by this plan';
        }
        $area = $demand->area;
        // Where the plan's own bar had to be lowered, no more is asked of a stop on the way.
        $bar =
            $area === null
                ? 1
                : min(
                    $tier->pace->gradeBar(),
                    $this->plan->areas[$this->plan->request->sculpt->place($area->key)]->gradeBar,
                );
        $broken = Conformance::broken(
            $used,
            $area !== null && $area->rank !== Rank::Ground,
            $tier->pace,
            $problem->given,
            $bar,
            $area,
        );

        return $broken === []
            ? null
            : ($area->name ?? 'the whole model').
                    ' lacks '.
                    implode(
                        ', ',
                        array_map(
                            fn (string $b) => match ($b) {
                                'base' => 'its one base colour',
                                'tidy' => 'the tidying of its wash',
                                default => 'what a technique needs',
                            },
                            $broken,
                        ),
                    );
    }

    private function whatFails(AreaDemand $demand, AreaProblem $problem, Tier $tier): string
    {
        $chain = $this->chains[(string) $demand->area?->key] ?? [];

        return $this->failing(
            $demand,
            $problem,
            $tier,
            self::used(array_map(fn (int $i) => $this->steps[$i], $chain)),
        ) ??
            'nothing on '.($demand->area->name ?? 'it').' meets it';
    }

    private function missingOnModel(AreaDemand $demand): ?string
    {
        $used = $this->plan->whole->choice->techniques ?? [];
        foreach ($demand->requirements as $requirement) {
            $tooFewSprayed =
                $requirement->kind === RequirementKind::SprayedColours &&
                count($this->plan->sprayed) < ($requirement->min ?? 0);
            if ($tooFewSprayed || Conformance::state($requirement, $used)->state === 'short') {
                return "{$requirement->subject()} (".implode(', ', $requirement->clauses).') is not in this plan';
            }
        }

        return null;
    }

    /** Whether a finishing step is done when the work stops at a tier: it asks for it, or parts are to be joined. */
    private function finishes(AreaDemand $demand, int $i): bool
    {
        $step = $this->steps[$i];
        if ($step->area === null || $step->phase === Phase::JointTidy) {
            return $step->phase === Phase::JointTidy ||
                $step->phase === Phase::Join ||
                $this->isNeededOnModel($demand, $step);
        }
        foreach ($demand->requirements as $requirement) {
            if (
                Conformance::state($requirement, [])->state === 'short' &&
                Conformance::state($requirement, self::used([$step]))->state !== 'short'
            ) {
                return true;
            }
        }

        return false;
    }

    private function isNeededOnModel(AreaDemand $demand, Step $step): bool
    {
        if ($step->area !== null || $step->sprays !== []) {
            return false;
        }
        $without = array_values(
            array_filter(
                $this->plan->whole->choice->techniques ?? [],
                fn (ChosenTechnique $u) => $u->technique->key !== $step->technique->key,
            ),
        );
        foreach ($demand->requirements as $requirement) {
            if (Conformance::state($requirement, $without)->state === 'short') {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Step>  $steps  of one area
     * @return list<ChosenTechnique>
     */
    public static function used(array $steps): array
    {
        $used = [];
        foreach ($steps as $step) {
            $before = $used[$step->catalogue] ?? null;
            $used[$step->catalogue] = new ChosenTechnique(
                $step->technique,
                $step->catalogue,
                ($before->passes ?? 0) + 1,
                $step->extent,
                $step->minutes,
            );
        }
        ksort($used);

        return array_values($used);
    }
}
