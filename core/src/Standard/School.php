<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** The questions on which good painters disagree, and the answers each of them can have. */
enum School: string
{
    case Undercoat = 'undercoat';
    case Build = 'build';
    case SkinWash = 'skin_wash';
    case Metals = 'metals';
    case MetalGround = 'metal_ground';
    case GoldLight = 'gold_light';
    case Edges = 'edges';
    case Spraying = 'spraying';
    case Ground = 'ground';
    case Decals = 'decals';
    case Backs = 'backs';
    case Weathering = 'weathering';
    case Look = 'look';
    case Neighbours = 'neighbours';
    case Faces = 'faces';
    case Texture = 'texture';

    /** @return non-empty-list<string> */
    public function answers(): array
    {
        return match ($this) {
            self::Undercoat => ['light', 'dark', 'mid_grey', 'value_sketch'],
            self::Build => ['up_from_dark', 'from_mid', 'stain_down'],
            self::SkinWash => ['first', 'over', 'none'],
            self::Metals => ['with_bases', 'first', 'last'],
            self::MetalGround => ['black', 'as_is'],
            self::GoldLight => ['silver', 'pale_gold'],
            self::Edges => ['every_visible', 'light_facing', 'focal'],
            self::Spraying => ['airbrush', 'can', 'brush_only'],
            self::Ground => ['first', 'last', 'apart'],
            self::Decals => ['on_gloss', 'wet_wash'],
            self::Backs => ['same', 'simpler'],
            self::Weathering => ['under_wash', 'last'],
            self::Look => ['clean', 'worn', 'filthy'],
            self::Neighbours => ['inner_finished', 'all_bases'],
            self::Faces => ['inner', 'first', 'last'],
            self::Texture => ['after_undercoat', 'before_undercoat'],
        };
    }

    /** The answer that a method which says nothing amounts to; null: to none of them. */
    public function unsaid(): ?string
    {
        return match ($this) {
            self::Metals => 'with_bases',
            self::MetalGround => 'as_is',
            self::Edges => 'every_visible',
            self::Decals => 'on_gloss',
            self::Backs => 'same',
            self::Weathering => 'last',
            self::Look => 'clean',
            self::Neighbours => 'inner_finished',
            self::Faces => 'last',
            self::Texture => 'after_undercoat',
            self::Undercoat, self::Build, self::SkinWash, self::GoldLight, self::Spraying, self::Ground => null,
        };
    }
}
