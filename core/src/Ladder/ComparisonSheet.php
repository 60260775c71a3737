<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
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
    ) {
        $tiers = array_values(
            array_filter((new Grid($standard))->tiers(), fn (Tier $t) => $t->status === TierStatus::Offered),
        );
        $plans = array_map(
            fn (Tier $t) => Planner::plan(new PlanRequest($standard, $t, $sculpt, $scheme, shelf: $shelf)),
            $tiers,
        );
        $nothing =
            $tiers === []
                ? []
                : [
                    Planner::plan(
                        new PlanRequest($standard, self::silent($tiers[0]), $sculpt, $scheme, shelf: $shelf),
                    ),
                    ...$plans,
                ];
        $rungs = [];
        foreach ($tiers as $i => $tier) {
            $difference = new TierDifference($nothing[$i], $plans[$i]);
            $next = isset($plans[$i + 1])
                ? (new Voices(new TierDifference($plans[$i], $plans[$i + 1])))->gains()
                : [];
            $rungs[] = new ComparedRung(
                $tier,
                $plans[$i],
                $difference->prices()[1],
                (new Voices($difference))->gains(),
                (new Voices($difference))->losses(),
                $next,
            );
        }
        $this->rungs = $rungs;
    }

    /** The lowest tier with nothing to say: what it gives is told from there. */
    private static function silent(Tier $tier): Tier
    {
        return new Tier(
            $tier->key,
            $tier->name,
            $tier->order,
            $tier->status,
            $tier->intent,
            $tier->pace,
            $tier->aim,
            $tier->viewing,
            [],
            $tier->defaultStatus,
        );
    }
}
