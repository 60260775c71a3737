<?php

declare(strict_types=1);

namespace Ordotype\Core\Planning\Plan;

use Ordotype\Core\Foundation\NoticingSize;
use Ordotype\Core\Planning\Sequencing\Phase;
use Ordotype\Core\Planning\Sequencing\Step;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Effect;

/** Steps that will hardly be seen when the piece is done: said, so that they can be left out. */
final readonly class DoubtfulSteps
{
    /** A shade that is not darker than its base by this much L* reads as the base (house default). */
    private const SHADE = 6.0;

    /** A base darker than this (L*) hides what is done on it from behind or below (house default). */
    private const DARK = 22.0;

    public function __construct(private PlanRequest $request)
    {
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Warning> of kind `hardly_seen`, one for each area and technique
     */
    public function warnings(array $steps): array
    {
        $noticed = NoticingSize::mm(
            $this->request->tier->viewing->distanceCm,
            $this->request->tier->viewing->angleArcmin,
        );
        $warnings = [];
        foreach ($steps as $step) {
            $area = $step->area;
            if ($area === null || isset($warnings[$step->place()->id])) {
                continue;
            }
            $doubt = $this->doubt($area, $step, $noticed);
            if ($doubt !== null) {
                $warnings[$step->place()->id] = new Warning(
                    WarningKind::HardlySeen,
                    $area,
                    $step->technique,
                    doubt: $doubt,
                    noticedMm: $noticed,
                    distanceCm: $this->request->tier->viewing->distanceCm,
                );
            }
        }

        return array_values($warnings);
    }

    private function doubt(Area $area, Step $step, float $noticed): ?Doubt
    {
        $mark = $step->technique->markMm;
        $isFine = $step->technique->givesAny(
            Effect::HighlightEdge,
            Effect::HighlightSpot,
            Effect::Blend,
            Effect::Tint,
        );

        return match (true) {
            $mark !== null && $mark < $noticed => Doubt::MarkTooSmall,
            Phase::of($step->technique) === Phase::Shade && $this->tooClose($area, $step) => Doubt::HardlyDarker,
            $isFine && $this->hidden($area) => Doubt::DarkAndHidden,
            default => null,
        };
    }

    private function tooClose(Area $area, Step $step): bool
    {
        $base = $this->base($area);
        $shade = $step->colour?->colour;

        return $base !== null && $shade !== null && $base - $shade->lab()->l < self::SHADE;
    }

    private function hidden(Area $area): bool
    {
        $base = $this->base($area);

        return $base !== null &&
            $base < self::DARK &&
            $area->focus === 0 &&
            $area->facing->isTurnedAway();
    }

    private function base(Area $area): ?float
    {
        $paint = $this->request->scheme?->for($area)?->base;

        return $paint === null ? null : $this->request->shelf->colourOf($paint)?->lab()->l;
    }
}
