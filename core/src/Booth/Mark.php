<?php

declare(strict_types=1);

namespace Ordotype\Core\Booth;

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

    private const BY_KEY = [
        'prime_can' => self::CanUndercoat,
        'prime_airbrush' => self::Undercoat,
        'prime_brush' => self::BrushedUndercoat,
        'value_sketch' => self::ValueSketch,
        'value_drybrush' => self::ValueDrybrush,
        'value_wash' => self::ValueWash,
        'spray_base' => self::SprayedCover,
        'spray_fade' => self::SprayFade,
        'base_coat' => self::Cover,
        'one_coat_base' => self::ThinCover,
        'thin_base' => self::ShadedCover,
        'metal_underlay' => self::MetalUnderlay,
        'light_underlay' => self::LightUnderlay,
        'metallic_base' => self::Metal,
        'metal_drybrush_base' => self::DryMetal,
        'stain_coat' => self::Stain,
        'stain_fade' => self::StainFade,
        'wet_blend' => self::WetBlend,
        'two_brush_blend' => self::TwoBrush,
        'metal_illusion' => self::MetalIllusion,
        'metal_stain' => self::MetalWash,
        'stain_over' => self::StainOver,
        'stain_shade' => self::StainShade,
        'wash_all_over' => self::Wash,
        'recess_shade' => self::Recess,
        'tidy_base' => self::Tidy,
        'overbrush' => self::Overbrush,
        'drybrush' => self::Drybrush,
        'layer' => self::Layer,
        'stipple' => self::Stipple,
        'hatch_texture' => self::Hatch,
        'edge_highlight' => self::Edge,
        'point_highlight' => self::Point,
        'glaze' => self::Glaze,
        'glaze_light' => self::LightGlaze,
        'tint_filter' => self::Filter,
        'toning_wash' => self::ToningWash,
        'toning_glaze' => self::ToningGlaze,
        'tint_over' => self::TintOver,
        'dark_lining' => self::DarkLine,
        'tinted_lining' => self::TintedLine,
        'reflection' => self::Reflection,
        'pick_out' => self::PickOut,
        'eye_dot' => self::EyeDot,
        'eye_full' => self::EyeFull,
        'lens_two_tone' => self::LensTwoTone,
        'lens_fade' => self::LensFade,
        'lit_spot' => self::LitSpot,
        'glow' => self::Glow,
        'decal' => self::Decal,
        'decal_softener' => self::SettledDecal,
        'decal_wear' => self::WornDecal,
        'mock_lettering' => self::MockLetters,
        'lettering' => self::Letters,
        'freehand' => self::Freehand,
        'freehand_simple' => self::SimpleFreehand,
        'sponge_chips' => self::Chips,
        'drawn_damage' => self::Damage,
        'rust_grime' => self::Rust,
        'grime_streak' => self::Streaks,
        'verdigris' => self::Verdigris,
        'pigment_dust' => self::Dust,
        'ground_dusting' => self::GroundTie,
        'matt_varnish' => self::Matt,
        'gloss_spot' => self::Gloss,
        'ground_texture' => self::GroundPaste,
        'ground_sand' => self::GroundSand,
        'ground_paint' => self::GroundPaint,
        'ground_wash' => self::GroundWash,
        'ground_drybrush' => self::GroundDrybrush,
        'ground_tufts' => self::Tufts,
        'ground_wet' => self::Wet,
        'ground_scene' => self::Scene,
        'rim_paint' => self::Rim,
    ];

    /** What a studio's own technique looks like, by the first of its effects that is here. */
    private const BY_EFFECT = [
        [Effect::BaseColour, self::Cover],
        [Effect::Undercoat, self::Undercoat],
        [Effect::Shade, self::Wash],
        [Effect::HighlightRaised, self::Layer],
        [Effect::HighlightEdge, self::Edge],
        [Effect::HighlightSpot, self::Point],
        [Effect::Blend, self::Glaze],
        [Effect::Tint, self::Filter],
        [Effect::Tone, self::ToningGlaze],
        [Effect::TintOver, self::TintOver],
        [Effect::Separate, self::DarkLine],
        [Effect::Reflect, self::Reflection],
        [Effect::Glow, self::Glow],
        [Effect::Mark, self::Decal],
        [Effect::Letter, self::Letters],
        [Effect::Freehand, self::Freehand],
        [Effect::Wear, self::Chips],
        [Effect::Grime, self::Rust],
        [Effect::Gloss, self::Gloss],
        [Effect::GroundTexture, self::GroundPaste],
        [Effect::GroundColour, self::GroundPaint],
        [Effect::GroundShade, self::GroundWash],
        [Effect::GroundLight, self::GroundDrybrush],
        [Effect::GroundPlants, self::Tufts],
        [Effect::GroundWet, self::Wet],
        [Effect::GroundScene, self::Scene],
        [Effect::Rim, self::Rim],
        [Effect::Underlay, self::LightUnderlay],
    ];

    /** Null for what cannot be seen: preparing, masking, joining, touching up, looking. */
    public static function of(Technique $technique): ?self
    {
        $own = self::BY_KEY[$technique->key] ?? null;
        if ($own !== null || self::isUnseen($technique)) {
            return $own;
        }
        foreach (self::BY_EFFECT as [$effect, $mark]) {
            if ($technique->has($effect)) {
                return $mark;
            }
        }

        return null;
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
            default => false,
        };
    }

    /** Whether it takes the edges out of the steps about it. */
    public function isBlend(): bool
    {
        return match ($this) {
            self::Glaze, self::LightGlaze, self::SprayFade, self::TwoBrush, self::StainFade, self::WetBlend,
            self::Hatch, self::Stipple => true,
            default => false,
        };
    }
}
