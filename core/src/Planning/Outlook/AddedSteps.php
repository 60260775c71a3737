<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Outlook;

use Ordotype\Core\Planning\Choice\Choice;
use Ordotype\Core\Planning\Choice\ChosenTechnique;
use Ordotype\Core\Planning\Demand\AreaDemand;
use Ordotype\Core\Planning\Plan\PlanContext;
use Ordotype\Core\Planning\Plan\PlannedArea;
use Ordotype\Core\Planning\Plan\PlanRequest;
use Ordotype\Core\Planning\Plan\StepColours;
use Ordotype\Core\Planning\Plan\StepList;
use Ordotype\Core\Planning\Sequencing\Step;

/** The steps that raise what is done: passes of one technique are numbered on after those that are there. */
final readonly class AddedSteps
{
    private StepList $steps;

    public function __construct(PlanRequest $request)
    {
        $colours = new StepColours($request->scheme, $request->shelf, $request->method, $request->sculpt);
        $this->steps = new StepList(PlanContext::of($request), $colours);
    }

    /**
     * @param  list<RaisedArea>  $areas
     * @param  list<ChosenTechnique>  $whole
     * @param  list<ChosenTechnique>  $wholeDone
     * @return list<Step>
     */
    public function of(array $areas, array $whole, array $wholeDone): array
    {
        $once = array_fill_keys(array_map(fn (ChosenTechnique $u) => $u->technique->key, $wholeDone), true);
        $onModel = new PlannedArea(new AreaDemand(null, [], [], []), new Choice($whole), 1, 0, null);
        $steps = array_map(
            fn (Step $s) => isset($once[$s->technique->key]) ? $s->numbered(2) : $s,
            $this->steps->onModel($onModel),
        );
        foreach ($areas as $raised) {
            array_push($steps, ...$this->onArea($raised));
        }

        return $steps;
    }

    /** @return list<Step> */
    private function onArea(RaisedArea $raised): array
    {
        // Colours follow from all that is on the area when it is done; only what is added is given back.
        $choice = new Choice([...$raised->kept, ...$raised->added]);
        $all = $this->steps->onArea(
            new PlannedArea($raised->demand, $choice, $raised->gradeBar, 0, $raised->conflict),
        );
        $there = self::passes($raised->kept);
        $ever = self::passes([...$raised->kept, ...$raised->lost]);
        $seen = [];
        $added = [];
        foreach ($all as $step) {
            $key = $step->technique->key;
            $seen[$key] = ($seen[$key] ?? 0) + 1;
            if ($seen[$key] > ($there[$key] ?? 0)) {
                $added[] = $step->numbered($seen[$key] - ($there[$key] ?? 0) + ($ever[$key] ?? 0));
            }
        }

        return $added;
    }

    /**
     * @param  list<ChosenTechnique>  $used
     * @return array<string, int> by technique key
     */
    private static function passes(array $used): array
    {
        $passes = [];
        foreach ($used as $one) {
            $passes[$one->technique->key] = ($passes[$one->technique->key] ?? 0) + $one->passes;
        }

        return $passes;
    }
}
