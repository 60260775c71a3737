<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\DemandResolver;
use Ordotype\Core\Planning\Requirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\Tier;

/** Reads a ladder for clauses that contradict one another or say nothing. */
final readonly class Lint
{
    public function __construct(private Standard $standard)
    {
    }

    /** @return list<Finding> tier by tier, in clause order */
    public function findings(): array
    {
        $findings = [];
        $seen = [];
        foreach ($this->standard->tiers as $tier) {
            $clauses = $this->standard->clausesOf($tier);
            foreach ([...$this->floorsAboveCeilings($tier, $clauses), ...$this->matchingNothing($tier, $tier->clauses)] as $finding) {
                // A clause that a tier takes from another is reported once, where it stands first.
                $what = $finding->kind.implode(' ', $finding->clauses);
                if (! isset($seen[$what])) {
                    $findings[] = $finding;
                }
                $seen[$what] = true;
            }
        }

        return $findings;
    }

    /**
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function floorsAboveCeilings(Tier $tier, array $clauses): array
    {
        $findings = [];
        $ranged = array_values(array_filter($clauses, fn (Clause $c) => $c instanceof StepsClause || $c instanceof SprayedColoursClause));
        foreach ($ranged as $i => $floor) {
            foreach ($ranged as $j => $ceiling) {
                if ($floor::class !== $ceiling::class || $ceiling->max === null || $floor->min <= $ceiling->max || ($i !== $j && ($ceiling->min > $ceiling->max || $floor->min > ($floor->max ?? INF)))) {
                    continue;
                }
                if ($i !== $j && ! $this->meet($floor, $ceiling)) {
                    continue;
                }
                $what = $floor instanceof StepsClause ? 'colour steps' : 'sprayed colours';
                $findings[] = new Finding('floor_above_ceiling', $tier->key, array_values(array_unique([$floor->id, $ceiling->id])),
                    "$floor->id asks for at least $floor->min $what where $ceiling->id allows at most $ceiling->max: nothing can meet both.",
                    "Raise the ceiling of $ceiling->id to $floor->min, lower the floor of $floor->id to $ceiling->max, or let their scopes not overlap.");
            }
        }

        return $findings;
    }

    /** Whether some kind of area is in the scope of both. */
    private function meet(Clause $one, Clause $other): bool
    {
        foreach (AreaKinds::toldApartBy([$one->scope(), $other->scope()]) as [$area, $sculpt]) {
            if ($this->inScope($one, $area, $sculpt) && $this->inScope($other, $area, $sculpt)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Clause>  $clauses
     * @return list<Finding>
     */
    private function matchingNothing(Tier $tier, array $clauses): array
    {
        $findings = [];
        foreach ($clauses as $clause) {
            $inScope = false;
            $works = false;
            foreach (AreaKinds::toldApartBy([$clause->scope()]) as [$area, $sculpt]) {
                if ($this->inScope($clause, $area, $sculpt)) {
                    $inScope = true;
                    if ($this->canHold($clause, $area)) {
                        $works = true;
                        break;
                    }
                }
            }
            if (! $inScope) {
                $findings[] = new Finding('matches_nothing', $tier->key, [$clause->id],
                    "No area of any model can be in the scope of $clause->id.", 'Widen its scope, name the ground in it if the ground is meant, or drop the clause.');
            } elseif (! $works) {
                $findings[] = new Finding('matches_nothing', $tier->key, [$clause->id],
                    "Nothing $clause->id asks for can be done on any area in its scope: no technique fits the material and relief there.",
                    'Change its scope, its extent or the techniques it names.');
            }
        }

        return $findings;
    }

    private function inScope(Clause $clause, Area $area, Sculpt $sculpt): bool
    {
        $painting = $clause instanceof StepsClause || $clause instanceof FinishClause || ($clause instanceof EffectClause && $this->onAreas($clause));

        return $painting ? $clause->scope()->matchesPainting($area, $sculpt) : $clause->scope()->matches($area, $sculpt);
    }

    private function canHold(Clause $clause, Area $area): bool
    {
        if ($clause instanceof EffectClause && $this->onAreas($clause)) {
            $asked = Requirement::effect($area->key, [], null, $clause->effects, $clause->extent(), $clause->passes(), $clause->by);
            foreach ($this->standard->techniques as $technique) {
                if (DemandResolver::fits($technique, $area) && $asked->isServedBy($technique)) {
                    return true;
                }
            }

            return false;
        }
        if ($clause instanceof TechniqueClause) {
            foreach ($this->standard->techniques as $technique) {
                if ($clause->names($technique) && ($technique->whole || DemandResolver::fits($technique, $area))) {
                    return true;
                }
            }

            return false;
        }

        return true;
    }

    /** Whether some technique gives one of the effects area by area, so that the clause speaks of areas. */
    private function onAreas(EffectClause $clause): bool
    {
        return array_filter($this->standard->techniques, fn (Technique $t) => ! $t->whole && $t->givesAny(...$clause->effects)) !== [];
    }
}
