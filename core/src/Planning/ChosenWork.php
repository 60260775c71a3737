<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning;

use Ordotype\Core\Choice\Choice;

/** What is done on a piece, before it is turned into steps. */
final readonly class ChosenWork
{
    /**
     * @param  list<PlannedArea>  $areas  in the sculpt's order
     * @param  list<SprayedColour>  $sprayed
     */
    public function __construct(
        public PlanContext $context,
        public array $areas,
        public PlannedArea $whole,
        public array $sprayed,
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

        return new self($this->context, $areas, $this->whole, $this->sprayed);
    }

    /** The same work, to be laid out for another request. */
    public function for(PlanRequest $request): self
    {
        return new self(PlanContext::of($request)->under($this->whole), $this->areas, $this->whole, $this->sprayed);
    }
}
