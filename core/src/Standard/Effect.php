<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What a technique achieves on an area. */
enum Effect: string
{
    case Underlay = 'underlay';
    case DarkGround = 'dark_ground';
    case LightGround = 'light_ground';
    case BaseColour = 'base_colour';
    case Shade = 'shade';
    case HighlightRaised = 'highlight_raised';
    case HighlightEdge = 'highlight_edge';
    case HighlightSpot = 'highlight_spot';
    case Blend = 'blend';
    case Tint = 'tint';
    case TintOver = 'tint_over';
    case Tone = 'tone';
    case Texture = 'texture';
    case Separate = 'separate';
    case SeparateTinted = 'separate_tinted';
    case Reflect = 'reflect';
    case Glow = 'glow';
    case PickOut = 'pick_out';
    case Mark = 'mark';
    case MarkWear = 'mark_wear';
    case Letter = 'letter';
    case LetterFull = 'letter_full';
    case MarkSettled = 'mark_settled';
    case Freehand = 'freehand';
    case Wear = 'wear';
    case WearDrawn = 'wear_drawn';
    case Grime = 'grime';
    case Gloss = 'gloss';
    case GlossGround = 'gloss_ground';
    case Tidy = 'tidy';
    case Undercoat = 'undercoat';
    case Value = 'value';
    case Protect = 'protect';
    case GroundTexture = 'ground_texture';
    case GroundColour = 'ground_colour';
    case GroundShade = 'ground_shade';
    case GroundLight = 'ground_light';
    case GroundPlants = 'ground_plants';
    case GroundWet = 'ground_wet';
    case GroundScene = 'ground_scene';
    case GroundTie = 'ground_tie';
    case Rim = 'rim';
    case Join = 'join';
    case Prepare = 'prepare';
    case Check = 'check';

    /**
     * Whether it goes over paint that is there and changes its look, not its standing against a tier (common practice,
     * no source).
     */
    public function goesOverPaint(): bool
    {
        return match ($this) {
            self::Tint, self::Tone, self::Freehand, self::Wear, self::WearDrawn, self::Grime,
            self::GroundPlants => true,
            self::Underlay, self::DarkGround, self::LightGround, self::BaseColour, self::Shade,
            self::HighlightRaised, self::HighlightEdge, self::HighlightSpot, self::Blend, self::TintOver,
            self::Texture, self::Separate, self::SeparateTinted, self::Reflect, self::Glow, self::PickOut,
            self::Mark, self::MarkWear, self::Letter, self::LetterFull, self::MarkSettled, self::Gloss,
            self::GlossGround, self::Tidy, self::Undercoat, self::Value, self::Protect, self::GroundTexture,
            self::GroundColour, self::GroundShade, self::GroundLight, self::GroundWet, self::GroundScene,
            self::GroundTie, self::Rim, self::Join, self::Prepare, self::Check => false,
        };
    }
}
