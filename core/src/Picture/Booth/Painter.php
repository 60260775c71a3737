<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Foundation\Dice;
use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;

/** Lays the coats that are done on each patch, in their order. */
final class Painter
{
    private const RESIN = '#a8a49b';

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
            Brushwork::lay($mark, $stroke);
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

    /** Where no scheme says: a colour that a material is thought of in. */
    public static function usual(Area $area): Colour
    {
        return Colour::hex(match ($area->material) {
            Material::Plate => '#5c6b78',
            Material::Cloth => '#5e6a74',
            Material::Leather => '#6b4630',
            Material::Skin => '#b07c5f',
            Material::HairFur => '#6d6a66',
            Material::BoneHorn => '#c9bb98',
            Material::ScaleChitin => '#5b6e4e',
            Material::Wood => '#7a5a3a',
            Material::Stone => '#83817b',
            Material::Steel => '#84888d',
            Material::Gold => '#b08d43',
            Material::Copper => '#9a6238',
            Material::GemLens => '#2f4f86',
            Material::Eye => '#1c1a18',
            Material::TeethClaw => '#d6cbb0',
            Material::Glow => '#e3a94a',
            Material::Parchment => '#cdbf9c',
            Material::Undersuit => '#3c3f44',
            Material::Ground => '#5c4f40',
            Material::Rim => '#221f1d',
        });
    }

    private static function colourOf(Coat $coat, Area $area, Colour $base, int $lights): Colour
    {
        if ($coat->colour !== null) {
            return Colour::of($coat->colour);
        }
        $white = new Colour(0.92, 0.9, 0.84);

        return match ($coat->mark) {
            Mark::Undercoat, Mark::CanUndercoat, Mark::BrushedUndercoat => Colour::hex(Patch::UNDERCOAT),
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
            Mark::Cover, Mark::ThinCover, Mark::SprayedCover, Mark::ShadedCover, Mark::Stain, Mark::StainFade,
            Mark::WetBlend, Mark::Metal, Mark::DryMetal, Mark::MetalIllusion, Mark::StainOver, Mark::Tidy,
            Mark::TintOver, Mark::PickOut, Mark::LensTwoTone, Mark::LensFade, Mark::LitSpot, Mark::Glow,
            Mark::Decal, Mark::SettledDecal, Mark::WornDecal, Mark::MockLetters, Mark::Letters, Mark::Chips,
            Mark::Damage, Mark::Rust, Mark::Streaks, Mark::Verdigris, Mark::Dust, Mark::GroundTie, Mark::Matt,
            Mark::Gloss, Mark::GroundPaste, Mark::GroundSand, Mark::GroundPaint, Mark::GroundWash, Mark::Tufts,
            Mark::Wet, Mark::Scene, Mark::ValueSketch, Mark::ValueDrybrush, Mark::ValueWash => $base,
        };
    }
}
