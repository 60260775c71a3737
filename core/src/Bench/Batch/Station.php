<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench\Batch;

use Ordotype\Core\Standard\Family;
use Ordotype\Core\Standard\Technique;
use Ordotype\Core\Standard\WellKnown;

/** Where a technique is done, and whether moving air dries it quicker: the catalogue's columns; own ones by family. */
final class Station
{
    /** What drying takes with a fan or a lamp on, of what it takes without. */
    public const FAN = 0.3;

    /** What is sprayed of families that are else brushed. */
    private const SPRAYED = [...WellKnown::SPRAYED_UNDERCOATS, 'value_sketch', 'gloss_under', WellKnown::MATT_VARNISH];

    /** What air dries of families that it else leaves alone, and what it leaves alone of those that it dries. */
    private const BY_AIR = [
        'value_drybrush' => true,
        'value_wash' => true,
        'ground_paint' => true,
        'ground_wash' => true,
        'ground_drybrush' => true,
        'rim_paint' => true,
        'decal' => false,
        'decal_softener' => false,
        'rust_grime' => false,
        'pigment_dust' => false,
    ];

    public static function isSprayed(Technique $technique): bool
    {
        return $technique->family === Family::Spray || in_array($technique->key, self::SPRAYED, true);
    }

    public static function driesByAir(Technique $technique): bool
    {
        return self::BY_AIR[$technique->key] ?? match ($technique->family) {
            Family::Spray, Family::Base, Family::Shade, Family::Highlight, Family::Blend, Family::Line,
            Family::Detail, Family::Mark, Family::Wear => true,
            Family::Prepare, Family::Undercoat, Family::Protect, Family::Ground, Family::Check => false,
        };
    }
}
