<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Unit;

use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Demand\Reason;
use Ordotype\Core\Planning\Plan\Draft;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Planning\Plan\Planner;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\WorkOrder;
use Ordotype\Core\Planning\Sequencing\OrderedWork;

/**
 * The plans of all pieces of a unit. Pieces that are painted alike share one; where some differ, all of them are
 * worked
 * in one order, and each piece gets the steps of it that it needs.
 */
final readonly class UnitPlan
{
    /**
     * @param  non-empty-list<PieceKind>  $kinds  the most frequent first
     * @param  OrderedWork  $work  every step that some piece needs, in one order
     */
    public function __construct(public array $kinds, public OrderedWork $work)
    {
    }

    /**
     * @param  PlanRequest  $request  as for a piece that differs in nothing; amendments `on` some pieces among its own
     * @param  list<PieceNeeds>  $pieces
     * @param  list<Variant>  $variants  dealt over the pieces by share
     * @param  array<string, Choice>  $edits  techniques chosen by hand for the unit, by area
     */
    public static function of(
        PlanRequest $request,
        array $pieces,
        array $variants = [],
        array $edits = [],
        Planner $planner = new Planner(),
    ): self {
        $groups = self::groups($request, $pieces === [] ? [new PieceNeeds(1)] : $pieces, $variants);
        if (count($groups) === 1) {
            $own = $groups[0]->request($request);
            $byHand = $groups[0]->edits($edits, $own->sculpt);
            $plan = $byHand === [] ? $planner->plan($own) : $planner->withEdits($planner->plan($own), $byHand);

            return new self([$groups[0]->kind($plan)], $plan->work);
        }
        $full = null;
        $drafts = [];
        foreach ($groups as $group) {
            $own = $group->request($request);
            $like = $group->differsByLacking() ? $full : null;
            $drafts[] = $draft = $planner->draft($own, $group->edits($edits, $own->sculpt), $like);
            $full ??= $group->isPlain() ? $draft : null;
        }
        $order = WorkOrder::of($request);
        [$steps, $rules] = $order->together($drafts);
        $work = $order->layBy($steps, $rules);

        return new self(
            array_map(
                fn (PieceGroup $g, Draft $draft) => $g->kind(
                    $planner->inOrder($draft, $work, $draft->is($steps, $rules)),
                ),
                $groups,
                $drafts,
            ),
            $work,
        );
    }

    /**
     * Pieces that get the same work, the most frequent first.
     *
     * @param  non-empty-list<PieceNeeds>  $pieces
     * @param  list<Variant>  $variants
     * @return non-empty-list<PieceGroup>
     */
    private static function groups(PlanRequest $request, array $pieces, array $variants): array
    {
        $n = count($pieces);
        $dealt = VariantAssignment::byShare($n, array_map(fn (Variant $v) => $v->share, $variants));
        $onSome = [];
        foreach ($request->amendments as $amendment) {
            $count = $amendment->on === null ? 0 : VariantAssignment::count($amendment->on, $n);
            foreach ($count === 0 ? [] : VariantAssignment::evenly($n, $count, $amendment->number - 1) as $place) {
                $onSome[$place][] = $amendment;
            }
        }
        /** @var array<string, PieceGroup> $alike */
        $alike = [];
        foreach ($pieces as $place => $needs) {
            $lacks = array_values(array_filter($needs->lacks, $request->sculpt->has(...)));
            sort($lacks);
            $group = new PieceGroup(
                $place,
                $needs,
                $lacks,
                $onSome[$place] ?? [],
                $dealt[$place] === null ? null : $variants[$dealt[$place]],
            );
            $alike[$group->mark()] ??= $group;
            $alike[$group->mark()]->pieces[] = $needs->number;
        }
        $groups = array_values($alike);
        usort(
            $groups,
            fn (PieceGroup $a, PieceGroup $b) => [count($b->pieces), $a->place] <=> [count($a->pieces), $b->place],
        );

        return $groups;
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
        return $this->plainKind()->plan;
    }

    public function plainKind(): PieceKind
    {
        foreach ($this->kinds as $kind) {
            if ($kind->isPlain()) {
                return $kind;
            }
        }

        return $this->kinds[0];
    }

    /** Hand minutes of all pieces, worked in passes, without set-up. */
    public function minutes(): float
    {
        return array_sum(
            array_map(fn (PieceKind $k) => count($k->pieces) * $k->plan->minutesByPasses(), $this->kinds),
        );
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
                $about = [$conflict->area?->key, $conflict->cause->name, ...Reason::ids($conflict->reasons)];
                $conflicts[implode('|', $about)] = $conflict;
            }
        }

        return array_values($conflicts);
    }
}
