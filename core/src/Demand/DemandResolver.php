<?php

declare(strict_types=1);

namespace Ordotype\Core\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
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
final readonly class DemandResolver
{
    /** @var array<string, true> effects that only whole techniques give */
    private array $wholeOnly;

    public function __construct(private Standard $standard, private ClausesInForce $clauses, private Sculpt $sculpt)
    {
        $byArea = [];
        $byWhole = [];
        foreach ($standard->techniques as $technique) {
            foreach (array_keys($technique->effects) as $effect) {
                if ($technique->whole) {
                    $byWhole[$effect] = true;
                } else {
                    $byArea[$effect] = true;
                }
            }
        }
        $this->wholeOnly = array_diff_key($byWhole, $byArea);
    }

    /** Whether a technique can be used on an area at all, whatever the tier says of it. */
    public static function fits(Technique $technique, Area $area): bool
    {
        return ! $technique->whole &&
            $technique->retired !== true &&
            $technique->permitsMaterial($area->material) &&
            $technique->suit($area->relief) > 0 &&
            ! ($area->rank === Rank::Ground && $technique->givesAny(Effect::BaseColour));
    }

    public function ofArea(Area $area): AreaDemand
    {
        $asked = [];
        $notApplicable = [];
        /** @var array<string, array{status: TechniqueStatus, required: list<Requirement>}> $said */
        $said = [];
        foreach ($this->clauses->all as $inForce) {
            $clause = $inForce->clause;
            if ($clause instanceof TechniqueClause) {
                if ($inForce->matches($area, $this->sculpt)) {
                    $this->note($said, $inForce, $clause, $area, $notApplicable);
                }

                continue;
            }
            if (! $inForce->matchesPainting($area, $this->sculpt)) {
                continue;
            }
            if ($clause instanceof StepsClause) {
                $asked[] = Requirement::steps(
                    $area->key,
                    $inForce->ids,
                    $clause->severity,
                    $clause->min,
                    $clause->max,
                );
            } elseif ($clause instanceof FinishClause) {
                $asked[] = Requirement::finish(
                    $area->key,
                    $inForce->ids,
                    $clause->severity,
                    $clause->criterion,
                    $clause->limit,
                );
            } elseif ($clause instanceof EffectClause && ! $this->isWhole($clause)) {
                $one = Requirement::effect(
                    $area->key,
                    $inForce->ids,
                    $clause->severity,
                    $clause->effects,
                    $clause->extent(),
                    $clause->passes(),
                    $clause->by,
                );
                $reason = $this->whyNot($one, $area);
                if ($reason === null) {
                    $asked[] = $one;
                } else {
                    $notApplicable[] = new NotApplicable($area->key, $one->subject(), $one->clauses, $reason);
                }
            }
        }

        $allowed = [];
        $onRequest = [];
        foreach ($this->standard->techniques as $technique) {
            if (! self::fits($technique, $area)) {
                continue;
            }
            $status = $said[$technique->key]['status'] ?? $this->unsaid($technique);
            if ($status === TechniqueStatus::Required || $status === TechniqueStatus::Allowed) {
                $allowed[$technique->key] = true;
            } elseif ($status === TechniqueStatus::OnRequest) {
                $onRequest[$technique->key] = true;
            }
            array_push($asked, ...$said[$technique->key]['required'] ?? []);
        }

        return new AreaDemand($area, $this->inClauseOrder($asked), $allowed, $notApplicable, $onRequest);
    }

    /**
     * What is asked of the model as a whole: effects only whole techniques give, whole techniques, colours, minutes.
     */
    public function ofModel(): AreaDemand
    {
        $asked = [];
        $notApplicable = [];
        /** @var array<string, array{status: TechniqueStatus, required: list<Requirement>}> $said */
        $said = [];
        foreach ($this->clauses->all as $inForce) {
            $clause = $inForce->clause;
            if (! $inForce->matchesModel($this->sculpt)) {
                continue;
            }
            if ($clause instanceof TechniqueClause) {
                $this->note($said, $inForce, $clause, null, $notApplicable);
            } elseif ($clause instanceof EffectClause && $this->isWhole($clause)) {
                $asked[] = Requirement::effect(
                    null,
                    $inForce->ids,
                    $clause->severity,
                    $clause->effects,
                    $clause->extent(),
                    $clause->passes(),
                    $clause->by,
                );
            } elseif ($clause instanceof SprayedColoursClause) {
                $asked[] = Requirement::ofModel(
                    RequirementKind::SprayedColours,
                    $inForce->ids,
                    $clause->severity,
                    $clause->min,
                    $clause->max,
                );
            } elseif ($clause instanceof MinutesClause && in_array($this->sculpt->size, $clause->size, true)) {
                $asked[] = Requirement::ofModel(
                    RequirementKind::Minutes,
                    $inForce->ids,
                    $clause->severity,
                    null,
                    $clause->max,
                );
            } elseif ($clause instanceof SkillClause) {
                $asked[] = Requirement::ofModel(
                    RequirementKind::Skill,
                    $inForce->ids,
                    $clause->severity,
                    $clause->min,
                    null,
                );
            }
        }
        $allowed = [];
        foreach ($this->standard->techniques as $technique) {
            if (! $technique->whole || $technique->retired === true) {
                continue;
            }
            $status = $said[$technique->key]['status'] ?? $this->unsaid($technique);
            if ($status === TechniqueStatus::Required || $status === TechniqueStatus::Allowed) {
                $allowed[$technique->key] = true;
            }
            array_push($asked, ...$said[$technique->key]['required'] ?? []);
        }

        return new AreaDemand(null, $this->inClauseOrder($asked), $allowed, $notApplicable);
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
     * The last matching clause decides, except that `allowed` never lowers `required`; what is no longer offered
     * cancels what was required before it.
     *
     * @param  array<string, array{status: TechniqueStatus, required: list<Requirement>}>  $said
     * @param  list<NotApplicable>  $notApplicable
     */
    private function note(
        array &$said,
        ClauseInForce $inForce,
        TechniqueClause $clause,
        ?Area $area,
        array &$notApplicable,
    ): void {
        $techniques =
            $clause->technique === null
                ? array_filter($this->standard->techniques, $clause->names(...))
                : [$this->standard->technique($clause->technique)];
        foreach ($techniques as $technique) {
            if ($technique->whole !== ($area === null)) {
                continue;
            }
            $before = $said[$technique->key] ?? ['status' => $this->unsaid($technique), 'required' => []];
            if ($clause->status === TechniqueStatus::Required) {
                if ($area !== null && ! self::fits($technique, $area)) {
                    $notApplicable[] = new NotApplicable(
                        $area->key,
                        $technique->key,
                        $inForce->ids,
                        self::whyUnfit($technique, $area),
                    );

                    continue;
                }
                $before['status'] = TechniqueStatus::Required;
                $before['required'][] = Requirement::technique(
                    $area?->key,
                    $inForce->ids,
                    $clause->severity,
                    $technique->key,
                    $clause->extent(),
                    $clause->passes(),
                );
            } elseif (
                $clause->status !== TechniqueStatus::Allowed ||
                $before['status'] !== TechniqueStatus::Required
            ) {
                $before = ['status' => $clause->status, 'required' => []];
            }
            $said[$technique->key] = $before;
        }
    }

    private function unsaid(Technique $technique): TechniqueStatus
    {
        $default = $this->clauses->tier->defaultStatus();

        return $default === TechniqueStatus::NotOffered && $technique->key === WellKnown::TIDY
            ? TechniqueStatus::Allowed
            : $default;
    }

    /** Why no technique of the catalogue can give this effect here; null when one can. */
    private function whyNot(Requirement $effect, Area $area): ?string
    {
        $gives = false;
        foreach ($this->standard->techniques as $technique) {
            if ($effect->isServedBy($technique)) {
                if (self::fits($technique, $area)) {
                    return null;
                }
                $gives = true;
            }
        }
        $who = $effect->by === null ? 'no technique of the catalogue' : 'none of '.implode(', ', $effect->by);

        return $gives
            ? "$who can give it on ".self::surface($area)
            : "$who gives it at the extent {$effect->extent->word()}";
    }

    private static function whyUnfit(Technique $technique, Area $area): string
    {
        return match (true) {
            $technique->retired === true => 'it is retired from the catalogue',
            ! $technique->permitsMaterial($area->material) => "it is not for {$area->material->value}",
            $technique->suit($area->relief) === 0 => 'it does not suit '.self::surface($area),
            default => 'ground gets no base colour of this kind',
        };
    }

    private static function surface(Area $area): string
    {
        return $area->material->value.' with '.implode(', ', array_map(fn ($r) => $r->value, $area->relief));
    }

    /**
     * @param  list<Requirement>  $asked
     * @return list<Requirement>
     */
    private function inClauseOrder(array $asked): array
    {
        $place = [];
        foreach ($this->clauses->all as $i => $inForce) {
            $place[implode(' ', $inForce->ids)] ??= $i;
        }
        usort(
            $asked,
            fn (Requirement $a, Requirement $b) => ($place[implode(' ', $a->clauses)] ?? 0) <=>
                ($place[implode(' ', $b->clauses)] ?? 0),
        );

        return $asked;
    }
}
