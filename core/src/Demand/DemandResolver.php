<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Relief;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\WellKnown;

/** Turns the clauses in force into what they ask of each area and of the whole model. */
final class DemandResolver
{
    /** @var array<string, true> effects that only whole techniques give */
    private readonly array $wholeOnly;

    /** @var array<string, list<Technique>> by family */
    private readonly array $ofFamily;

    /** @var array<string, int> places of clauses, by their reasons */
    private readonly array $places;

    /** What holds of a technique that no clause names, and of the tidying of a base. */
    private readonly TechniqueSaid $unsaid;

    private readonly TechniqueSaid $tidying;

    /** @var array<string, array<string, Technique>> what fits areas, by material, rank and relief, by its key */
    private array $fitting = [];

    public function __construct(
        private readonly Standard $standard,
        private readonly ClausesInForce $clauses,
        private readonly Sculpt $sculpt,
    ) {
        $byArea = [];
        $byWhole = [];
        $ofFamily = [];
        foreach ($standard->techniques as $technique) {
            $ofFamily[$technique->family->value][] = $technique;
            foreach (array_keys($technique->effects) as $effect) {
                if ($technique->whole) {
                    $byWhole[$effect] = true;
                } else {
                    $byArea[$effect] = true;
                }
            }
        }
        $this->wholeOnly = array_diff_key($byWhole, $byArea);
        $this->ofFamily = $ofFamily;
        $places = [];
        foreach ($clauses->all as $i => $inForce) {
            $places[self::name($inForce->reasons)] ??= $i;
        }
        $this->places = $places;
        $default = $clauses->tier->defaultStatus();
        $this->unsaid = new TechniqueSaid($default);
        $this->tidying = new TechniqueSaid(
            $default === TechniqueStatus::NotOffered ? TechniqueStatus::Allowed : $default,
        );
    }

    /** Whether a technique can be used on an area at all, whatever the tier says of it. */
    public static function fits(Technique $technique, Area $area): bool
    {
        return ! $technique->whole &&
            $technique->retired !== true &&
            $technique->permitsMaterial($area->material) &&
            $technique->suit($area->relief) > 0 &&
            ! ($area->rank === Rank::Ground && $technique->has(Effect::BaseColour));
    }

    /** @return array<string, Technique> that fit an area, by key, in the order of the catalogue */
    private function fitting(Area $area): array
    {
        $relief = array_map(fn (Relief $r) => $r->value, $area->relief);
        $kind = implode(' ', [$area->material->value, $area->rank->value, ...$relief]);
        if (! isset($this->fitting[$kind])) {
            $this->fitting[$kind] = [];
            foreach ($this->standard->techniques as $technique) {
                if (self::fits($technique, $area)) {
                    $this->fitting[$kind][$technique->key] = $technique;
                }
            }
        }

        return $this->fitting[$kind];
    }

    public function ofArea(Area $area): AreaDemand
    {
        $isUnpainted = $this->isUnpainted($area);
        $asked = [];
        $notApplicable = [];
        $said = [];
        foreach ($this->clauses->all as $inForce) {
            $clause = $inForce->clause;
            if ($clause instanceof TechniqueClause) {
                if ($inForce->matches($area, $this->sculpt)) {
                    array_push($notApplicable, ...$this->note($said, $inForce, $clause, $area));
                }

                continue;
            }
            $one = $inForce->matchesPainting($area, $this->sculpt) ? $this->asksOfArea($inForce, $area) : null;
            $isOfCover = $one instanceof FinishRequirement && $one->criterion->isOfCover();
            if ($isUnpainted && $isOfCover) {
                continue;
            }
            $unfit = $one instanceof EffectRequirement ? $this->whyNot($one, $area) : null;
            if ($one !== null && $unfit !== null) {
                $notApplicable[] = new NotApplicable($area, $one, $unfit);
            } elseif ($one !== null) {
                $asked[] = $one;
            }
        }

        $allowed = [];
        $onRequest = [];
        foreach ($this->fitting($area) as $technique) {
            if ($isUnpainted && $technique->givesAny(Effect::BaseColour, Effect::Underlay)) {
                continue;
            }
            $last = $said[$technique->key] ?? $this->unsaid($technique);
            if ($last->isUsable()) {
                $allowed[$technique->key] = isset($said[$technique->key]);
            } elseif ($last->status === TechniqueStatus::OnRequest) {
                $onRequest[$technique->key] = true;
            }
            array_push($asked, ...$last->required);
        }

        $asked = $this->inClauseOrder($asked);

        return new AreaDemand($area, $asked, $allowed, $notApplicable, $onRequest, $isUnpainted);
    }

    private function isUnpainted(Area $area): bool
    {
        foreach ($this->clauses->unpainted as $scope) {
            if ($scope->matches($area, $this->sculpt)) {
                return $area->rank !== Rank::Ground;
            }
        }

        return false;
    }

    /**
     * What is asked of the model as a whole: effects only whole techniques give, whole techniques, colours, minutes.
     */
    public function ofModel(): AreaDemand
    {
        $asked = [];
        $said = [];
        foreach ($this->clauses->all as $inForce) {
            if (! $inForce->matchesModel($this->sculpt)) {
                continue;
            }
            if ($inForce->clause instanceof TechniqueClause) {
                $this->note($said, $inForce, $inForce->clause, null);
            } else {
                $one = $this->asksOfModel($inForce);
                $asked = $one === null ? $asked : [...$asked, $one];
            }
        }
        $allowed = [];
        foreach ($this->standard->techniques as $technique) {
            if (! $technique->whole || $technique->retired === true) {
                continue;
            }
            $last = $said[$technique->key] ?? $this->unsaid($technique);
            if ($last->isUsable()) {
                $allowed[$technique->key] = isset($said[$technique->key]);
            }
            array_push($asked, ...$last->required);
        }

        return new AreaDemand(null, $this->inClauseOrder($asked), $allowed, []);
    }

