<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Sequencing\OrderedWork;
use Ordotype\Core\Sequencing\Step;

/**
 * The plans of all pieces of a unit. Pieces that are painted alike share one; where some differ, all of them are worked
 * in one order, and each piece gets the steps of it that it needs.
 */
final readonly class UnitPlan
{
    /**
     * @param  non-empty-list<PieceKind>  $kinds  the most frequent first
     * @param  OrderedWork  $work  every step that some piece needs, in one order
     */
    private function __construct(public array $kinds, public OrderedWork $work)
    {
    }

    /**
     * @param  PlanRequest  $request  as for a piece that differs in nothing; amendments `on` some pieces among its own
     * @param  list<PieceNeeds>  $pieces
     * @param  list<Variant>  $variants  dealt over the pieces by share
     * @param  array<string, Choice>  $edits  techniques chosen by hand for the unit, by area
     */
    public static function of(PlanRequest $request, array $pieces, array $variants = [], array $edits = []): self
    {
        $pieces = $pieces === [] ? [new PieceNeeds(1)] : $pieces;
        $n = count($pieces);
        $dealt = Deal::byShare($n, array_map(fn (Variant $v) => $v->share, $variants));
        $onSome = [];
        foreach ($request->amendments as $amendment) {
            if ($amendment->on !== null) {
                foreach (Deal::evenly($n, Deal::count($amendment->on, $n), $amendment->number - 1) as $place) {
                    $onSome[$place][] = $amendment;
                }
            }
        }
        $alike = [];
        foreach ($pieces as $place => $needs) {
            $lacks = array_values(array_filter($needs->lacks, $request->sculpt->has(...)));
            sort($lacks);
            $numbers = array_map(fn ($a) => $a->number, [...$onSome[$place] ?? [], ...$needs->amendments]);
            // Edits of a piece are its own: it is alike only to itself.
            $mark = serialize([$dealt[$place], $lacks, $numbers, $needs->edits === [] ? null : $needs->number]);
            $alike[$mark] ??= ['numbers' => [], 'needs' => $needs, 'lacks' => $lacks, 'amendments' => $numbers, 'place' => $place];
            $alike[$mark]['numbers'][] = $needs->number;
        }
        uasort($alike, fn (array $a, array $b) => [count($b['numbers']), $a['place']] <=> [count($a['numbers']), $b['place']]);
        $kinds = [];
        foreach ($alike as $group) {
            $variant = $dealt[$group['place']] === null ? null : $variants[$dealt[$group['place']]];
            $plan = self::planOf($request, $group['needs'], $group['lacks'], $onSome[$group['place']] ?? [], $variant, $edits);
            sort($group['numbers']);
            $kinds[] = new PieceKind($group['numbers'], $plan, $variant, $group['lacks'], $group['amendments'], $group['needs']->edits !== []);
        }
        if (count($kinds) === 1) {
            return new self($kinds, $kinds[0]->plan->work);
        }
        $work = Planner::orderOf($request, self::allSteps($kinds));

        return new self(array_map(fn (PieceKind $k) => new PieceKind($k->pieces, Planner::inOrder($k->plan, $work), $k->variant, $k->lacks, $k->amendments, $k->edited), $kinds), $work);
    }

    public function kindOf(int $piece): PieceKind
    {
        foreach ($this->kinds as $kind) {
            if (in_array($piece, $kind->pieces, true)) {
                return $kind;
            }
        }

        return $this->kinds[0];
    }

    /** The plan of a piece that differs in nothing where there is one, else of the most frequent kind. */
    public function plain(): Plan
    {
        foreach ($this->kinds as $kind) {
            if ($kind->isPlain()) {
                return $kind->plan;
            }
        }

        return $this->kinds[0]->plan;
    }

    /** Hand minutes of all pieces, worked in passes, without set-up. */
    public function minutes(): float
    {
        return array_sum(array_map(fn (PieceKind $k) => count($k->pieces) * $k->plan->minutesByPasses(), $this->kinds));
    }

    /** Minutes of setting up, once for the unit: each technique once per paint. */
    public function setupMinutes(): float
    {
        return Plan::setupOf($this->work->steps);
    }

    /** @return list<Conflict> of any kind of piece, each once */
    public function conflicts(): array
    {
        $conflicts = [];
        foreach ($this->kinds as $kind) {
            foreach ($kind->plan->conflicts() as $conflict) {
                $conflicts[$conflict->area.'|'.$conflict->reason] = $conflict;
            }
        }

        return array_values($conflicts);
    }

    /**
     * @param  list<\Ordotype\Core\Amendment\Amendment>  $onSome
     * @param  list<string>  $lacks
     * @param  array<string, Choice>  $edits
     */
    private static function planOf(PlanRequest $request, PieceNeeds $needs, array $lacks, array $onSome, ?Variant $variant, array $edits): Plan
    {
        $sculpt = $lacks === [] ? $request->sculpt : $request->sculpt->without($lacks);
        $scheme = $variant?->colours === null ? $request->scheme : ($request->scheme?->with($variant->colours) ?? $variant->colours);
        $own = [...array_values(array_filter($request->amendments, fn ($a) => $a->on === null)), ...array_map(fn ($a) => $a->here(), $onSome), ...$variant->amendments ?? [], ...$needs->amendments];
        $plan = Planner::plan($request->of($sculpt, $scheme)->amended($own));
        $byHand = array_filter($needs->edits + $edits, fn (string $area) => $sculpt->has($area), ARRAY_FILTER_USE_KEY);

        return $byHand === [] ? $plan : Planner::withEdits($plan, $byHand);
    }

    /**
     * Every step once: the same key and paint are one step, as the most frequent kind has it.
     *
     * @param  list<PieceKind>  $kinds
     * @return list<Step>
     */
    private static function allSteps(array $kinds): array
    {
        $steps = [];
        foreach ($kinds as $kind) {
            foreach ($kind->plan->work->steps as $step) {
                $steps[$step->key().'|'.($step->colour?->words() ?? '')] ??= $step;
            }
        }

        return array_values($steps);
    }
}
