<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\Requirement;
use Ordotype\Core\Planning\Demand\Trend;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Standard\PriceRange;

/** What one tier asks of a sculpt that another does not, and what that takes. */
final readonly class TierDifference
{
    /**
     * @var list<RequirementChange> added, dropped, strengthened, weakened, changed, allowing more or less, in the
     * order of areas
     */
    public array $changes;

    public function __construct(public Plan $from, public Plan $to)
    {
        [$before, $after] = [self::byPlace($from), self::byPlace($to)];
        $changes = [];
        foreach ($before + $after as $place => $any) {
            [$was, $is] = [$before[$place] ?? null, $after[$place] ?? null];
            $change = match (true) {
                $was === null => Trend::Added,
                $is === null => Trend::Dropped,
                default => $is->trendFrom($was),
            };
            if ($change !== null) {
                $changes[] = new RequirementChange($change, $was, $is);
            }
        }
        $this->changes = $changes;
    }

    /** Hand minutes of one piece by which the plan grows, worked in passes. */
    public function minutes(): float
    {
        return $this->to->minutesByPasses() - $this->from->minutesByPasses();
    }

    /** @return array{PriceRange|null, PriceRange|null} the price ranges of the sculpt's size and role at both tiers */
    public function prices(): array
    {
        $of = function (Plan $plan): ?PriceRange {
            foreach ($plan->request->standard->prices as $price) {
                if ($price->isFor($plan->request->tier, $plan->request->sculpt)) {
                    return $price;
                }
            }

            return null;
        };

        return [$of($this->from), $of($this->to)];
    }

    /**
     * @return array<string, array{float, float}> minutes on each area under both tiers, for areas where they differ
     */
    public function areaMinutes(): array
    {
        $minutes = [];
        foreach ($this->from->areas as $i => $planned) {
            $pair = [$planned->minutes() ?? NAN, $this->to->areas[$i]->minutes() ?? NAN];
            if (abs($pair[0] - $pair[1]) > 1e-9 || is_nan($pair[0]) !== is_nan($pair[1])) {
                $minutes[(string) $planned->demand->area?->key] = $pair;
            }
        }

        return $minutes;
    }

    /** @return array<string, Requirement> */
    private static function byPlace(Plan $plan): array
    {
        $result = [];
        foreach (array_map(fn (RequirementState $s) => $s->requirement, $plan->requirements) as $r) {
            $place = ($r->area ?? '')."\n{$r->kind()->value}\n{$r->subject()}";
            // Two effect clauses that do not imply one another may stand side by side on one area.
            for ($n = 1; isset($result["$place\n$n"]); $n++);
            $result["$place\n$n"] = $r;
        }

        return $result;
    }
}
