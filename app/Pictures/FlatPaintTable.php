<?php

declare(strict_types=1);

namespace App\Pictures;

use Ordotype\Core\Colour\Srgb;
use Ordotype\Core\Ladder\FlatPaint;
use Ordotype\Core\Picture\Booth\Booth;
use Ordotype\Core\Picture\Booth\BoothRequest;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Picture\Booth\Mark;
use Ordotype\Core\Picture\Photo\GreyCard;
use Ordotype\Core\Picture\Photo\Meter;
use Ordotype\Core\Picture\Photo\Placement;
use Ordotype\Core\Picture\Photo\RgbPixels;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\View;
use Ordotype\Core\Standard\Extent;

/** Draws figures in undercoat and in one flat coat, and measures what light alone makes of them. */
final class FlatPaintTable
{
    /** A middle grey, L* 50. */
    private const MIDDLE = '#777777';

    private const SEED = 7;

    /** @var array<string, array{undercoat: list<float>, flat: list<float>}> by material */
    private array $shown = [];

    public function __construct(private readonly int $width)
    {
    }

    public function add(Sculpt $sculpt): void
    {
        $undercoat = [self::undercoat()];
        $flat = $undercoat;
        foreach ($sculpt->areas as $area) {
            $flat[] = new Coat($area->key, Mark::Cover, Extent::Full, Srgb::fromHex(self::MIDDLE), true);
        }
        foreach (View::drawn() as $view) {
            $booth = new Booth();
            $this->measure($booth, new BoothRequest($sculpt, $undercoat, $view, $this->width, self::SEED), 'undercoat');
            $this->measure($booth, new BoothRequest($sculpt, $flat, $view, $this->width, self::SEED), 'flat');
        }
    }

    public static function undercoat(): Coat
    {
        return new Coat(null, Mark::Undercoat, Extent::Full, null, false);
    }

    public function table(): FlatPaint
    {
        ksort($this->shown);

        return new FlatPaint(
            array_map(fn (array $s) => self::median($s['undercoat']), $this->shown),
            array_map(fn (array $s) => self::median($s['flat']), $this->shown),
        );
    }

    /** @return array<string, int> by material: areas that were drawn, front and back apart */
    public function areas(): array
    {
        return array_map(fn (array $s) => count($s['flat']), $this->shown);
    }

    /** @param  'undercoat'|'flat'  $as */
    private function measure(Booth $booth, BoothRequest $request, string $as): void
    {
        $picture = $booth->draw($request);
        $measures = (new Meter($request->sculpt, GreyCard::none()))->measure(
            new RgbPixels($picture->width, $picture->height, $picture->rgb),
            Placement::whole($request->view, $picture->width, $picture->height),
        );
        foreach ($measures as $measure) {
            if ($measure->contrast->value !== null && self::counts($measure->area)) {
                $material = $measure->area->material->value;
                $this->shown[$material] ??= ['undercoat' => [], 'flat' => []];
                $this->shown[$material][$as][] = $measure->contrast->value;
            }
        }
    }

    /** Details and the base are too small or too rough to say what light makes of a form; metal shines by itself. */
    private static function counts(Area $area): bool
    {
        return $area->rank->isForm() && ! $area->isMetal();
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values === [] ? 0.0 : $values[intdiv(count($values), 2)];
    }
}
