<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Planning\Choice\AreaProblem;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\SpareMinutes;
use Ordotype\Core\Planning\Plan\SurplusStep;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/**
 * What goes when a piece must come down to so many minutes: first what amendments and extras add, by least notice a
 * minute; the floor of the tier is never cut, so where that is not enough the highest tier that fits is named.
 */
final readonly class Cutting
{
    /** @param  list<Cut>  $cuts  in the order in which they go */
    private function __construct(
        public array $cuts,
        public float $left,
        public ?Tier $tier,
        public ?float $tierMinutes,
    ) {
    }

    public static function to(Plan $plan, float $minutes, Planner $planner = new Planner()): self
    {
        $cuts = [...self::ofAmendments($plan, $planner), ...self::ofExtras($plan)];
        usort($cuts, fn (Cut $a, Cut $b) => $a->noticeAMinute() <=> $b->noticeAMinute());
        $left = $plan->minutesByPasses();
        $gone = [];
        foreach ($cuts as $cut) {
            if ($left > $minutes + AreaProblem::TIE) {
                $gone[] = $cut;
                $left -= $cut->minutes;
            }
        }
        if ($left <= $minutes + AreaProblem::TIE) {
            return new self($gone, $left, null, null);
        }
        $tiers = array_filter(
            $plan->request->standard->tiers,
            fn (Tier $t) => $t->status === TierStatus::Offered && $t->order < $plan->request->tier->order,
        );
        usort($tiers, fn (Tier $a, Tier $b) => $b->order <=> $a->order);
        foreach ($tiers as $tier) {
            $lower = $planner->plan($plan->request->at($tier)->amended([]));
            $takes = $lower->minutesByPasses();
            if ($lower->conflicts() === [] && $takes <= $minutes + AreaProblem::TIE) {
                return new self($gone, $left, $tier, $takes);
            }
        }

        return new self($gone, $left, null, null);
    }

    public function isEnough(float $minutes): bool
    {
        return $this->left <= $minutes + AreaProblem::TIE;
    }

    /** @return list<Cut> */
    private static function ofExtras(Plan $plan): array
    {
        return array_map(
            fn (SurplusStep $s) => new Cut(
                $s->step->area,
                $s->step->technique,
                null,
                $s->step->minutes,
                $s->step->area === null ? 0.0 : SpareMinutes::notice($s->step->area, $s->step->technique),
            ),
            $plan->surplus,
        );
    }

    /** @return list<Cut> amendments without which the plan takes less */
    private static function ofAmendments(Plan $plan, Planner $planner): array
    {
        $request = $plan->request;
        $cuts = [];
        $now = $planner->plan($request);
        foreach ($request->amendments as $i => $amendment) {
            if ($amendment->on !== null) {
                continue;
            }
            $rest = $request->amendments;
            array_splice($rest, $i, 1);
            try {
                $without = $planner->plan($request->amended($rest));
            } catch (FormatException) {
                continue; // another amendment changes what this one brought: it cannot go alone
            }
            $saves = $now->minutesByPasses() - $without->minutesByPasses();
            if ($saves <= AreaProblem::TIE) {
                continue;
            }
            $notice = 0.0;
            foreach ((new PlanComparison($now, $without))->differences() as $difference) {
                $area = $difference->area;
                foreach ($difference->onlyOne as $used) {
                    $notice += $area === null ? 0.0 : SpareMinutes::notice($area, $used->technique);
                }
            }
            $cuts[] = new Cut(null, null, $amendment, $saves, $notice);
        }

        return $cuts;
    }
}
