<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Photograph;
use App\Studio\Pictures;
use App\Studio\UnitPlans;
use InvalidArgumentException;
use Ordotype\Core\Photo\AreaMeasure;
use Ordotype\Core\Photo\Figure;
use Ordotype\Core\Photo\GreyCard;
use Ordotype\Core\Photo\Meter;
use Ordotype\Core\Photo\Placement;
use Ordotype\Core\Photo\PlannedPaint;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Words\PhotoWords;

/** Measures photographs against the plan that their model is painted by. */
final class Measuring
{
    public function __construct(private readonly UnitPlans $plans, private readonly Pictures $pictures)
    {
    }

    /** What is wrong with the photograph is said with it; nothing is thrown for that. */
    public function measure(Photograph $photograph): void
    {
        $placement = $photograph->placement;
        if ($placement === null) {
            return;
        }
        $unit = $photograph->piece->unit->load(['order.version', 'order.scheme', 'sculpt', 'pieces']);
        $plan = $this->plans->inForce($unit)->kindOf($photograph->piece->number)->plan;
        try {
            $pixels = GdPixels::ofBytes($this->pictures->read($photograph->picture));
            $placed = Placement::ofPoints(
                $plan->request->sculpt,
                View::from($photograph->view),
                self::point($placement['base_left']),
                self::point($placement['base_right']),
                self::point($placement['top']),
            );
            $field = self::field($placement['card']);
            $meter = new Meter(
                $plan->request->sculpt,
                $field === null ? GreyCard::none() : GreyCard::in($pixels, $field),
                $field === null ? PlannedPaint::of($plan)->over(null) : PlannedPaint::of($plan),
            );
            $measures = array_values(array_map(self::written(...), $meter->measure($pixels, $placed)));
            $photograph->update(['state' => 'measured', 'measures' => $measures, 'said' => null]);
        } catch (InvalidArgumentException $e) {
            $photograph->update(['state' => 'failed', 'said' => $e->getMessage()]);
        }
    }

    /**
     * @param  list<float>  $point
     * @return array{float, float}
     */
    private static function point(array $point): array
    {
        return [(float) ($point[0] ?? 0.0), (float) ($point[1] ?? 0.0)];
    }

    /**
     * @param  list<int>|null  $card
     * @return array{int, int, int, int}|null
     */
    private static function field(?array $card): ?array
    {
        return $card === null ? null : [$card[0] ?? 0, $card[1] ?? 0, $card[2] ?? 0, $card[3] ?? 0];
    }

    /** @return array<string, mixed> */
    public static function written(AreaMeasure $m): array
    {
        $figure = fn (Figure $f): array => [
            'value' => $f->value === null ? null : round($f->value, 3),
            'pixels' => $f->pixels,
            'why' => $f->why === null ? null : PhotoWords::why($f->why),
        ];

        return [
            'area' => $m->area->key,
            'name' => $m->area->name,
            'pixels' => $m->pixels,
            'why' => $m->why === null ? null : PhotoWords::why($m->why),
            'contrast' => $figure($m->contrast),
            'stark' => $figure($m->stark),
            'from_above' => $figure($m->fromAbove),
            'bare' => $figure($m->bare),
            'line_width' => $figure($m->lineWidth),
            'tones' => $m->tones === null ? null : count($m->tones),
        ];
    }
}
