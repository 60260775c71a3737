<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Technique;

/** What a technique leaves to be seen, each with a look of its own. */
enum Mark: string
{
    case Cover = 'cover';
    case ThinCover = 'thin_cover';
    case SprayedCover = 'sprayed_cover';
    case ShadedCover = 'shaded_cover';
    case Stain = 'stain';
    case StainFade = 'stain_fade';
    case WetBlend = 'wet_blend';
    case MetalUnderlay = 'metal_underlay';
    case LightUnderlay = 'light_underlay';
    case Metal = 'metal';
    case DryMetal = 'dry_metal';
    case MetalIllusion = 'metal_illusion';
    case MetalWash = 'metal_wash';
    case StainOver = 'stain_over';
    case StainShade = 'stain_shade';
    case Wash = 'wash';
    case Recess = 'recess';
    case Tidy = 'tidy';
    case Overbrush = 'overbrush';
    case Drybrush = 'drybrush';
    case Layer = 'layer';
    case Stipple = 'stipple';
    case Hatch = 'hatch';
    case Edge = 'edge';
    case Point = 'point';
    case Glaze = 'glaze';
    case LightGlaze = 'light_glaze';
    case SprayFade = 'spray_fade';
    case TwoBrush = 'two_brush';
    case Filter = 'filter';
    case ToningWash = 'toning_wash';
    case ToningGlaze = 'toning_glaze';
    case TintOver = 'tint_over';
    case DarkLine = 'dark_line';
    case TintedLine = 'tinted_line';
    case Reflection = 'reflection';
    case PickOut = 'pick_out';
    case EyeDot = 'eye_dot';
    case EyeFull = 'eye_full';
    case LensTwoTone = 'lens_two_tone';
    case LensFade = 'lens_fade';
    case LitSpot = 'lit_spot';
    case Glow = 'glow';
    case Decal = 'decal';
    case SettledDecal = 'settled_decal';
    case WornDecal = 'worn_decal';
    case MockLetters = 'mock_letters';
    case Letters = 'letters';
    case Freehand = 'freehand';
    case SimpleFreehand = 'simple_freehand';
    case Chips = 'chips';
    case Damage = 'damage';
    case Rust = 'rust';
    case Streaks = 'streaks';
    case Verdigris = 'verdigris';
    case Dust = 'dust';
    case GroundTie = 'ground_tie';
    case Matt = 'matt';
    case Gloss = 'gloss';
    case GroundPaste = 'ground_paste';
    case GroundSand = 'ground_sand';
    case GroundPaint = 'ground_paint';
    case GroundWash = 'ground_wash';
    case GroundDrybrush = 'ground_drybrush';
    case Tufts = 'tufts';
    case Wet = 'wet';
    case Scene = 'scene';
    case Rim = 'rim';
    case ValueSketch = 'value_sketch';
    case ValueDrybrush = 'value_drybrush';
    case ValueWash = 'value_wash';
    case Undercoat = 'undercoat';
    case CanUndercoat = 'can_undercoat';
    case BrushedUndercoat = 'brushed_undercoat';

    /** Null for what cannot be seen: preparing, masking, joining, touching up, looking. */
    public static function of(Technique $technique): ?self
    {
        foreach (self::cases() as $mark) {
            if ($mark->technique() === $technique->key) {
                return $mark;
            }
        }

        return self::isUnseen($technique) ? null : self::byEffects($technique);
    }

