<?php

declare(strict_types=1);

namespace Ordotype\Core\Sculpt;

/** What an area represents. */
enum Material: string
{
    case Plate = 'plate';
    case Cloth = 'cloth';
    case Leather = 'leather';
    case Skin = 'skin';
    case HairFur = 'hair_fur';
    case BoneHorn = 'bone_horn';
    case ScaleChitin = 'scale_chitin';
    case Wood = 'wood';
    case Stone = 'stone';
    case Steel = 'steel';
    case Gold = 'gold';
    case Copper = 'copper';
    case GemLens = 'gem_lens';
    case Eye = 'eye';
    case TeethClaw = 'teeth_claw';
    case Glow = 'glow';
    case Parchment = 'parchment';
    case Undersuit = 'undersuit';
    case Ground = 'ground';
    case Rim = 'rim';

    /** Whether it is painted as metal. */
    public function isMetal(): bool
    {
        return match ($this) {
            self::Steel, self::Gold, self::Copper => true,
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::GemLens, self::Eye, self::TeethClaw, self::Glow, self::Parchment,
            self::Undersuit, self::Ground, self::Rim => false,
        };
    }

    /** Whether its light is no matter of the paint alone. */
    public function isShiny(): bool
    {
        return match ($this) {
            self::Steel, self::Gold, self::Copper, self::Glow, self::GemLens => true,
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::Eye, self::TeethClaw, self::Parchment, self::Undersuit, self::Ground,
            self::Rim => false,
        };
    }

    /** Whether what it gets is counted: a step on none of it would take no time. */
    public function isCounted(): bool
    {
        return match ($this) {
            self::Eye, self::GemLens, self::Glow, self::Ground, self::Rim => true,
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::Steel, self::Gold, self::Copper, self::TeethClaw, self::Parchment,
            self::Undersuit => false,
        };
    }

    /** Whether height says something of the light on it. */
    public function isLitByHeight(): bool
    {
        return match ($this) {
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::TeethClaw, self::Undersuit, self::Ground, self::Rim => true,
            self::Steel, self::Gold, self::Copper, self::GemLens, self::Eye, self::Glow, self::Parchment => false,
        };
    }

    /** Whether it sits in skin: it is painted after the shade of the skin around it. */
    public function isSetInSkin(): bool
    {
        return match ($this) {
            self::Eye, self::TeethClaw => true,
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::Steel, self::Gold, self::Copper, self::GemLens, self::Glow,
            self::Parchment, self::Undersuit, self::Ground, self::Rim => false,
        };
    }

    /** Too small and too smooth to be edged, hatched or given a texture. */
    public function isSmooth(): bool
    {
        return match ($this) {
            self::Eye, self::TeethClaw, self::GemLens => true,
            self::Plate, self::Cloth, self::Leather, self::Skin, self::HairFur, self::BoneHorn, self::ScaleChitin,
            self::Wood, self::Stone, self::Steel, self::Gold, self::Copper, self::Glow, self::Parchment,
            self::Undersuit, self::Ground, self::Rim => false,
        };
    }
}
