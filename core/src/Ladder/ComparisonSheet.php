<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** One sculpt at every offered tier, for a client: what each rung adds to the one below, and what it leaves out. */
final readonly class ComparisonSheet
{
    /** @var list<ComparedRung> from the lowest up */
    public array $rungs;

    public function __construct(
        public Standard $standard,
        public Sculpt $sculpt,
        ?Scheme $scheme = null,
        Shelf $shelf = new Shelf([]),
        Planner $planner = new Planner(),
    ) {
        $tiers = array_values(
            array_filter((new Grid($standard))->tiers(), fn (Tier $t) => $t->status === TierStatus::Offered),
        );
        $planned = fn (Tier $t): Plan => $planner->plan(
            new PlanRequest($standard, $t, $sculpt, $scheme, shelf: $shelf),
        );
        $plans = array_map($planned, $tiers);
        $below = $tiers === [] ? [] : [$planned($tiers[0]->saying([])), ...$plans];
        $rungs = [];
        foreach ($tiers as $i => $tier) {
            $next = isset($plans[$i + 1]) ? new TierDifference($plans[$i], $plans[$i + 1]) : null;
            $rungs[] = new ComparedRung($tier, $plans[$i], new TierDifference($below[$i], $plans[$i]), $next);
        }
        $this->rungs = $rungs;
    }
}
