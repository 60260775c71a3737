<?php

declare(strict_types=1);

namespace App\Queries\Schemes;

use App\Models\Order;
use App\Models\Sculpt as SculptRow;
use App\Pictures\Drawings;
use App\Queries\Figures\FigureShown;
use App\Repositories\Colours;
use App\Repositories\Figures;
use App\Studio\Templates;
use Ordotype\Core\Colour\AreaColours;
use Ordotype\Core\Colour\Paint;
use Ordotype\Core\Colour\Pot;
use Ordotype\Core\Colour\Proposed;
use Ordotype\Core\Colour\Scheme;
use Ordotype\Core\Colour\Shelf;
use Ordotype\Core\Colour\SlotCheck;
use Ordotype\Core\Format\SchemeFormat;
use Ordotype\Core\Format\SculptFormat;
use Ordotype\Core\Picture\Booth\Coat;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Words\SchemeWords;
use stdClass;

/**
 * A scheme, kept or not, held against its figures: ladders of light, what is missing, and the figures in it.
 */
final class SchemeOnFigures
{
    private const MOST_FIGURES = 24;

    public function __construct(
        private readonly Colours $colours,
        private readonly Figures $figures,
        private readonly Drawings $drawings,
        private readonly Templates $templates,
    ) {
    }

    /**
     * @param  Order|null  $order  whose figures; null: those of the studio
     * @param  bool  $drawn  whether drawings are told of: not of a scheme that is still being tried
     * @return array{slots: list<array<string, mixed>>, figures: list<array<string, mixed>>,
     *     paints: list<array{name: string, hex: string}>}
     */
    public function of(Scheme $scheme, ?Order $order, bool $drawn = false): array
    {
        $shelf = $this->colours->shelf();
        $sculpts = $this->sculpts($order);

        return [
            'slots' => array_map(
                fn (SlotCheck $s) => self::slot($s, $shelf) + ['proposed' => self::proposed($s, $scheme, $shelf)],
                SlotCheck::all($scheme, $sculpts, $shelf),
            ),
            'figures' => array_map(
                fn (Sculpt $s) => self::figure($s, $scheme, $shelf) + [
                    'drawn' => (object) ($drawn
                        ? $this->drawings->inViews($s, Coat::inScheme($s, $scheme, $shelf))
                        : []),
                ],
                $sculpts,
            ),
            'paints' => array_map(fn (Paint $p) => ['name' => $p->name, 'hex' => $p->colour->hex()], $shelf->paints),
        ];
    }

    /** The same with colours from the shelf in every slot without, of the studio's figures or of the templates. */
    public function filled(Scheme $scheme): Scheme
    {
        $shelf = $this->colours->shelf();
        $sculpts = $this->sculpts(null);
        if ($sculpts === []) {
            $sculpts = array_map(fn (array $t) => SculptFormat::read($t['document']), $this->templates->all());
        }
        foreach (SlotCheck::all($scheme, $sculpts, $shelf) as $slot) {
            $colours = $slot->colours ?? self::coloursOf($slot, $scheme, $shelf);
            if ($colours !== null) {
                $scheme = $scheme->with(new Scheme($scheme->name, [$slot->slot => $colours], []));
            }
        }

        return $scheme;
    }

    private static function proposed(SlotCheck $slot, Scheme $scheme, Shelf $shelf): ?stdClass
    {
        $colours = $slot->colours === null ? self::coloursOf($slot, $scheme, $shelf) : null;

        return $colours === null ? null : SchemeFormat::writeColours($colours);
    }

    private static function coloursOf(SlotCheck $slot, Scheme $scheme, Shelf $shelf): ?AreaColours
    {
        $taken = array_map(fn (AreaColours $c) => $c->base->words(), array_values($scheme->slots));
        $areas = array_column($slot->places, 1);

        return $areas === [] ? null : Proposed::colours($areas, $shelf, $taken);
    }

    /** @return list<Sculpt> */
    private function sculpts(?Order $order): array
    {
        $rows =
            $order === null
                ? SculptRow::query()->orderBy('id')->limit(self::MOST_FIGURES)->get()
                : $order->units()->with('sculpt')->orderBy('id')->get()->pluck('sculpt')->unique('id');

        return array_values($rows->map($this->figures->of(...))->all());
    }

    /** @return array<string, mixed> */
    private static function slot(SlotCheck $slot, Shelf $shelf): array
    {
        return [
            'slot' => $slot->slot,
            'colours' => $slot->colours === null ? null : self::colours($slot->colours, $shelf),
            'steps' => array_map(fn (?float $l) => $l === null ? null : round($l, 1), $slot->steps),
            'problems' => array_map(SchemeWords::problem(...), $slot->problems),
            'places' => array_map(fn (array $p) => "{$p[0]->name}: {$p[1]->name}", $slot->places),
        ];
    }

    /** @return array<string, mixed> */
    private static function figure(Sculpt $sculpt, Scheme $scheme, Shelf $shelf): array
    {
        $slots = [];
        foreach ($sculpt->areas as $area) {
            if ($area->slot !== null) {
                $slots[$area->key] = $area->slot;
            }
        }

        return [
            'name' => $sculpt->name,
            'frame_mm' => $sculpt->frameMm ?? [60, 80],
            'areas' => FigureShown::of($sculpt, $scheme, $shelf),
            'slots' => (object) $slots,
        ];
    }

    /** @return array<string, mixed> */
    private static function colours(AreaColours $colours, Shelf $shelf): array
    {
        $paint = fn (?Pot $pot): ?array => $pot === null
            ? null
            : ['paint' => $pot->words(), 'hex' => $shelf->colourOf($pot)?->hex()];

        return [
            'base' => $paint($colours->base),
            'shades' => array_map($paint, $colours->shades),
            'lights' => array_map($paint, $colours->lights),
            'tint' => $paint($colours->tint),
            'line' => $paint($colours->line),
            'patch' => $paint($colours->patch),
        ];
    }
}
