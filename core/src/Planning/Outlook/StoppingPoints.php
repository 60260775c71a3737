<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conformance;
use Ordotype\Core\Planning\Choice\Standing;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Demand\ModelFigure;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Plan\AskedArea;
use Ordotype\Core\Planning\Plan\AskedWork;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\PrecedenceGraph;
use Ordotype\Core\Planning\Sequencing\Rule;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Amendment;
use Ordotype\Core\Standard\AmendmentAction;
use Ordotype\Core\Standard\Effect;
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
    /** @var list<Step> */
    private array $steps;

    /** @var array<string, list<int>> by area key ('' for the whole model): places of its steps, in their order */
    private array $chains = [];

    /** @var list<bool> */
    private array $finishing = [];

    private PrecedenceGraph $edges;

    /** @var list<Effect> what undercoat and whole techniques of the plan give every area */
    private array $given;

    public function __construct(private readonly Plan $plan, private readonly Planner $planner = new Planner())
    {
        $this->steps = $plan->work->steps;
        foreach ($this->steps as $i => $step) {
            $this->finishing[] = $step->phase->isFinishing();
            if (! $this->finishing[$i]) {
                $this->chains[(string) $step->area?->key][] = $i;
            }
        }
        $this->edges = WorkOrder::of($plan->request)->rules($plan->work->steps);
        $this->given = $plan->chosen()->context->given;
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

        return WorkOrder::of($this->plan->request)->layInStages($this->steps, array_values($stages));
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
            // What was added for this order is no part of what a lower tier asks.
            $own = fn (Amendment $a): bool => $a->action !== AmendmentAction::Add;
            $amendments = array_values(array_filter($this->plan->request->amendments, $own));
            $asked = $this->planner->asks($this->plan->request->at($tier)->amended($amendments));
        } catch (FormatException $e) {
            return $this->none($tier, StopObstacle::unfit($e));
        }
        $model = $asked->whole->demand;
        $missing = $this->missingOnModel($model);
        if ($missing !== null) {
            return $this->none($tier, StopObstacle::notMet($missing, null));
        }
        $set = $done;
        foreach ($this->chains[''] ?? [] as $i) {
            $set += $this->isNeededOnModel($model, $this->steps[$i]) ? [$i => true] : [];
        }
        $met = [];
        foreach ($asked->areas as $area) {
            $key = (string) $area->demand->area?->key;
            $met[$key] = $this->lengthsThatMeet($area, $tier);
            if ($met[$key] === []) {
                $all = array_map(fn (int $i) => $this->steps[$i], $this->chains[$key] ?? []);

                return $this->none($tier, $this->failing($area, $tier, ChosenTechnique::ofSteps($all)));
            }
        }
        $pulled = [];
        $closed = $this->closure($set, $met, $pulled);
        if ($closed === null) {
            arsort($pulled);

            return $this->none($tier, StopObstacle::forbidden(Rule::from((string) array_key_first($pulled))));
        }

        return $this->stop($tier, $closed, $asked);
    }

    /** @param  array<int, true>  $closed */
    private function stop(Tier $tier, array $closed, AskedWork $asked): StoppingPoint
    {
        $steps = array_keys($closed);
        sort($steps);
        $demands = ['' => $asked->whole->demand];
        foreach ($asked->areas as $area) {
            $demands[(string) $area->demand->area?->key] = $area->demand;
        }
        $finish = array_values(
            array_filter(
                array_keys($this->finishing, true, true),
                fn (int $i) => $this->finishes($demands[(string) $this->steps[$i]->area?->key], $i),
            ),
        );
        $minutes = array_sum(array_map(fn (int $i) => $this->steps[$i]->minutes, [...$steps, ...$finish]));

        return new StoppingPoint($tier, $steps, $finish, $minutes, null);
    }

    /**
     * The least set that meets the tier on every area and holds all that must come before something in it; null where
     * that is the whole work, pulled in by rules.
     *
     * @param  array<int, true>  $set
     * @param  array<string, list<int>>  $met  by area: lengths of its chain, rising
     * @param  array<string, int>  $pulled  by rule: how many steps it has pulled in
     * @return array<int, true>|null
     */
    private function closure(array $set, array $met, array &$pulled): ?array
    {
        $alone = $this->extend($set, $met);
        $closed = $alone;
        do {
            $before = count($closed);
            $closed = $this->extend($this->closed($closed, $pulled), $met);
        } while (count($closed) > $before);
        $isAll = count($closed) === array_sum(array_map(count(...), $this->chains));

        return $isAll && count($alone) < count($closed) ? null : $closed;
    }

    private function none(Tier $tier, ?StopObstacle $obstacle): StoppingPoint
    {
        return new StoppingPoint($tier, null, [], 0.0, $obstacle);
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
            $step = array_pop($open);
            foreach ($this->intoWet($step) as $then) {
                if (! isset($set[$then])) {
                    $set[$then] = true;
                    $open[] = $then;
                }
            }
            foreach ($before[$step] as $earlier => $rules) {
                $inner = count($rules) === 1 && isset($rules[Rule::InnerFinished->value]);
                if ($inner || isset($set[$earlier]) || $this->finishing[$earlier]) {
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

    /** @return list<int> what goes into a step's paint while it is wet, so that work cannot stop between them */
    private function intoWet(int $step): array
    {
        $isWet = fn (array $rules): bool => isset($rules[Rule::WhileWet->value]);

        return array_keys(array_filter($this->edges->after($step), $isWet));
    }

    /** @return list<int> how many of an area's steps, counted from its first, meet the tier there */
    private function lengthsThatMeet(AskedArea $asked, Tier $tier): array
    {
        $chain = $this->chains[(string) $asked->demand->area?->key] ?? [];
        $lengths = [];
        for ($length = 0; $length <= count($chain); $length++) {
            $steps = array_map(fn (int $i) => $this->steps[$i], array_slice($chain, 0, $length));
            if ($this->failing($asked, $tier, ChosenTechnique::ofSteps($steps)) === null) {
                $lengths[] = $length;
            }
        }

        return $lengths;
    }

    /** @param  list<ChosenTechnique>  $used */
    private function failing(AskedArea $asked, Tier $tier, array $used): ?StopObstacle
    {
        $area = $asked->demand->area;
        foreach ($asked->demand->requirements as $requirement) {
            if (self::isShort($requirement, $used) && ! $this->isMetAtTheEnd($requirement, $area, $used)) {
                return StopObstacle::notMet($requirement, $area);
            }
        }
        // Where the plan's own bar had to be lowered, no more is asked of a stop on the way.
        $bar = $area === null ? 1 : min($tier->pace->gradeBar(), $this->plan->area($area->key)->gradeBar);
        $needsBase = $asked->demand->needsBase();
        // What lies under it is the plan's own: another tier need not ask for the same undercoat.
        $broken = Conformance::broken($used, $needsBase, $tier->pace, $this->given, $bar, $area);

        return $broken === [] ? null : StopObstacle::lacking($broken, $area);
    }

    /**
     * Whether a step that finishes the piece meets it.
     *
     * @param  list<ChosenTechnique>  $used
     */
    private function isMetAtTheEnd(Requirement $requirement, ?Area $area, array $used): bool
    {
        foreach (array_keys($this->finishing, true, true) as $i) {
            $step = $this->steps[$i];
            if (
                $step->area?->key === $area?->key &&
                ! self::isShort($requirement, [...$used, ...ChosenTechnique::ofSteps([$step])])
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<ChosenTechnique>  $used */
    private static function isShort(Requirement $requirement, array $used): bool
    {
        return Conformance::state($requirement, $used)->state === Standing::Short;
    }

    private function missingOnModel(AreaDemand $demand): ?Requirement
    {
        $used = $this->plan->whole->choice->techniques ?? [];
        $colours = $demand->ofModel(ModelFigure::SprayedColours);
        foreach ($demand->requirements as $requirement) {
            $tooFewSprayed = $requirement === $colours && count($this->plan->sprayed) < ($colours->min ?? 0);
            if ($tooFewSprayed || self::isShort($requirement, $used)) {
                return $requirement;
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
            if (self::isShort($requirement, []) && ! self::isShort($requirement, ChosenTechnique::ofSteps([$step]))) {
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
            if (self::isShort($requirement, $without)) {
                return true;
            }
        }

        return false;
    }
}
