<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Colour\Lab;
use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothPicture;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Booth\Patch;
use Ordotype\Core\Picture\Booth\PlantedFault;
use Ordotype\Core\Picture\Photo\AreaMeasure;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Light;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\PlannedPaint;
use Ordotype\Core\Picture\Photo\RgbPixels;
use Ordotype\Core\Picture\Photo\Shading;
use Ordotype\Core\Planning\Plan\Plan;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Extent;

/** Drawings whose truth is known, measured as photographs are: how often what is measured is so. */
final class TruthTable
{
    /** Greys that stand 10 L* and more apart: 30, 45, 60 and 75. */
    private const BANDS = ['#474747', '#6a6a6a', '#919191', '#b9b9b9'];

    /** Share from which an area does show undercoat, planted or not: paint ran thin there. */
    private const NOT_BARE = 0.005;

    /** ΔE00 from which a drift is called. */
    private const DRIFT = 3.0;

    /** @var array<string, array{int, int}> by what is measured: right, and tried */
    private array $counts = [];

    private readonly Booth $booth;

    /** @param  non-empty-list<Plan>  $plans  of several sculpts and tiers, drawn in turn */
    public function __construct(private readonly array $plans, private readonly int $width)
    {
        $this->booth = new Booth();
    }

    /** @return array<string, array{int, int}> right and tried, so far */
    public function counts(): array
    {
        return $this->counts;
    }

    /** One more picture, with a light, a brush and a fault by its seed. */
    public function add(int $seed): void
    {
        $dice = new Dice($seed);
        $plan = $this->plans[$seed % count($this->plans)];
        $area = $this->faulty($plan, $dice);
        $size = 0.0;
        $faults = [];
        $coats = Coat::all($plan->work->steps);
        if ($area !== null && $seed % 3 === 0) {
            $size = max(1.2, 1.25 * sqrt(0.012 * $this->mm2($plan, $area)) * 2 / sqrt(M_PI));
            $faults[] = new PlantedFault('bare_primer', $area->key, $size);
        } elseif ($area !== null && $seed % 3 === 1) {
            $size = $dice->between(0.3, 0.7);
            $coats[] = new Coat($area->key, Mark::Edge, Extent::Full, Srgb::fromHex('#efe9d8'), false);
            $faults[] = new PlantedFault('wide_line', $area->key, $size);
        }
        $picture = $this->drawn($plan, $coats, $seed, $faults, $dice);
        $this->hold($picture, self::measured($plan, $picture), $faults, $size);
        if ($area !== null && $seed % 3 === 2) {
            $this->holdTones($plan, $area, $seed, $dice);
        }
        if ($area !== null && $seed % 5 === 0) {
            $this->holdDrift($plan, $area, $coats, $seed, $dice);
        }
    }

    /**
     * In a light of its own, as the next photograph of the same studio would be.
     *
     * @param  list<Coat>  $coats
     * @param  list<PlantedFault>  $faults
     */
    private function drawn(Plan $plan, array $coats, int $seed, array $faults, Dice $dice): BoothPicture
    {
        $cast = [$dice->between(0.92, 1.08), 1.0, $dice->between(0.9, 1.08)];
        $stops = $dice->between(-0.7, 0.7);

        return $this->booth->draw(
            new BoothRequest($plan->request->sculpt, $coats, View::Front, $this->width, $seed, $faults, $stops, $cast),
        );
    }

    /** An area in plain bands of paint: as many tones as there are bands, with the light divided out. */
    private function holdTones(Plan $plan, Area $area, int $seed, Dice $dice): void
    {
        $bands = 1 + ($dice->roll() % 4);
        $coats = [FlatPaintTable::undercoat()];
        foreach (array_slice(self::BANDS, 0, $bands) as $n => $hex) {
            $mark = $n === 0 ? Mark::Cover : Mark::Layer;
            $coats[] = new Coat($area->key, $mark, Extent::Full, Srgb::fromHex($hex), $n === 0);
        }
        $bare = $this->drawn($plan, [FlatPaintTable::undercoat()], $seed + 1, [], $dice);
        $picture = $this->drawn($plan, $coats, $seed, [], $dice);
        $measured = self::measured($plan, $picture, View::Front, $bare)[$area->key] ?? null;
        if ($measured?->tones !== null) {
            $this->note('tones of 10 L* and more', count($measured->tones) === $bands);
        }
    }

    /**
     * The next model of a unit, one of its areas off by ΔE00 5 or by 1, in another light.
     *
     * @param  list<Coat>  $coats
     */
    private function holdDrift(Plan $plan, Area $area, array $coats, int $seed, Dice $dice): void
    {
        $by = $seed % 10 === 0 ? 5.0 : 1.0;
        $plain = self::measured($plan, $this->drawn($plan, $coats, $seed + 1, [], $dice))[$area->key] ?? null;
        $fault = new PlantedFault('colour_drift', $area->key, $by);
        $next = self::measured($plan, $this->drawn($plan, $coats, $seed + 2, [$fault], $dice))[$area->key] ?? null;
        if ($plain?->colour === null || $next?->colour === null) {
            return;
        }
        $off = $plain->colour->deltaE00($next->colour);
        $by > self::DRIFT
            ? $this->note('drift of ΔE00 5 found', $off > self::DRIFT)
            : $this->note('drift of ΔE00 1 not called', $off <= self::DRIFT);
    }

