<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Format\ClauseFormat;
use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Planning\Planner;
use Ordotype\Core\Planning\PlanRequest;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\PriceRange;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Standard\TierStatus;
use stdClass;

/** What shows only when the offered tiers are planned on the studio's figures. */
final readonly class FigureLint
{
    /** @param  list<Sculpt>  $figures */
    public function __construct(private Standard $standard, private array $figures, private ?string $hourlyRate)
    {
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
                $plan = Planner::plan(new PlanRequest($this->standard, $tier, $figure));
                foreach (
                    [
                        ...$this->conflicts($plan),
                        ...$this->lowered($plan),
                        ...$this->overMinutes($plan),
                        ...$this->belowCost($plan),
                    ] as [$by, $finding]
                ) {
                    $what =
                        "$finding->kind $finding->tier ".
                        implode(' ', $finding->clauses).
                        ($finding->kind === 'below_cost' ? " {$figure->size->value} {$figure->role->value}" : '');
                    if (! isset($worst[$what]) || $worst[$what][0] < $by) {
                        $worst[$what] = [$by, $finding];
                    }
                }
            }
        }

        return array_column(array_values($worst), 1);
    }

    /** @return list<array{float, Finding}> */
    private function conflicts(Plan $plan): array
    {
        $tier = $plan->request->tier;
        $findings = [];
        foreach ($plan->conflicts() as $conflict) {
            $findings[] = [
                1.0,
                new Finding(
                    'cannot_be_met',
                    $tier->key,
                    $conflict->clauses,
                    "On the {$plan->request->sculpt->name}, {$tier->name} cannot be met: $conflict->reason.",
                    'Change one of these clauses, allow a technique that helps, or narrow a scope.',
                ),
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
                    $suspects += array_fill_keys($requirement->clauses, true);
                }
            }
        }
        $findings = [];
        foreach ($this->standard->clausesOf($tier) as $clause) {
            if (
                ! isset($suspects[$clause->id]) ||
                (! ($clause instanceof EffectClause) && ! ($clause instanceof StepsClause))
            ) {
                continue;
            }
            $without = Planner::choose(new PlanRequest($this->standard, $this->without($tier, $clause), $figure));
            foreach ($relaxed as $i) {
                if ($without[$i]->relaxed < $plan->areas[$i]->relaxed) {
                    $area = $plan->areas[$i]->demand->area;
                    $findings[] = [
                        (float) $plan->areas[$i]->relaxed,
                        new Finding(
                            'lowers_bar',
                            $tier->key,
                            [$clause->id],
                            "On the {$figure->name}, ".
                                mb_strtolower($area->name ?? '').
                                ", $clause->id can only be met by rougher work than the pace of $tier->name wants.",
                            'Allow a cleaner technique that gives it, name one with "by", or leave this kind '.
                                'of area out of its scope.',
                        ),
                    ];
                    break;
                }
            }
        }

        return $findings;
    }

    private function without(Tier $tier, Clause $clause): Tier
    {
        $left = array_values(array_filter($this->standard->clausesOf($tier), fn (Clause $c) => $c !== $clause));

        return new Tier(
            $tier->key,
            $tier->name,
            $tier->order,
            $tier->status,
            $tier->intent,
            $tier->pace,
            $tier->aim,
            $tier->viewing,
            $left,
            $tier->defaultStatus,
            null,
            null,
            $tier->faults,
        );
    }

    /** @return list<array{float, Finding}> */
    private function overMinutes(Plan $plan): array
    {
        [$tier, $figure] = [$plan->request->tier, $plan->request->sculpt];
        $minutes = $plan->minutesByPasses();
        $findings = [];
        foreach ($this->standard->clausesOf($tier) as $clause) {
            if (
                ! ($clause instanceof MinutesClause) ||
                ! in_array($figure->size, $clause->size, true) ||
                ! $clause->scope()->matchesModel($figure) ||
                $minutes <= $clause->max + 1e-9
            ) {
                continue;
            }
            $enough = 5 * (int) ceil($minutes / 5);
            $own = in_array($clause, $tier->clauses, true) ? ClauseFormat::write($clause) : null;
            $after = ClauseFormat::write($clause);
            $after->id = $own === null ? "$tier->key.{$clause->suffix()}" : $clause->id;
            $after->max = $enough;
            $findings[] = [
                $minutes - $clause->max,
                new Finding(
                    'over_minutes',
                    $tier->key,
                    [$clause->id],
                    "The {$figure->name} takes ".
                        round($minutes).
                        " minutes at $tier->name, and $clause->id allows $clause->max.",
                    "Allow $enough minutes, or ask for less.",
                    [new Edit('clause', $tier->key, $own, $after)],
                ),
            ];
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
        $cents = (int) ceil(($plan->minutesByPasses() * self::cents($this->hourlyRate)) / 60 - 1e-6);
        $findings = [];
        foreach ($this->standard->prices as $price) {
            if (
                $price->tier !== $request->tier->key ||
                $price->size !== $request->sculpt->size ||
                $price->role !== $request->sculpt->role ||
                self::cents($price->low) >= $cents
            ) {
                continue;
            }
            $before = self::written($price);
            $after = clone $before;
            $after->low = self::money($cents);
            $after->high = $price->high === null ? null : self::money(max($cents, self::cents($price->high)));
            $findings[] = [
                (float) ($cents - self::cents($price->low)),
                new Finding(
                    'below_cost',
                    $request->tier->key,
                    [],
                    "A {$request->sculpt->name} at {$request->tier->name} costs $after->low {$this->standard->currency} of bench time, and its range starts at $price->low.",
                    "Start the range at $after->low.",
                    [new Edit('price', null, $before, $after)],
                ),
            ];
        }

        return $findings;
    }

    private static function written(PriceRange $price): stdClass
    {
        return (object) [
            'size' => $price->size->value,
            'role' => $price->role->value,
            'tier' => $price->tier,
            'low' => $price->low,
            'high' => $price->high,
        ];
    }

    /** Exact: a decimal with at most two places. */
    private static function cents(string $money): int
    {
        [$whole, $part] = [...explode('.', $money), ''];

        return 100 * (int) $whole + (int) str_pad(substr($part, 0, 2), 2, '0');
    }

    private static function money(int $cents): string
    {
        return sprintf('%d.%02d', intdiv($cents, 100), $cents % 100);
    }
}
