<?php

declare(strict_types=1);

namespace Ordotype\Core\Booth;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;

/** Lays the coats that are done on each patch, in their order. */
final class Painter
{
    /** Where no scheme says: a colour that a material is thought of in. */
    private const BY_MATERIAL = [
        'plate' => '#5c6b78',
        'cloth' => '#5e6a74',
        'leather' => '#6b4630',
        'skin' => '#b07c5f',
        'hair_fur' => '#6d6a66',
        'bone_horn' => '#c9bb98',
        'scale_chitin' => '#5b6e4e',
        'wood' => '#7a5a3a',
        'stone' => '#83817b',
        'steel' => '#84888d',
        'gold' => '#b08d43',
        'copper' => '#9a6238',
        'gem_lens' => '#2f4f86',
        'eye' => '#1c1a18',
        'teeth_claw' => '#d6cbb0',
        'glow' => '#e3a94a',
        'parchment' => '#cdbf9c',
        'undersuit' => '#3c3f44',
        'ground' => '#5c4f40',
        'rim' => '#221f1d',
    ];

    private const RESIN = '#a8a49b';

    public const UNDERCOAT = '#8d8c88';

    /** @var array<string, list<Coat>> by area; '' on the whole model */
    private array $coats = [];

    /**
     * @param  list<Coat>  $done  in their order
     * @param  list<PlantedFault>  $faults
     */
    public function __construct(array $done, private readonly int $seed, private readonly array $faults = [])
    {
        foreach ($done as $coat) {
            $this->coats[$coat->area ?? ''][] = $coat;
        }
    }

    public function paint(Patch $patch): void
    {
        $area = $patch->ring->area;
        $patch->paint(Colour::hex(self::RESIN), (new Masks($patch))->all(1.0));
        foreach ($patch->bare as $k => $_) {
            $patch->bare[$k] = 1.0;
        }
        $coats = [...$this->coats[''] ?? [], ...$this->coats[$area->key] ?? []];
        $base = $this->baseOf($area);
        $spoilt = $this->spoilt($area);
        if (array_key_exists('light_from_below', $spoilt)) {
            $patch->rank = array_map(fn (float $rank) => 1 - $rank, $patch->rank);
        }
        $lights = $edges = 0;
        $all = count(array_filter($coats, fn (Coat $c) => $c->mark->isLight()));
        $isBlended = array_filter($coats, fn (Coat $c) => $c->mark->isBlend()) !== [];
        foreach ($this->inOrder($coats) as $n => $coat) {
            $mark = $coat->mark;
            if (Faults::leavesOut($spoilt, $mark)) {
                continue;
            }
            $colour = self::colourOf($coat, $area, $base, $lights + $edges);
            $seed = Dice::hash($this->seed, $n);
            $stroke = new Stroke($patch, $coat, $colour, $base, $lights, $all, $edges, $isBlended, $seed, $spoilt);
            Coats::lay($mark, $stroke);
            $lights += $mark->isLight() ? 1 : 0;
            $edges += $mark === Mark::Edge ? 1 : 0;
        }
        if ($spoilt !== []) {
            (new Faults($patch, $base, $this->besideOf($area), Dice::hash($this->seed, 97)))->put($spoilt);
        }
    }

    /** @return array<string, float|null> sizes by key */
    private function spoilt(Area $area): array
    {
        $spoilt = [];
        foreach ($this->faults as $fault) {
            if ($fault->area === $area->key) {
                $spoilt[$fault->key] = $fault->size;
            }
        }

        return $spoilt;
    }

    /** The colour of an area that touches it, for what strays across. */
    private function besideOf(Area $area): Colour
    {
        foreach ($area->touches as $key) {
            foreach ($this->coats[$key] ?? [] as $coat) {
                if ($coat->colour !== null && $coat->isBase) {
                    return Colour::of($coat->colour);
                }
            }
        }

        return Colour::hex('#2b2522');
    }

    /**
     * What is done on the whole model is done on every part of it when its turn comes: undercoats first, varnish last.
     *
     * @param  list<Coat>  $coats
     * @return list<Coat>
     */
    private function inOrder(array $coats): array
    {
        usort($coats, fn (Coat $a, Coat $b) => $this->turn($a) <=> $this->turn($b));

        return $coats;
    }

    /** 0 before the area's own steps, 2 after them. */
    private function turn(Coat $coat): int
    {
        return match (true) {
            $coat->area !== null => 1,
            $coat->mark === Mark::Matt => 2,
            default => 0,
        };
    }

    private function baseOf(Area $area): Colour
    {
        foreach ($this->coats[$area->key] ?? [] as $coat) {
            if ($coat->isBase) {
                return $coat->colour === null ? self::usual($area) : Colour::of($coat->colour);
            }
        }

        return self::usual($area);
    }

    public static function usual(Area $area): Colour
    {
        return Colour::hex(self::BY_MATERIAL[$area->material->value] ?? '#7a7a7a');
    }

    private static function colourOf(Coat $coat, Area $area, Colour $base, int $lights): Colour
    {
        if ($coat->colour !== null) {
            return Colour::of($coat->colour);
        }
        $white = new Colour(0.92, 0.9, 0.84);

        return match ($coat->mark) {
            Mark::Undercoat, Mark::CanUndercoat, Mark::BrushedUndercoat => Colour::hex(self::UNDERCOAT),
            Mark::Wash, Mark::StainShade, Mark::MetalWash, Mark::Recess => $base->times(0.2),
            Mark::DarkLine, Mark::TintedLine, Mark::MetalUnderlay => $base->times(0.08),
            Mark::LightUnderlay => Colour::hex('#c9c6bd'),
            Mark::Glaze, Mark::ToningGlaze, Mark::ToningWash, Mark::Filter => $base->times(0.5),
            Mark::Rim => Colour::hex('#1d1b1a'),
            Mark::GroundDrybrush => Colour::hex('#b3a58c'),
            Mark::Edge, Mark::Point, Mark::Hatch => $base->times(1.6)->towards($white, 0.35 + 0.12 * $lights),
            Mark::Layer, Mark::Stipple, Mark::Drybrush, Mark::Overbrush, Mark::LightGlaze,
            Mark::SprayFade, Mark::TwoBrush => $base->times(1.35)->towards($white, 0.12 + 0.1 * $lights),
            Mark::Freehand, Mark::SimpleFreehand, Mark::Reflection => $base->towards($white, 0.75),
            Mark::EyeFull, Mark::EyeDot => $area->material === Material::Eye ? Colour::hex('#3c2f22') : $base,
            default => $base,
        };
    }
}
