<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Foundation\Money;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;

/** What shows only when the offered tiers are planned on the studio's figures. */
final readonly class FigureLint
{
    /** @param  list<Sculpt>  $figures */
    public function __construct(
        private Standard $standard,
        private array $figures,
        private ?Money $hourlyRate,
        private Planner $planner,
    ) {
    }

    /**
     * @return list<Finding> tier by tier, figure by figure; a clause or price once, for the figure it is furthest off
     * on
     */
    public function findings(): array
    {
        /** @var array<string, array{float, Finding}> $worst */
        $worst = [];
        foreach ($this->standard->tiers as $tier) {
            if ($tier->status !== TierStatus::Offered) {
                continue;
            }
            foreach ($this->figures as $figure) {
                $plan = $this->planner->plan(new PlanRequest($this->standard, $tier, $figure));
                foreach (
                    [
                        ...$this->conflicts($plan),
                        ...$this->lowered($plan),
                        ...$this->overMinutes($plan),
                        ...$this->belowCost($plan),
                    ] as [$by, $finding]
                ) {
                    $what = self::about($finding, $figure);
                    if (! isset($worst[$what]) || $worst[$what][0] < $by) {
                        $worst[$what] = [$by, $finding];
                    }
                }
            }
        }

        return array_column(array_values($worst), 1);
    }

    /** Equal for findings of which one is enough: the same clause or price, on whichever figure. */
    private static function about(Finding $finding, Sculpt $figure): string
    {
        $about = [
            $finding->kind->value,
            $finding->tier->key,
            ...array_map(fn (Clause $c) => $c->id, $finding->clauses),
        ];

        return implode(
            ' ',
            $finding->kind === FindingKind::BelowCost
                ? [...$about, $figure->size->value, $figure->role->value]
                : $about,
        );
    }

    /** @return list<array{float, Finding}> */
    private function conflicts(Plan $plan): array
    {
        $tier = $plan->request->tier;
        $findings = [];
        foreach ($plan->conflicts() as $conflict) {
            $clauses = $this->named($tier, Reason::ids($conflict->reasons));
            $figure = $plan->request->sculpt;
            $findings[] = [
                1.0,
                new Finding(FindingKind::CannotBeMet, $tier, $clauses, figure: $figure, conflict: $conflict),
            ];
        }

        return $findings;
    }

    /**
     * Clauses without which an area would keep the bar of the tier's pace.
     *
     * @return list<array{float, Finding}>
     */
    private function lowered(Plan $plan): array
    {
        [$tier, $figure] = [$plan->request->tier, $plan->request->sculpt];
        $relaxed = [];
        $suspects = [];
        foreach ($plan->areas as $i => $planned) {
            if ($planned->relaxed > 0) {
                $relaxed[] = $i;
                foreach ($planned->demand->requirements as $requirement) {
                    $suspects += array_fill_keys(Reason::ids($requirement->reasons), true);
                }
            }
        }
        $findings = [];
        $views = new ClauseViews($this->standard);
        foreach ($this->standard->clausesOf($tier) as $clause) {
            if (! isset($suspects[$clause->id]) || ! $views->of($clause)->lowersBar) {
                continue;
            }
            $request = new PlanRequest($this->standard, $this->without($tier, $clause), $figure);
            $without = $this->planner->choose($request)->areas;
            foreach ($relaxed as $i) {
                if ($without[$i]->relaxed < $plan->areas[$i]->relaxed) {
                    $area = $plan->areas[$i]->demand->area;
                    $finding = new Finding(FindingKind::LowersBar, $tier, [$clause], figure: $figure, area: $area);
                    $findings[] = [(float) $plan->areas[$i]->relaxed, $finding];
                    break;
                }
            }
        }

        return $findings;
    }

    private function without(Tier $tier, Clause $clause): Tier
    {
        $left = array_values(array_filter($this->standard->clausesOf($tier), fn (Clause $c) => $c !== $clause));

        return $tier->saying($left);
    }

    /** @return list<array{float, Finding}> */
    private function overMinutes(Plan $plan): array
    {
        [$tier, $figure] = [$plan->request->tier, $plan->request->sculpt];
        $minutes = $plan->minutesByPasses();
        $findings = [];
        foreach (Clause::only(MinutesClause::class, $this->standard->clausesOf($tier)) as $clause) {
            if (
                ! in_array($figure->size, $clause->size, true) ||
                ! $clause->scope()->matchesModel($figure) ||
                $minutes <= $clause->max + 1e-9
            ) {
                continue;
            }
            $enough = 5 * (int) ceil($minutes / 5);
            $edits = [(new Proposals($this->standard))->own($tier, $clause, new ClauseChange(max: (float) $enough))];
            $finding = new Finding(
                FindingKind::OverMinutes,
                $tier,
                [$clause],
                $edits,
                figure: $figure,
                minutes: $minutes,
                enough: $enough,
            );
            $findings[] = [$minutes - $clause->max, $finding];
        }

        return $findings;
    }

    /** @return list<array{float, Finding}> */
    private function belowCost(Plan $plan): array
    {
        if ($this->hourlyRate === null || $plan->conflicts() !== []) {
            return [];
        }
        $request = $plan->request;
        $cost = Money::forMinutes($plan->minutesByPasses(), $this->hourlyRate);
        $findings = [];
        foreach ($this->standard->prices as $price) {
            $low = Money::of($price->low);
            if (! $price->isFor($request->tier, $request->sculpt) || ! $low->isLessThan($cost)) {
                continue;
            }
            $high = $price->high === null ? null : Money::of($price->high);
            $most = $high === null || ! $high->isLessThan($cost) ? $high : $cost;
            $after = new PriceRange($price->size, $price->role, $price->tier, $cost->decimal(), $most?->decimal());
            $finding = new Finding(
                FindingKind::BelowCost,
                $request->tier,
                [],
                [new PriceEdit($price, $after)],
                figure: $request->sculpt,
                price: $after,
            );
            $findings[] = [(float) ($cost->cents - $low->cents), $finding];
        }

        return $findings;
    }

    /**
     * The clauses of a tier among those that are named.
     *
     * @param  list<string>  $ids
     * @return list<Clause>
     */
    private function named(Tier $tier, array $ids): array
    {
        return array_values(
            array_filter($this->standard->clausesOf($tier), fn (Clause $c) => in_array($c->id, $ids, true)),
        );
    }
}
