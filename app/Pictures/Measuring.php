<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Photograph;
use App\Studio\Pictures;
use App\Studio\UnitPlans;
use InvalidArgumentException;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\MeasureFormat;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Pixels;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Picture\Photo\Shading;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;

/** Measures photographs against the plan that their model is painted by. */
final class Measuring
{
    /** Pixels across of the drawing that a photograph is compared with. */
    private const DRAWN = 480;

    public function __construct(
        private readonly UnitPlans $plans,
        private readonly Pictures $pictures,
        private readonly Booth $booth,
    ) {
    }

    /** What is wrong with the photograph is said with it; nothing is thrown for that. */
    public function measure(Photograph $photograph): void
    {
        $piece = $photograph->piece;
        if ($photograph->placement === null || $piece === null) {
            return;
        }
        $unit = $piece->unit->load(['order.version', 'order.scheme', 'order.overrules', 'sculpt', 'pieces']);
        $plan = $this->plans->inForce($unit)->kindOf($piece->number)->plan;
        $revision = $photograph->revision;
        try {
            $pixels = $this->pixels($photograph);
            $card = self::card($photograph, $pixels);
            $planned = PlannedPaint::of($plan);
            $meter = new Meter(
                $plan->request->sculpt,
                $card ?? GreyCard::none(),
                $card === null ? $planned->over(null) : $planned,
                $this->shading($unit->sculpt_id, $photograph->view, $planned, $plan->request->sculpt),
            );
            $found = [
                'state' => 'measured',
                'measures' => Json::encode(
                    MeasureFormat::write($meter->measure($pixels, self::placed($photograph, $plan->request->sculpt))),
                ),
                'reference' => $this->drawn($plan, View::from($photograph->view)),
                'said' => null,
            ];
        } catch (InvalidArgumentException $e) {
            $found = ['state' => 'failed', 'said' => $e->getMessage()];
        }
        // Laid anew meanwhile, it is measured anew: what was found here is of the placement before.
        Photograph::query()->whereKey($photograph->id)->where('revision', $revision)->update($found);
    }

    private function pixels(Photograph $photograph): Pixels
    {
        return GdPixels::ofBytes($this->pictures->read($photograph->picture));
    }

    /** The light on the figure, where it was photographed in undercoat from the same side. */
    private function shading(int $sculptId, string $view, PlannedPaint $planned, Sculpt $sculpt): ?Shading
    {
        $bare = Photograph::query()
            ->with('picture')
            ->where(['sculpt_id' => $sculptId, 'view' => $view, 'shows' => 'undercoated'])
            ->whereNotNull('placement')
            ->latest('id')
            ->first();
        if ($bare === null || $planned->undercoat === null) {
            return null;
        }
        $pixels = $this->pixels($bare);

        return new Shading(
            $pixels,
            self::placed($bare, $sculpt),
            self::card($bare, $pixels) ?? GreyCard::none(),
            $planned->undercoat,
        );
    }

    /** The plan as the booth draws it, measured in the same way. */
    private function drawn(Plan $plan, View $view): ?string
    {
        if (! $view->isOutlined()) {
            return null;
        }
        $request = new BoothRequest($plan->request->sculpt, Coat::all($plan->work->steps), $view, self::DRAWN);

        return Json::encode(
            MeasureFormat::write(TruthTable::measured($plan, $this->booth->draw($request), $view)),
        );
    }

    public static function placed(Photograph $photograph, Sculpt $sculpt): Placement
    {
        $placement = $photograph->placement ?? throw new InvalidArgumentException('The outlines are not laid yet.');

        return Placement::ofPoints(
            $sculpt,
            View::from($photograph->view),
            self::point($placement['base_left']),
            self::point($placement['base_right']),
            self::point($placement['top']),
        )->shifted(array_map(self::point(...), $placement['shifts'] ?? []));
    }

    /**
     * @param  list<float>  $point
     * @return array{float, float}
     */
    private static function point(array $point): array
    {
        return [(float) ($point[0] ?? 0.0), (float) ($point[1] ?? 0.0)];
    }

    private static function card(Photograph $photograph, Pixels $pixels): ?GreyCard
    {
        $card = $photograph->placement['card'] ?? null;

        return $card === null
            ? null
            : GreyCard::in($pixels, [$card[0] ?? 0, $card[1] ?? 0, $card[2] ?? 0, $card[3] ?? 0]);
    }
}
