<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Photo;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Planning\Demand\FinishRequirement;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Standard\Criterion;

/** Holds what was measured against the finish clauses of the plan's tier. */
final readonly class Finish
{
    /** How much less light from above than the reference still is the same (house default). */
    private const ABOVE = 0.15;

    /**
     * @param  array<string, AreaMeasure>  $reference  by area key: the test model, or else the drawn plan
     * @param  array<string, Lab>  $unit  by area key: the middle of the unit
     * @param  bool  $hasCard  whether colours are known, not only their differences
     */
    public function __construct(
        private Plan $plan,
        private array $reference = [],
        private array $unit = [],
        private bool $hasCard = true,
    ) {
    }

    /**
     * @param  array<string, AreaMeasure>  $measures  by area key
     * @return list<HeldFigure> in the order of the areas; what could not be measured is not there
     */
    public function held(array $measures): array
    {
        $held = [];
        foreach ($this->plan->areas as $planned) {
            $area = $planned->demand->area;
            $measure = $area === null ? null : $measures[$area->key] ?? null;
            if ($area === null || $measure === null) {
                continue;
            }
            foreach ($planned->demand->of(FinishRequirement::class) as $requirement) {
                $value = $this->value($requirement->criterion, $area, $measure);
                if ($value !== null) {
                    $held[] = $this->against($requirement, $area, $value);
                }
            }
        }

        return $held;
    }

    private function against(FinishRequirement $asked, Area $area, float $value): HeldFigure
    {
        $limit = $asked->limit;
        if ($asked->criterion === Criterion::LightFromAbove) {
            $own = $this->reference[$area->key]->fromAbove->value ?? null;
            $limit = $own === null ? $limit : min($limit, $own - self::ABOVE);
        }
        $error = self::error($asked->criterion);
        $isMet = $asked->criterion->isFloor() ? $value + $error >= $limit : $value - $error <= $limit;

        return new HeldFigure($asked, $area, $value, $limit, $isMet);
    }

    /** What a figure may be off by chance: within it, nothing is said against the model. */
    private static function error(Criterion $criterion): float
    {
        return match ($criterion) {
            // As the table of drawings whose truth is known has it.
            Criterion::TonalSpan => 3.0,
            Criterion::LineWidth => 0.1,
            Criterion::BaseColour => 2.0,
            Criterion::ColourDrift => 1.0,
            Criterion::Tones, Criterion::LightFromAbove, Criterion::LineShare, Criterion::HardStep,
            Criterion::BarePrimer, Criterion::LastLight => 0.0,
        };
    }

    /** In the unit of the criterion; null where the photograph does not say. */
    private function value(Criterion $criterion, Area $area, AreaMeasure $m): ?float
    {
        $isShiny = $area->material->isShiny();

        return match ($criterion) {
            // Light on metal alone is more than any clause asks.
            Criterion::TonalSpan => $isShiny ? null : $m->contrast->value,
            Criterion::Tones => $m->tones === null ? null : (float) count($m->tones),
            Criterion::HardStep => $m->stark->value,
            Criterion::BarePrimer => $m->bare->value === null ? null : 100 * $m->bare->value,
            Criterion::LineWidth => $isShiny ? null : $m->lineWidth->value,
            Criterion::LightFromAbove => $area->material->isLitByHeight()
                ? $m->fromAbove->value
                : null,
            Criterion::BaseColour => $isShiny ? null : $this->off($m, $this->reference[$area->key]->colour ?? null),
            Criterion::ColourDrift => $isShiny ? null : $this->off($m, $this->unit[$area->key] ?? null),
            Criterion::LineShare, Criterion::LastLight => null,
        };
    }

    private function off(AreaMeasure $m, ?Lab $from): ?float
    {
        return $from === null || $m->colour === null || ! $this->hasCard ? null : $m->colour->deltaE00($from);
    }
}
