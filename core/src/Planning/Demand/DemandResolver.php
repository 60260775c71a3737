<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Demand;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\WellKnown;

/** Turns the clauses in force into what they ask of each area and of the whole model. */
final readonly class DemandResolver
{
    /** @var array<string, int> places of clauses, by their reasons */
    private array $places;

    /** What holds of a technique that no clause names, and of the tidying of a base. */
    private TechniqueSaid $unsaid;

    private TechniqueSaid $tidying;

    private FittingTechniques $fitting;

    public function __construct(Standard $standard, private ClausesInForce $clauses, private Sculpt $sculpt)
    {
        $this->fitting = new FittingTechniques($standard);
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

    public function ofArea(Area $area): AreaDemand
    {
        $isUnpainted = $this->isUnpainted($area);
        $gathered = $this->gathered($area, $isUnpainted);
        $asked = $gathered->asked;
        $allowed = [];
        $onRequest = [];
        foreach ($this->fitting->on($area) as $technique) {
            if ($isUnpainted && $technique->givesAny(Effect::BaseColour, Effect::Underlay)) {
                continue;
            }
            $last = $gathered->said[$technique->key] ?? $this->unsaid($technique);
            if ($last->isUsable()) {
                $allowed[$technique->key] = isset($gathered->said[$technique->key]);
            } elseif ($last->status === TechniqueStatus::OnRequest) {
                $onRequest[$technique->key] = true;
            }
            array_push($asked, ...$last->required);
        }

        return new AreaDemand(
            $area,
            $this->inClauseOrder($asked),
            $allowed,
            $gathered->notApplicable,
            $onRequest,
            $isUnpainted,
        );
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
        $gathered = $this->gathered(null, false);
        $asked = $gathered->asked;
        $allowed = [];
        foreach ($this->fitting->all() as $technique) {
            if (! $technique->whole || $technique->retired === true) {
                continue;
            }
            $last = $gathered->said[$technique->key] ?? $this->unsaid($technique);
            if ($last->isUsable()) {
                $allowed[$technique->key] = isset($gathered->said[$technique->key]);
            }
            array_push($asked, ...$last->required);
        }

        return new AreaDemand(null, $this->inClauseOrder($asked), $allowed, [], minutes: $gathered->minutes);
    }

    private function gathered(?Area $area, bool $isUnpainted): GatheredDemand
    {
        $gathered = new GatheredDemand($this->fitting, $this->sculpt, $this->unsaid(...), $area, $isUnpainted);
        foreach ($this->clauses->all as $inForce) {
            $gathered->add($inForce);
        }

        return $gathered;
    }

    private function unsaid(Technique $technique): TechniqueSaid
    {
        return $technique->key === WellKnown::TIDY ? $this->tidying : $this->unsaid;
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
