<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Choice\Conflict;
use Ordotype\Core\Planning\Choice\RequirementState;
use Ordotype\Core\Planning\Demand\NotApplicable;
use Ordotype\Core\Planning\Sequencing\OrderedWork;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Rank;
use Ordotype\Core\Standard\Effect;

/** The plan of one piece: what is done on each area, in which order, why, and how it stands to the tier. */
final readonly class Plan
{
    /**
     * @param  list<PlannedArea>  $areas  in the sculpt's order
     * @param  list<SprayedColour>  $sprayed
     * @param  list<RequirementState>  $requirements
     * @param  list<SurplusStep>  $surplus
     * @param  list<Warning>  $warnings
     */
    public function __construct(
        public PlanRequest $request,
        public array $areas,
        public PlannedArea $whole,
        public array $sprayed,
        public OrderedWork $work,
        public array $requirements,
        public array $surplus,
        public array $warnings,
    ) {
    }

    /** What is done, to be changed or laid out anew. */
    public function chosen(): ChosenWork
    {
        return new ChosenWork(
            PlanContext::of($this->request)->under($this->whole),
            $this->areas,
            $this->whole,
            $this->sprayed,
        );
    }

    /** What is done on one of the sculpt's areas. */
    public function area(string $key): PlannedArea
    {
        return $this->areas[$this->request->sculpt->place($key)];
    }

    /** @return list<Area> what is left without a base colour on purpose */
    public function unpainted(): array
    {
        $unpainted = [];
        foreach ($this->areas as $planned) {
            $bases = array_filter(
                $planned->choice->techniques ?? [],
                fn (ChosenTechnique $u) => $u->technique->has(Effect::BaseColour),
            );
            $area = $planned->demand->area;
            if ($area !== null && $area->rank !== Rank::Ground && $planned->choice !== null && $bases === []) {
                $unpainted[] = $area;
            }
        }

        return $unpainted;
    }

    /** @return list<Conflict> */
    public function conflicts(): array
    {
        $conflicts = [];
        foreach ([...$this->areas, $this->whole] as $planned) {
            if ($planned->conflict !== null) {
                $conflicts[] = $planned->conflict;
            }
        }

        return $conflicts;
    }

    /** @return list<NotApplicable> */
    public function notApplicable(): array
    {
        return array_merge(
            ...array_map(fn (PlannedArea $a) => $a->demand->notApplicable, [...$this->areas, $this->whole]),
        );
    }

    /** Hand minutes of one piece, area by area, whole steps, masking and slips included. */
    public function minutesByArea(): float
    {
        $minutes = $this->work->slipMinutes();
        foreach ($this->work->steps as $step) {
            $minutes += $step->minutes;
        }

        return $minutes;
    }

    /** Hand minutes of one piece, worked in passes that need their handling once. */
    public function minutesByPasses(): float
    {
        return $this->work->handMinutes();
    }

    /** Minutes of setting up, once for the batch: each technique once per paint. */
    public function setupMinutes(): float
    {
        return self::setupOf($this->work->steps);
    }

    /** @param  list<Step>  $steps */
    public static function setupOf(array $steps): float
    {
        $setup = [];
        foreach ($steps as $step) {
            $setup[$step->technique->key.'|'.($step->colour?->words() ?? '')] = $step->technique->setup;
        }

        return array_sum($setup);
    }
}