    /** The key of the technique of the catalogue that leaves it. */
    private function technique(): string
    {
        return match ($this) {
            self::CanUndercoat => 'prime_can',
            self::Undercoat => 'prime_airbrush',
            self::BrushedUndercoat => 'prime_brush',
            self::ValueSketch => 'value_sketch',
            self::ValueDrybrush => 'value_drybrush',
            self::ValueWash => 'value_wash',
            self::SprayedCover => 'spray_base',
            self::SprayFade => 'spray_fade',
            self::Cover => 'base_coat',
            self::ThinCover => 'one_coat_base',
            self::ShadedCover => 'thin_base',
            self::MetalUnderlay => 'metal_underlay',
            self::LightUnderlay => 'light_underlay',
            self::Metal => 'metallic_base',
            self::DryMetal => 'metal_drybrush_base',
            self::Stain => 'stain_coat',
            self::StainFade => 'stain_fade',
            self::WetBlend => 'wet_blend',
            self::TwoBrush => 'two_brush_blend',
            self::MetalIllusion => 'metal_illusion',
            self::MetalWash => 'metal_stain',
            self::StainOver => 'stain_over',
            self::StainShade => 'stain_shade',
            self::Wash => 'wash_all_over',
            self::Recess => 'recess_shade',
            self::Tidy => 'tidy_base',
            self::Overbrush => 'overbrush',
            self::Drybrush => 'drybrush',
            self::Layer => 'layer',
            self::Stipple => 'stipple',
            self::Hatch => 'hatch_texture',
            self::Edge => 'edge_highlight',
            self::Point => 'point_highlight',
            self::Glaze => 'glaze',
            self::LightGlaze => 'glaze_light',
            self::Filter => 'tint_filter',
            self::ToningWash => 'toning_wash',
            self::ToningGlaze => 'toning_glaze',
            self::TintOver => 'tint_over',
            self::DarkLine => 'dark_lining',
            self::TintedLine => 'tinted_lining',
            self::Reflection => 'reflection',
            self::PickOut => 'pick_out',
            self::EyeDot => 'eye_dot',
            self::EyeFull => 'eye_full',
            self::LensTwoTone => 'lens_two_tone',
            self::LensFade => 'lens_fade',
            self::LitSpot => 'lit_spot',
            self::Glow => 'glow',
            self::Decal => 'decal',
            self::SettledDecal => 'decal_softener',
            self::WornDecal => 'decal_wear',
            self::MockLetters => 'mock_lettering',
            self::Letters => 'lettering',
            self::Freehand => 'freehand',
            self::SimpleFreehand => 'freehand_simple',
            self::Chips => 'sponge_chips',
            self::Damage => 'drawn_damage',
            self::Rust => 'rust_grime',
            self::Streaks => 'grime_streak',
            self::Verdigris => 'verdigris',
            self::Dust => 'pigment_dust',
            self::GroundTie => 'ground_dusting',
            self::Matt => 'matt_varnish',
            self::Gloss => 'gloss_spot',
            self::GroundPaste => 'ground_texture',
            self::GroundSand => 'ground_sand',
            self::GroundPaint => 'ground_paint',
            self::GroundWash => 'ground_wash',
            self::GroundDrybrush => 'ground_drybrush',
            self::Tufts => 'ground_tufts',
            self::Wet => 'ground_wet',
            self::Scene => 'ground_scene',
            self::Rim => 'rim_paint',
        };
    }

    /** What a studio's own technique looks like, by the first of its effects in the order of {@see byEffect}. */
    private static function byEffects(Technique $technique): ?self
    {
        [$least, $mark] = [PHP_INT_MAX, null];
        foreach (array_keys($technique->effects) as $effect) {
            [$place, $there] = self::byEffect(Effect::from($effect));
            if ($place < $least) {
                [$least, $mark] = [$place, $there];
            }
        }

        return $mark;
    }

