<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Demand\DemandResolver;
use Ordotype\Core\Demand\EffectRequirement;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;
use Ordotype\Core\Standard\Tier;

/**
 * Where a tier asks for less than one below it: some kind of area on which something the lower one asks is not implied
 * by what the higher one asks. Floors count; ceilings, minutes and acceptance do not.
 */
final readonly class WeakerRungs
{
    private Kinds $kinds;

    public function __construct(private Standard $standard)
    {
        $this->kinds = new Kinds($standard);
    }

    /** @return list<Finding> one for each clause of the lower tier that the higher one falls short of */
    public function between(Tier $lower, Tier $higher): array
    {
        [$low, $high] = [new Statuses($this->standard, $lower), new Statuses($this->standard, $higher)];
        $findings = [];
        $asking = $this->byAsking($high->clauses);
        foreach ($low->clauses as $clause) {
            $where = $this->fallsShort($clause, $low, $high, $asking);
            if ($where !== null) {
                $clauses = [$clause, ...$this->rivals($clause, $high)];
                $edits = [$this->asking($clause, $higher)];
                $findings[] = new Finding(
                    FindingKind::AsksLess,
                    $higher,
                    $clauses,
                    $edits,
                    lower: $lower,
                    where: $where,
                );
            }
        }

        return $findings;
    }

    /**
     * The higher tier's clauses, those together that ask for the same in different scopes.
     *
     * @param  list<Clause>  $clauses
     * @return array<string, SameAsking>
     */
    private function byAsking(array $clauses): array
    {
        $asking = [];
        foreach ($clauses as $place => $clause) {
            $key = $clause->askingKey();
            $asking[$key] ??= new SameAsking($clause);
            $asking[$key]->add($place, $clause);
        }

        return $asking;
    }

    /**
     * A kind of area on which the higher tier does not imply the clause; null where it always does.
     *
     * @param  array<string, SameAsking>  $asking
     */
    private function fallsShort(Clause $clause, Statuses $low, Statuses $high, array $asking): ?AreaKind
    {
        if ($clause instanceof TechniqueClause) {
            return $clause->status === TechniqueStatus::Required
                ? $this->techniqueFallsShort($clause, $low, $high)
                : null;
        }
        if (
            ! ($clause instanceof EffectClause) &&
            ! ($clause instanceof FinishClause) &&
            ! (
                ($clause instanceof StepsClause ||
                    $clause instanceof SprayedColoursClause ||
                    $clause instanceof SkillClause) &&
                $clause->min > 0
            )
        ) {
            return null;
        }
        $candidates = [];
        foreach ($this->stronger($clause, $asking) as [$group, $always]) {
            if ($always && $group->holdsIn($clause->scope())) {
                return null;
            }
            $candidates += $group->clauses;
        }
        ksort($candidates);
        $candidates = array_values(
            array_filter($candidates, fn (Clause $c) => ! $c->scope()->isApartFrom($clause->scope())),
        );
        $scopes = [$clause->scope(), ...array_map(fn (Clause $c) => $c->scope(), $candidates)];
        foreach (AreaKinds::toldApartBy($scopes, $clause->scope()) as $kind) {
            $holds =
                $this->kinds->inScope($clause, $kind->area, $kind->sculpt) &&
                $this->kinds->canHold($clause, $kind->area);
            if ($holds && ! $this->impliedThere($clause, $candidates, $high, $kind->area, $kind->sculpt)) {
                return $kind;
            }
        }

        return null;
    }

    /**
     * What of the higher tier could imply the clause somewhere.
     *
     * @param  array<string, SameAsking>  $asking
     * @return list<array{SameAsking, bool}> and whether it does so wherever both hold
     */
    private function stronger(Clause $clause, array $asking): array
    {
        $stronger = [];
        foreach ($asking as $group) {
            $other = $group->first;
            $always = Strength::asksAtLeast($other, $clause) && $this->holdsWherever($other, $clause);
            $isAlike = $other::class === $clause::class ||
                ($clause instanceof EffectClause && $other instanceof TechniqueClause);
            if ($always || ($isAlike && $this->couldImply($other, $clause))) {
                $stronger[] = [$group, $always];
            }
        }

        return $stronger;
    }

    /** A stronger effect that nothing can give where the weaker one could be given asks nothing there. */
    private function holdsWherever(Clause $strong, Clause $weak): bool
    {
        if (! ($strong instanceof EffectClause) || ! ($weak instanceof EffectClause)) {
            return true;
        }

        $less = $this->kinds->servedBy($weak);
        $more = $this->kinds->servedBy($strong);

        return array_filter($less, fn (Technique $t) => ! in_array($t, $more, true)) === [];
    }

    private function couldImply(Clause $strong, Clause $weak): bool
    {
        if (
            $weak instanceof EffectClause &&
            ($strong instanceof EffectClause ||
                ($strong instanceof TechniqueClause && $strong->status === TechniqueStatus::Required))
        ) {
            return $strong->passes() >= $weak->passes() &&
                $strong->extent()->value >= $weak->extent()->value &&
                $this->shareATechnique($strong, $weak);
        }

        return Strength::asksAtLeast($strong, $weak);
    }

    private function shareATechnique(EffectClause|TechniqueClause $strong, EffectClause $weak): bool
    {
        $serving = $strong instanceof TechniqueClause ? null : $this->kinds->servedBy($strong);
        foreach ($this->kinds->servedBy($weak) as $technique) {
            $isServed = $strong instanceof TechniqueClause
                ? $strong->names($technique)
                : in_array($technique, $serving ?? [], true);
            if ($isServed) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Clause>  $candidates */
    private function impliedThere(Clause $clause, array $candidates, Statuses $high, Area $area, Sculpt $sculpt): bool
    {
        foreach ($candidates as $other) {
            if (! $this->kinds->inScope($other, $area, $sculpt)) {
                continue;
            }
            if (
                ! ($clause instanceof EffectClause) ||
                (Strength::asksAtLeast($other, $clause) && $this->kinds->canHold($other, $area))
            ) {
                return true;
            }
            $asked = Strength::requirement($clause);
            if ($other instanceof EffectClause) {
                if ($this->givesAsMuch($other, $asked, $area)) {
                    return true;
                }
            } elseif ($other instanceof TechniqueClause && $this->requires($other, $asked, $high, $area, $sculpt)) {
                return true;
            }
        }

        return false;
    }

    /** Whether, pass by pass, whatever can give what the stronger one asks gives what this one asks too. */
    private function givesAsMuch(EffectClause $stronger, EffectRequirement $asked, Area $area): bool
    {
        foreach ($asked->thresholds() as $extent => $passes) {
            $serving = $this->kinds->serving($stronger, $area, $stronger->extent()->narrower($passes - 1));
            $less = array_filter($serving, fn (Technique $t) => $asked->deliveredBy($t)->value < $extent);
            if ($serving === [] || $less !== []) {
                return false;
            }
        }

        return true;
    }

    private function requires(
        TechniqueClause $clause,
        EffectRequirement $asked,
        Statuses $high,
        Area $area,
        Sculpt $sculpt,
    ): bool {
        foreach ($this->standard->techniques as $technique) {
            if (
                $clause->names($technique) &&
                $asked->isServedBy($technique) &&
                ($technique->whole || DemandResolver::fits($technique, $area)) &&
                $high->of($technique, $area, $sculpt)[0] === TechniqueStatus::Required
            ) {
                return true;
            }
        }

        return false;
    }

    private function techniqueFallsShort(TechniqueClause $clause, Statuses $low, Statuses $high): ?AreaKind
    {
        foreach ($this->standard->techniques as $technique) {
            if (! $clause->names($technique) || $technique->retired === true) {
                continue;
            }
            $says = $high->naming($technique);
            if ($says !== [] && Strength::implies($says[count($says) - 1], $clause)) {
                continue;
            }
            $lower = $low->namingIn($technique, $clause->scope());
            $higher = $high->namingIn($technique, $clause->scope());
            $scopes = array_map(fn (TechniqueClause $c) => $c->scope(), [...$lower, ...$higher]);
            $models = [];
            foreach (AreaKinds::toldApartBy($scopes, $clause->scope()) as $kind) {
                $model = $kind->sculpt->role->value.$kind->sculpt->size->value;
                if (isset($models[$model]) || ! $this->isRequiredThere($clause, $technique, $low, $lower, $kind)) {
                    continue;
                }
                $asks = $high->by($higher, $technique, $kind->area, $kind->sculpt)[1];
                $isMet = fn (TechniqueClause $c): bool => $c->passes() >= $clause->passes() &&
                    $c->extent()->value >= $clause->extent()->value;
                if (array_filter($asks, $isMet) === []) {
                    return $technique->whole ? $kind->asWholeModel() : $kind;
                }
                if ($technique->whole) {
                    $models[$model] = true; // one area of such a model says it for all
                }
            }
        }

        return null;
    }

    /**
     * Whether the clause is one of those that require the technique on that kind of area.
     *
     * @param  list<TechniqueClause>  $naming  that may speak of it
     */
    private function isRequiredThere(
        TechniqueClause $clause,
        Technique $technique,
        Statuses $low,
        array $naming,
        AreaKind $kind,
    ): bool {
        $fits = $technique->whole || DemandResolver::fits($technique, $kind->area);
        if (! $fits || ! $clause->scope()->matches($kind->area, $kind->sculpt)) {
            return false;
        }
        [$status, $asks] = $low->by($naming, $technique, $kind->area, $kind->sculpt);

        return $status === TechniqueStatus::Required && in_array($clause, $asks, true);
    }

    /** @return list<Clause> what the higher tier says under the same name */
    private function rivals(Clause $clause, Statuses $high): array
    {
        return array_values(
            array_filter(
                $high->clauses,
                fn (Clause $c) => $c->suffix() === $clause->suffix() && $c->id !== $clause->id,
            ),
        );
    }

    /**
     * The clause as the higher tier would ask it: stronger in its place, or beside what stands there under another
     * name.
     */
    private function asking(Clause $clause, Tier $higher): ClauseEdit
    {
        $sameSuffix = fn (Clause $c): bool => $c->suffix() === $clause->suffix();
        $own = array_values(array_filter($higher->clauses, $sameSuffix))[0] ?? null;
        $place = array_values(array_filter($this->standard->clausesOf($higher), $sameSuffix))[0] ?? null;
        if ($place !== null && ! $this->takesItsFloor($place, $clause)) {
            $id = "$higher->key.{$clause->suffix()}_kept";
            for ($n = 2; $this->taken($higher, $id); $n++) {
                $id = "$higher->key.{$clause->suffix()}_kept$n";
            }

            return new ClauseEdit($higher, null, (new ClauseChange(id: $id))->of($clause));
        }
        $raised = $place === null ? $clause : self::atLeast($place, $clause);

        return new ClauseEdit($higher, $own, (new ClauseChange(id: "$higher->key.{$clause->suffix()}"))->of($raised));
    }

    /** Whether what stands in the clause's place asks for the same thing, so that its floor can be raised. */
    private function takesItsFloor(Clause $place, Clause $clause): bool
    {
        return $place::class === $clause::class &&
            ! ($place instanceof TechniqueClause) &&
            Strength::sameScope($place->scope(), $clause->scope()) &&
            $this->sameSubject($place, $clause);
    }

    private function sameSubject(Clause $one, Clause $other): bool
    {
        return match (true) {
            $one instanceof EffectClause && $other instanceof EffectClause => $one->effects === $other->effects &&
                $one->by === $other->by,
            $one instanceof FinishClause && $other instanceof FinishClause => $one->criterion === $other->criterion,
            default => true,
        };
    }

    private function taken(Tier $tier, string $id): bool
    {
        return array_filter(
            $this->standard->clausesOf($tier),
            fn (Clause $c) => $c->suffix() === substr($id, strlen($tier->key) + 1),
        ) !== [];
    }

    /** What stands there with its floors raised to those of the other; both of one kind and subject. */
    private static function atLeast(Clause $place, Clause $floor): Clause
    {
        return match (true) {
            $place instanceof EffectClause && $floor instanceof EffectClause => (new ClauseChange(
                extent: $floor->extent()->value > $place->extent()->value ? $floor->extent() : $place->extent(),
                passes: max($place->passes(), $floor->passes()),
            ))->of($place),
            $place instanceof FinishClause && $floor instanceof FinishClause => (new ClauseChange(
                limit: $floor->limit,
            ))->of($place),
            $place instanceof SkillClause && $floor instanceof SkillClause => (new ClauseChange(
                min: max($place->min, $floor->min),
            ))->of($place),
            $place instanceof StepsClause && $floor instanceof StepsClause,
            $place instanceof SprayedColoursClause && $floor instanceof SprayedColoursClause => (new ClauseChange(
                min: max($place->min, $floor->min),
                max: $place->max === null ? null : (float) max($place->max, $place->min, $floor->min),
            ))->of($place),
            default => $place,
        };
    }
}