    private function asksOfArea(ClauseInForce $inForce, Area $area): ?Requirement
    {
        $clause = $inForce->clause;
        $why = $inForce->reasons;

        return match (true) {
            $clause instanceof StepsClause => new StepsRequirement(
                $area->key,
                $why,
                $clause->severity,
                $clause->min,
                $clause->max,
            ),
            $clause instanceof FinishClause => new FinishRequirement(
                $area->key,
                $why,
                $clause->severity,
                $clause->criterion,
                $clause->limit,
            ),
            $clause instanceof EffectClause && ! $this->isWhole($clause) => self::effect(
                $area->key,
                $inForce,
                $clause,
            ),
            default => null,
        };
    }

    private function asksOfModel(ClauseInForce $inForce): ?Requirement
    {
        $clause = $inForce->clause;
        $range = fn (RequirementKind $kind, ?float $min, ?float $max): ModelRequirement => new ModelRequirement(
            $kind,
            $inForce->reasons,
            $clause->severity,
            $min,
            $max,
        );

        return match (true) {
            $clause instanceof EffectClause && $this->isWhole($clause) => self::effect(null, $inForce, $clause),
            $clause instanceof SprayedColoursClause => $range(
                RequirementKind::SprayedColours,
                $clause->min,
                $clause->max,
            ),
            $clause instanceof MinutesClause && in_array($this->sculpt->size, $clause->size, true) => $range(
                RequirementKind::Minutes,
                null,
                $clause->max,
            ),
            $clause instanceof SkillClause => $range(RequirementKind::Skill, $clause->min, null),
            default => null,
        };
    }

    private static function effect(?string $area, ClauseInForce $inForce, EffectClause $clause): EffectRequirement
    {
        return new EffectRequirement(
            $area,
            $inForce->reasons,
            $clause->severity,
            $clause->effects,
            $clause->extent(),
            $clause->passes(),
            $clause->by,
        );
    }

    private function isWhole(EffectClause $clause): bool
    {
        foreach ($clause->effects as $effect) {
            if (! isset($this->wholeOnly[$effect->value])) {
                return false;
            }
        }

        return true;
    }

    /**
     * Notes what a clause says of each technique it names.
     *
     * @param  array<string, TechniqueSaid>  $said  by technique key
     * @return list<NotApplicable> what it asks and cannot be done there
     */
    private function note(array &$said, ClauseInForce $inForce, TechniqueClause $clause, ?Area $area): array
    {
        $techniques =
            $clause->technique === null
                ? $this->ofFamily[$clause->family->value ?? ''] ?? []
                : [$this->standard->technique($clause->technique)];
        $notApplicable = [];
        foreach ($techniques as $technique) {
            if ($technique->whole !== ($area === null)) {
                continue;
            }
            $before = $said[$technique->key] ?? $this->unsaid($technique);
            if ($clause->status !== TechniqueStatus::Required) {
                $said[$technique->key] = $before->then($clause);

                continue;
            }
            $one = new TechniqueRequirement(
                $area?->key,
                $inForce->reasons,
                $clause->severity,
                $technique->key,
                $clause->extent(),
                $clause->passes(),
            );
            if ($area !== null && ! isset($this->fitting($area)[$technique->key])) {
                $notApplicable[] = new NotApplicable($area, $one, self::whyUnfit($technique, $area));
            } else {
                $said[$technique->key] = $before->requiring($one);
            }
        }

        return $notApplicable;
    }

    private function unsaid(Technique $technique): TechniqueSaid
    {
        return $technique->key === WellKnown::TIDY ? $this->tidying : $this->unsaid;
    }

    /** Why no technique of the catalogue can give this effect here; null when one can. */
    private function whyNot(EffectRequirement $effect, Area $area): ?Unfit
    {
        foreach ($this->fitting($area) as $technique) {
            if ($effect->isServedBy($technique)) {
                return null;
            }
        }
        $gives = array_filter($this->standard->techniques, fn (Technique $t) => $effect->isServedBy($t)) !== [];

        return $gives ? Unfit::NobodyGivesItHere : Unfit::NobodyGivesItSoWidely;
    }

    private static function whyUnfit(Technique $technique, Area $area): Unfit
    {
        return match (true) {
            $technique->retired === true => Unfit::Retired,
            ! $technique->permitsMaterial($area->material) => Unfit::NotForMaterial,
            $technique->suit($area->relief) === 0 => Unfit::NotForRelief,
            default => Unfit::NoBaseOnGround,
        };
    }

    /**
     * @param  list<Requirement>  $asked
     * @return list<Requirement>
     */
    private function inClauseOrder(array $asked): array
    {
        $places = array_map(fn (Requirement $r) => $this->places[self::name($r->reasons)] ?? 0, $asked);
        asort($places);

        return array_map(fn (int $i) => $asked[$i], array_keys($places));
    }

    /** @param  list<Reason>  $reasons */
    private static function name(array $reasons): string
    {
        return implode(' ', Reason::ids($reasons));
    }
}
