<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Demand\Requirement;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\Standard;

/** Clauses in words: as a name, as a sentence, and as the few words that fit a cell of the ladder. */
final readonly class ClauseWords
{
    /**
     * @param  Sculpt|null  $sculpt  whose areas a scope may name; null: areas are called by their keys as they are
     * read
     */
    public function __construct(private Standard $standard, private ?Sculpt $sculpt = null)
    {
    }

    /** What a clause is called: the name of its row, or else what it asks. */
    public function name(Clause $clause): string
    {
        return $clause->label ?? $this->sentence($clause);
    }

    /** A whole clause as one sentence without its full stop, in the painter's terms. */
    public function sentence(Clause $clause): string
    {
        return $this->text($clause)->sentence;
    }

    public function text(Clause $clause): ClauseText
    {
        return $clause->accept(new ClauseTexts($this, $this->standard->currency));
    }

    public function asked(Requirement $asked): RequirementText
    {
        return $asked->accept(new RequirementTexts($this));
    }

    public function scope(Scope $scope): string
    {
        $words = [];
        foreach ([$scope->role, $scope->size, $scope->rank] as $list) {
            $words[] = $list === null ? '' : Terms::any(array_map(fn ($w) => Terms::plain($w->value), $list));
        }
        $words[] = $scope->material === null ? '' : Terms::any(array_map(Terms::material(...), $scope->material));
        $words[] = $scope->relief === null ? '' : 'with '.Terms::any(array_map(Terms::relief(...), $scope->relief));
        $words[] =
            $scope->facing === null ? '' : 'facing '.Terms::any(array_map(fn ($w) => $w->value, $scope->facing));
        $words[] = $scope->area === null ? '' : Terms::any(array_map($this->areaName(...), $scope->area));
        $words[] = $scope->focusMin === null ? '' : "focus $scope->focusMin and up";
        $words[] = $scope->except === null ? '' : 'except '.$this->scope($scope->except);

        return implode(', ', array_filter($words, fn (string $w) => $w !== ''));
    }

    /** The name of a technique in the middle of a sentence. */
    public function techniqueName(string $key): string
    {
        return mb_strtolower(
            $this->standard->hasTechnique($key) ? $this->standard->technique($key)->name : Terms::plain($key),
        );
    }

    private function areaName(string $key): string
    {
        return mb_strtolower(
            $this->sculpt?->has($key) === true ? $this->sculpt->area($key)->name : Terms::plain($key),
        );
    }

    /**
     * Where on the areas, as the clauses say that ask for something; each after a comma.
     *
     * @param  list<Reason>  $reasons
     */
    public function places(array $reasons): string
    {
        $asking = array_flip(array_filter(array_map(fn (Reason $r) => $r->clause, $reasons)));
        $places = [];
        foreach ($asking === [] ? [] : $this->standard->tiers as $tier) {
            foreach ($tier->clauses as $clause) {
                $places[] = isset($asking[$clause->id]) ? $this->text($clause)->place : '';
            }
        }

        return implode('', array_unique($places));
    }

    /** Where a clause holds, in the few words that fit beside a mark. */
    public static function where(Clause $clause): string
    {
        $scope = $clause->scope();
        $parts = [
            ...array_map(Terms::material(...), $scope->material ?? []),
            ...array_map(Terms::relief(...), $scope->relief ?? []),
        ];
        if ($parts === []) {
            $parts = array_map(fn ($rank) => $rank->value, $scope->rank ?? []);
        }
        if ($scope->focusMin !== null) {
            $parts[] = "focus $scope->focusMin up";
        }

        return $parts === [] ? 'everywhere' : (count($parts) > 2 ? "$parts[0], $parts[1] …" : implode(', ', $parts));
    }
}