    private function mm2(Plan $plan, Area $area): float
    {
        return ($plan->request->sculpt->areaCm2($area) * 100) / 2;
    }

    /** An area of the front that is large and matt enough for a planted fault. */
    private function faulty(Plan $plan, Dice $dice): ?Area
    {
        $fit = array_values(
            array_filter(
                $plan->request->sculpt->areas,
                fn (Area $a) => $a->sharePct >= 4 &&
                    in_array($a->material->value, ['cloth', 'leather', 'wood', 'scale_chitin'], true) &&
                    ($a->outline['front'] ?? []) !== [],
            ),
        );

        return $fit === [] ? null : $fit[$dice->roll() % count($fit)];
    }

    /**
     * @param  BoothPicture|null  $undercoated  the same in undercoat alone, to take the light out of the tones
     * @return array<string, AreaMeasure>
     */
    public static function measured(
        Plan $plan,
        BoothPicture $picture,
        View $view = View::Front,
        ?BoothPicture $undercoated = null,
    ): array {
        $pixels = new RgbPixels($picture->width, $picture->height, $picture->rgb);
        $undercoat = Srgb::fromHex(Patch::UNDERCOAT);
        $meter = new Meter(
            $plan->request->sculpt,
            self::card($picture),
            PlannedPaint::of($plan)->over($undercoat),
            $undercoated === null
                ? null
                : new Shading(
                    new RgbPixels($undercoated->width, $undercoated->height, $undercoated->rgb),
                    Placement::whole($view, $undercoated->width, $undercoated->height),
                    self::card($undercoated),
                    $undercoat,
                ),
        );

        return $meter->measure($pixels, Placement::whole($view, $picture->width, $picture->height));
    }

    private static function card(BoothPicture $picture): GreyCard
    {
        [$left, $top, $side] = $picture->card;
        $in = max(1, intdiv($side, 5));
        $middle = [$left + $in, $top + $side + $in, $left + $side - $in, $top + 2 * $side - $in];

        return GreyCard::in(new RgbPixels($picture->width, $picture->height, $picture->rgb), $middle);
    }

    /**
     * @param  array<string, AreaMeasure>  $measured
     * @param  list<PlantedFault>  $faults
     */
    private function hold(BoothPicture $picture, array $measured, array $faults, float $size): void
    {
        $planted = $faults[0] ?? null;
        foreach ($measured as $key => $m) {
            $light = $picture->truth->light[$key] ?? [];
            if ($m->why !== null || count($light) < 30) {
                continue;
            }
            $truth = self::lab($light);
            if ($m->stark->value !== null && $m->contrast->value !== null) {
                $span = self::span($picture->truth->lightness[$key] ?? []);
                $this->note('contrast within 3 L*', abs($m->contrast->value - $span) <= 3.0);
            }
            if ($m->colour !== null) {
                $this->note('median colour within ΔE00 2', $m->colour->deltaE00($truth) <= 2.0);
            }
            if ($planted?->key === 'wide_line' && $planted->area === $key && $m->lineWidth->value !== null) {
                $this->note('line width within 0.1 mm', abs($m->lineWidth->value - $size) <= 0.1);
            }
            if ($m->bare->value === null) {
                continue;
            }
            $isPlanted = $planted?->key === 'bare_primer' && $planted->area === $key;
            if ($isPlanted && $picture->truth->bare[$key] >= 0.01) {
                $this->note('bare undercoat of 1 % found', $m->bare->value > 0.0);
            } elseif (! $isPlanted && $picture->truth->bare[$key] < self::NOT_BARE) {
                $this->note('no bare undercoat where there is none', $m->bare->value <= 0.0);
            }
        }
    }

    private function note(string $what, bool $isRight): void
    {
        [$right, $tried] = $this->counts[$what] ?? [0, 0];
        $this->counts[$what] = [$right + ($isRight ? 1 : 0), $tried + 1];
    }

    /**
     * L* from the 5th to the 95th percentile of what is sent.
     *
     * @param  array<int, int>  $bins  pixels by half L*
     */
    private static function span(array $bins): float
    {
        $all = array_sum($bins);
        $at = function (float $share) use ($bins, $all): float {
            $sum = 0;
            foreach ($bins as $bin => $n) {
                $sum += $n;
                if ($sum >= $share * $all) {
                    return $bin / 2;
                }
            }

            return 0.0;
        };

        return $at(0.95) - $at(0.05);
    }

    /** @param  list<array{float, float, float}>  $light */
    private static function lab(array $light): Lab
    {
        $labs = array_map(fn (array $c) => Light::lab(...$c), $light);
        $middle = function (callable $of) use ($labs): float {
            $values = array_map($of, $labs);
            sort($values);

            return $values[intdiv(count($values), 2)];
        };

        return new Lab(
            $middle(fn (Lab $l) => $l->l),
            $middle(fn (Lab $l) => $l->a),
            $middle(fn (Lab $l) => $l->b),
        );
    }
}
