<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Demand\Reason;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Standard\AcceptanceClause;
use Ordotype\Core\Standard\Clause;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\EffectClause;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Standard\MinutesClause;
use Ordotype\Core\Standard\Scope;
use Ordotype\Core\Standard\SkillClause;
use Ordotype\Core\Standard\SprayedColoursClause;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\StepsClause;
use Ordotype\Core\Standard\TechniqueClause;
use Ordotype\Core\Standard\TechniqueStatus;

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
        $where = $this->scope($clause->scope());
        $on = $where === '' ? '' : ", on $where";

        return match (true) {
            $clause instanceof StepsClause => self::range($clause->min, $clause->max)." colour steps$on",
            $clause instanceof SprayedColoursClause => self::range($clause->min, $clause->max).' sprayed colours',
            $clause instanceof EffectClause => $this->effect($clause).self::place($clause).$on.$this->by($clause->by),
            $clause instanceof TechniqueClause => $this->technique($clause).self::place($clause).$on,
            $clause instanceof FinishClause => self::finish($clause).$on,
            $clause instanceof AcceptanceClause => self::acceptance($clause),
            $clause instanceof MinutesClause => 'at most '.
                Terms::number($clause->max).
                ' minutes a model, '.
                Terms::any(array_map(fn ($s) => $s->value, $clause->size)),
            $clause instanceof SkillClause => "painted by someone of skill $clause->min or more",
            default => 'a clause',
        };
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

    /** A clause in the few words that fit a cell; extent, passes and status are shown by marks beside them. */
    public function cell(Clause $clause): string
    {
        return match (true) {
            $clause instanceof StepsClause => $clause->max === null
                ? "$clause->min or more"
                : "{$clause->min}–{$clause->max}",
            $clause instanceof SprayedColoursClause => $clause->min === $clause->max
                ? (string) $clause->min
                : "{$clause->min}–{$clause->max}",
            $clause instanceof EffectClause => self::where($clause),
            $clause instanceof TechniqueClause => $clause->status === TechniqueStatus::Required
                ? self::where($clause)
                : ($clause->status === TechniqueStatus::ToAgree
                    ? 'to agree'
                    : Terms::status($clause->status)),
            $clause instanceof FinishClause => ($clause->criterion->isFloor() ? 'at least ' : 'at most ').
                Terms::number($clause->limit).
                self::shortUnit($clause->criterion),
            $clause instanceof AcceptanceClause => "{$clause->limits['minor']} minor, ".self::views($clause),
            $clause instanceof MinutesClause => Terms::minutes($clause->max),
            $clause instanceof SkillClause => "skill $clause->min",
            default => '',
        };
    }

    /** What tells the rungs of a row apart that ask for different effects. */
    public function whichEffect(EffectClause $clause): string
    {
        return Terms::any(
            array_map(
                fn (Effect $e) => match ($e) {
                    Effect::Separate => 'neutral',
                    Effect::SeparateTinted => 'tinted to the surface',
                    Effect::Letter => 'suggested',
                    Effect::LetterFull => 'real writing',
                    default => Terms::effect($e),
                },
                $clause->effects,
            ),
        );
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

    private static function range(int $min, ?int $max): string
    {
        return $max === null ? "$min or more" : ($min === $max ? (string) $min : "$min to $max");
    }

    private function effect(EffectClause $clause): string
    {
        return Terms::any(array_map(Terms::effect(...), $clause->effects)).
            ' '.
            Terms::extent($clause->extent()).
            Terms::passes($clause->passes());
    }

    /** Where on its areas, after a comma; nothing where the clause does not say. */
    public static function place(Clause $clause): string
    {
        $place = $clause instanceof EffectClause || $clause instanceof TechniqueClause ? $clause->place : null;

        return $place === null ? '' : ', '.Terms::place($place);
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
                $places[] = isset($asking[$clause->id]) ? self::place($clause) : '';
            }
        }

        return implode('', array_unique($places));
    }

    /** @param  list<string>|null  $by */
    private function by(?array $by): string
    {
        return $by === null ? '' : ', by '.Terms::any(array_map($this->techniqueName(...), $by));
    }

    private function technique(TechniqueClause $clause): string
    {
        $what = match (true) {
            $clause->technique !== null => $this->techniqueName($clause->technique),
            $clause->family !== null => 'every technique of '.Terms::family($clause->family),
            default => '',
        };
        $how =
            $clause->status === TechniqueStatus::Required
                ? ' '.Terms::extent($clause->extent()).Terms::passes($clause->passes())
                : '';
        $price = $clause->price === null ? '' : ", at $clause->price {$this->standard->currency}";

        return "$what ".Terms::status($clause->status).$how.$price;
    }

    private static function finish(FinishClause $clause): string
    {
        $limit = Terms::number($clause->limit).Terms::unit($clause->criterion);

        return Terms::criterion($clause->criterion).
            ' '.
            ($clause->criterion->isFloor() ? 'at least' : 'at most').
            " $limit";
    }

    private static function acceptance(AcceptanceClause $clause): string
    {
        return ($clause->sampled ? 'a sample is checked' : 'every model is checked').
            ", {$clause->limits['minor']} minor and {$clause->limits['major']} major faults pass, ".
            self::views($clause);
    }

    private static function views(AcceptanceClause $clause): string
    {
        return count($clause->views).(count($clause->views) === 1 ? ' view' : ' views');
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

    private static function shortUnit(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::LineWidth => ' mm',
            Criterion::BarePrimer, Criterion::LineShare => ' %',
            default => '',
        };
    }
}