    /** @return array{int, self|null} which of several effects decides, the least, and the mark of it */
    private static function byEffect(Effect $effect): array
    {
        return match ($effect) {
            Effect::BaseColour => [1, self::Cover],
            Effect::Undercoat => [2, self::Undercoat],
            Effect::Shade => [3, self::Wash],
            Effect::HighlightRaised => [4, self::Layer],
            Effect::HighlightEdge => [5, self::Edge],
            Effect::HighlightSpot => [6, self::Point],
            Effect::Blend => [7, self::Glaze],
            Effect::Tint => [8, self::Filter],
            Effect::Tone => [9, self::ToningGlaze],
            Effect::TintOver => [10, self::TintOver],
            Effect::Separate => [11, self::DarkLine],
            Effect::Reflect => [12, self::Reflection],
            Effect::Glow => [13, self::Glow],
            Effect::Mark => [14, self::Decal],
            Effect::Letter => [15, self::Letters],
            Effect::Freehand => [16, self::Freehand],
            Effect::Wear => [17, self::Chips],
            Effect::Grime => [18, self::Rust],
            Effect::Gloss => [19, self::Gloss],
            Effect::GroundTexture => [20, self::GroundPaste],
            Effect::GroundColour => [21, self::GroundPaint],
            Effect::GroundShade => [22, self::GroundWash],
            Effect::GroundLight => [23, self::GroundDrybrush],
            Effect::GroundPlants => [24, self::Tufts],
            Effect::GroundWet => [25, self::Wet],
            Effect::GroundScene => [26, self::Scene],
            Effect::Rim => [27, self::Rim],
            Effect::Underlay => [28, self::LightUnderlay],
            Effect::DarkGround, Effect::LightGround, Effect::Texture, Effect::SeparateTinted, Effect::PickOut,
            Effect::MarkWear, Effect::LetterFull, Effect::MarkSettled, Effect::WearDrawn, Effect::GlossGround,
            Effect::Tidy, Effect::Value, Effect::Protect, Effect::GroundTie, Effect::Join, Effect::Prepare,
            Effect::Check => [PHP_INT_MAX, null],
        };
    }

    private static function isUnseen(Technique $technique): bool
    {
        return $technique->key === 'touch_up' ||
            $technique->givesAny(Effect::Prepare, Effect::Join, Effect::Check, Effect::GlossGround);
    }

    /** Light that stands on light before it: each goes further up than the last. */
    public function isLight(): bool
    {
        return match ($this) {
            self::Overbrush, self::Drybrush, self::Layer, self::Stipple, self::LightGlaze, self::GroundDrybrush => true,
            self::Cover, self::ThinCover, self::SprayedCover, self::ShadedCover, self::Stain, self::StainFade,
            self::WetBlend, self::MetalUnderlay, self::LightUnderlay, self::Metal, self::DryMetal,
            self::MetalIllusion, self::MetalWash, self::StainOver, self::StainShade, self::Wash, self::Recess,
            self::Tidy, self::Hatch, self::Edge, self::Point, self::Glaze, self::SprayFade, self::TwoBrush,
            self::Filter, self::ToningWash, self::ToningGlaze, self::TintOver, self::DarkLine, self::TintedLine,
            self::Reflection, self::PickOut, self::EyeDot, self::EyeFull, self::LensTwoTone, self::LensFade,
            self::LitSpot, self::Glow, self::Decal, self::SettledDecal, self::WornDecal, self::MockLetters,
            self::Letters, self::Freehand, self::SimpleFreehand, self::Chips, self::Damage, self::Rust,
            self::Streaks, self::Verdigris, self::Dust, self::GroundTie, self::Matt, self::Gloss,
            self::GroundPaste, self::GroundSand, self::GroundPaint, self::GroundWash, self::Tufts, self::Wet,
            self::Scene, self::Rim, self::ValueSketch, self::ValueDrybrush, self::ValueWash, self::Undercoat,
            self::CanUndercoat, self::BrushedUndercoat => false,
        };
    }

    /** Whether it takes the edges out of the steps about it. */
    public function isBlend(): bool
    {
        return match ($this) {
            self::Glaze, self::LightGlaze, self::SprayFade, self::TwoBrush, self::StainFade, self::WetBlend,
            self::Hatch, self::Stipple => true,
            self::Cover, self::ThinCover, self::SprayedCover, self::ShadedCover, self::Stain, self::MetalUnderlay,
            self::LightUnderlay, self::Metal, self::DryMetal, self::MetalIllusion, self::MetalWash,
            self::StainOver, self::StainShade, self::Wash, self::Recess, self::Tidy, self::Overbrush,
            self::Drybrush, self::Layer, self::Edge, self::Point, self::Filter, self::ToningWash,
            self::ToningGlaze, self::TintOver, self::DarkLine, self::TintedLine, self::Reflection, self::PickOut,
            self::EyeDot, self::EyeFull, self::LensTwoTone, self::LensFade, self::LitSpot, self::Glow, self::Decal,
            self::SettledDecal, self::WornDecal, self::MockLetters, self::Letters, self::Freehand,
            self::SimpleFreehand, self::Chips, self::Damage, self::Rust, self::Streaks, self::Verdigris,
            self::Dust, self::GroundTie, self::Matt, self::Gloss, self::GroundPaste, self::GroundSand,
            self::GroundPaint, self::GroundWash, self::GroundDrybrush, self::Tufts, self::Wet, self::Scene,
            self::Rim, self::ValueSketch, self::ValueDrybrush, self::ValueWash, self::Undercoat,
            self::CanUndercoat, self::BrushedUndercoat => false,
        };
    }

