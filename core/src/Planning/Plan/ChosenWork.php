<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\Choice;

/** What is done on a piece, before it is turned into steps. */
final readonly class ChosenWork
{
    /**
     * @param  list<PlannedArea>  $areas  in the sculpt's order
     * @param  list<SprayedColour>  $sprayed
     * @param  BothWays|null  $ways  what was found before it was settled which colours are sprayed, where that is known
     */
    public function __construct(
        public PlanContext $context,
        public array $areas,
        public PlannedArea $whole,
        public array $sprayed,
        private ?BothWays $ways = null,
    ) {
    }

    /** @param  array<string, Choice>  $byHand  by area key; areas that are not named stay as they are */
    public function changed(array $byHand): self
    {
        $areas = array_map(function (PlannedArea $planned) use ($byHand): PlannedArea {
            $choice = $byHand[(string) $planned->demand->area?->key] ?? null;

            return $choice === null
                ? $planned
                : new PlannedArea($planned->demand, $choice, $planned->gradeBar, $planned->relaxed, null);
        }, $this->areas);

        return new self($this->context, $areas, $this->whole, $this->sprayed, $this->ways);
    }

    /** What was found for the areas of a piece that lacks some of them; null where it must be worked out anew. */
    public function waysOn(PlanContext $context): ?BothWays
    {
        return $this->ways?->on($this->context, $context);
    }

    /** The same work, to be laid out for another request. */
    public function for(PlanRequest $request): self
    {
        $context = PlanContext::of($request)->under($this->whole);

        return new self($context, $this->areas, $this->whole, $this->sprayed, $this->ways);
    }
}
