<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

use Ordotype\Core\Planning\Demand\FittingTechniques;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\AskedEffect;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\ClauseChange;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\Standard;
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
        $view = $this->kinds->views->of($clause);
        if (! $view->hasFloor) {
            return null;
        }
        if ($view->technique !== null) {
            return $this->techniqueFallsShort($view->technique, $low, $high);
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
            $always = $other->asksAtLeast($clause) && $this->holdsWherever($other, $clause);
            if ($always || $this->couldImply($other, $clause)) {
                $stronger[] = [$group, $always];
            }
        }

        return $stronger;
    }

    /** A stronger effect that nothing can give where the weaker one could be given asks nothing there. */
    private function holdsWherever(Clause $strong, Clause $weak): bool
    {
        [$more, $less] = [$this->kinds->views->of($strong)->effect, $this->kinds->views->of($weak)->effect];
        if ($more === null || $less === null) {
            return true;
        }
        $giving = $this->kinds->servedBy($more);

        return array_filter($this->kinds->servedBy($less), fn (Technique $t) => ! in_array($t, $giving, true)) === [];
    }

    private function couldImply(Clause $strong, Clause $weak): bool
    {
        $asked = $this->kinds->views->of($weak)->effect;
        $view = $this->kinds->views->of($strong);
        $more = $view->technique?->isRequired() === true ? $view->technique : $view->effect;
        if ($asked === null || $more === null) {
            return $strong->asksAtLeast($weak);
        }

        return $more->passes() >= $asked->passes() &&
            $more->extent()->value >= $asked->extent()->value &&
            $this->shareATechnique($view, $asked);
    }

    private function shareATechnique(ClauseView $strong, EffectClause $weak): bool
    {
        $serving = $strong->effect === null ? [] : $this->kinds->servedBy($strong->effect);
        foreach ($this->kinds->servedBy($weak) as $technique) {
            if (in_array($technique, $serving, true) || $strong->technique?->names($technique) === true) {
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
            $effect = $this->kinds->views->of($clause)->effect;
            if ($effect === null || ($other->asksAtLeast($clause) && $this->kinds->canHold($other, $area))) {
                return true;
            }
            $view = $this->kinds->views->of($other);
            $asked = $effect->asked();
            if (
                ($view->effect !== null && $this->givesAsMuch($view->effect, $asked, $area)) ||
                ($view->technique !== null && $this->requires($view->technique, $asked, $high, $area, $sculpt))
            ) {
                return true;
            }
        }

        return false;
    }

    /** Whether, pass by pass, whatever can give what the stronger one asks gives what this one asks too. */
    private function givesAsMuch(EffectClause $stronger, AskedEffect $asked, Area $area): bool
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
        AskedEffect $asked,
        Statuses $high,
        Area $area,
        Sculpt $sculpt,
    ): bool {
        foreach ($this->standard->techniques as $technique) {
            if (
                $clause->names($technique) &&
                $asked->isServedBy($technique) &&
                ($technique->whole || FittingTechniques::fits($technique, $area)) &&
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
            if ($says !== [] && $says[count($says) - 1]->implies($clause)) {
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
                $isMet = fn (TechniqueClause $c): bool => $c->isAsMuchAs($clause);
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
        $fits = $technique->whole || FittingTechniques::fits($technique, $kind->area);
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
        $raised = $place === null ? $clause : ($place->scope() == $clause->scope() ? $place->raisedTo($clause) : null);
        if ($raised === null) {
            $id = "$higher->key.{$clause->suffix()}_kept";
            for ($n = 2; $this->taken($higher, $id); $n++) {
                $id = "$higher->key.{$clause->suffix()}_kept$n";
            }

            return new ClauseEdit($higher, null, $clause->changed(new ClauseChange(id: $id)));
        }
        $id = "$higher->key.{$clause->suffix()}";

        return new ClauseEdit($higher, $own, $raised->changed(new ClauseChange(id: $id)));
    }

    private function taken(Tier $tier, string $id): bool
    {
        return array_filter(
            $this->standard->clausesOf($tier),
            fn (Clause $c) => $c->suffix() === substr($id, strlen($tier->key) + 1),
        ) !== [];
    }
}