    /** A decal, settled or worn or as it comes. */
    public function isDecal(): bool
    {
        return match ($this) {
            self::Decal, self::SettledDecal, self::WornDecal => true,
            self::Cover, self::ThinCover, self::SprayedCover, self::ShadedCover, self::Stain, self::StainFade,
            self::WetBlend, self::MetalUnderlay, self::LightUnderlay, self::Metal, self::DryMetal,
            self::MetalIllusion, self::MetalWash, self::StainOver, self::StainShade, self::Wash, self::Recess,
            self::Tidy, self::Overbrush, self::Drybrush, self::Layer, self::Stipple, self::Hatch, self::Edge,
            self::Point, self::Glaze, self::LightGlaze, self::SprayFade, self::TwoBrush, self::Filter,
            self::ToningWash, self::ToningGlaze, self::TintOver, self::DarkLine, self::TintedLine,
            self::Reflection, self::PickOut, self::EyeDot, self::EyeFull, self::LensTwoTone, self::LensFade,
            self::LitSpot, self::Glow, self::MockLetters, self::Letters, self::Freehand, self::SimpleFreehand,
            self::Chips, self::Damage, self::Rust, self::Streaks, self::Verdigris, self::Dust, self::GroundTie,
            self::Matt, self::Gloss, self::GroundPaste, self::GroundSand, self::GroundPaint, self::GroundWash,
            self::GroundDrybrush, self::Tufts, self::Wet, self::Scene, self::Rim, self::ValueSketch,
            self::ValueDrybrush, self::ValueWash, self::Undercoat, self::CanUndercoat,
            self::BrushedUndercoat => false,
        };
    }

    /** Without it an area is flat: light and shade, however they are laid. */
    public function givesForm(): bool
    {
        return match ($this) {
            self::StainShade, self::Wash, self::Recess, self::Overbrush, self::Drybrush, self::Layer,
            self::Stipple, self::Edge, self::Glaze, self::LightGlaze, self::SprayFade, self::TwoBrush,
            self::GroundDrybrush => true,
            self::Cover, self::ThinCover, self::SprayedCover, self::ShadedCover, self::Stain, self::StainFade,
            self::WetBlend, self::MetalUnderlay, self::LightUnderlay, self::Metal, self::DryMetal,
            self::MetalIllusion, self::MetalWash, self::StainOver, self::Tidy, self::Hatch, self::Point,
            self::Filter, self::ToningWash, self::ToningGlaze, self::TintOver, self::DarkLine, self::TintedLine,
            self::Reflection, self::PickOut, self::EyeDot, self::EyeFull, self::LensTwoTone, self::LensFade,
            self::LitSpot, self::Glow, self::Decal, self::SettledDecal, self::WornDecal, self::MockLetters,
            self::Letters, self::Freehand, self::SimpleFreehand, self::Chips, self::Damage, self::Rust,
            self::Streaks, self::Verdigris, self::Dust, self::GroundTie, self::Matt, self::Gloss,
            self::GroundPaste, self::GroundSand, self::GroundPaint, self::GroundWash, self::Tufts, self::Wet,
            self::Scene, self::Rim, self::ValueSketch, self::ValueDrybrush, self::ValueWash, self::Undercoat,
            self::CanUndercoat, self::BrushedUndercoat => false,
        };
    }
}
