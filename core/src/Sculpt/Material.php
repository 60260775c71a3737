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
}
