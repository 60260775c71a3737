<?php

declare(strict_types=1);

namespace Ordotype\Core\Colour;

use Ordotype\Core\Sculpt\Area;
use Ordotype\Core\Sculpt\Material;

/**
 * What a slot without colours could be painted with from a shelf: metal with a metal, skin like skin. What each
 * material looks like is a house default; cloth and plate, which are the army's own, take what no other slot has.
 */
final class Proposed
{
    /** ΔE00 up to which a paint passes for the tone that is looked for (house default). */
    private const NEAR = 14.0;

    /** L* that the shade falls and the light rises by, and what each must at least (as SlotCheck asks). */
    private const SHADE = 14.0;

    private const LIGHT = 12.0;

    /**
     * @param  non-empty-list<Area>  $areas  of the slot
     * @param  list<string>  $taken  paints that are the base of another slot
     * @return AreaColours|null null where the shelf has nothing of the kind
     */
    public static function colours(array $areas, Shelf $shelf, array $taken = []): ?AreaColours
    {
        $material = self::material($areas);
        $kind = $material->isMetal() ? 'metal' : 'opaque';
        $of = array_values(array_filter($shelf->paints, fn (Paint $p) => $p->kind === $kind));
        $looks = self::looks($material);
        $free = array_filter($of, fn (Paint $p) => ! in_array($p->name, $taken, true));
        $base = $looks === null
            ? self::best($free === [] ? $of : $free, fn (Paint $p) => -$p->colour->lab()->chroma())
            : self::nearest($of, $looks->lab());
        if ($base === null) {
            return null;
        }
        $lab = $base->colour->lab();
        $shade = self::tone($of, $lab, -self::SHADE);
        $light = self::tone($of, $lab, self::LIGHT);

        return new AreaColours(
            Pot::of($base->name),
            $shade === null ? [] : [Pot::of($shade->name)],
            $light === null ? [] : [Pot::of($light->name)],
        );
    }

    /** @param  non-empty-list<Area>  $areas */
    private static function material(array $areas): Material
    {
        $shares = [];
        foreach ($areas as $area) {
            $shares[$area->material->value] = ($shares[$area->material->value] ?? 0.0) + $area->sharePct;
        }
        arsort($shares);

        return Material::from((string) array_key_first($shares));
    }

    /** What it looks like; null: as the army likes. */
    private static function looks(Material $material): ?Srgb
    {
        $hex = match ($material) {
            Material::Plate, Material::Cloth => null,
            Material::Leather => '#6b4a2f',
            Material::Skin => '#b9805c',
            Material::HairFur => '#4b3524',
            Material::BoneHorn, Material::TeethClaw, Material::Parchment => '#d8cba8',
            Material::ScaleChitin => '#43703f',
            Material::Wood => '#7a5838',
            Material::Stone => '#7c8084',
            Material::Steel => '#8a8f96',
            Material::Gold => '#a9823c',
            Material::Copper => '#9a5a38',
            Material::GemLens => '#35609b',
            Material::Eye => '#f2f2ee',
            Material::Glow => '#dcb232',
            Material::Undersuit => '#2c2c30',
            Material::Ground => '#6b4f36',
            Material::Rim => '#1a1a1c',
        };

        return $hex === null ? null : Srgb::fromHex($hex);
    }

    /**
     * A paint of the same hue that is so much darker or lighter; none where the shelf has nothing near it.
     *
     * @param  list<Paint>  $of
     */
    private static function tone(array $of, Lab $from, float $by): ?Paint
    {
        $wanted = new Lab(max(2.0, min(98.0, $from->l + $by)), $from->a, $from->b);
        $step = SlotCheck::seen($by > 0);
        $there = array_filter(
            $of,
            fn (Paint $p) => $p->colour->lab()->deltaE00($wanted) <= self::NEAR &&
                ($p->colour->lab()->l - $from->l) * ($by <=> 0) >= $step,
        );

        return self::nearest($there, $wanted);
    }

    /** @param  array<int, Paint>  $of */
    private static function nearest(array $of, Lab $wanted): ?Paint
    {
        return self::best($of, fn (Paint $p) => $p->colour->lab()->deltaE00($wanted));
    }

    /**
     * @param  array<int, Paint>  $of
     * @param  callable(Paint): float  $far  least is taken, the first among equals
     */
    private static function best(array $of, callable $far): ?Paint
    {
        usort($of, fn (Paint $a, Paint $b) => $far($a) <=> $far($b));

        return $of[0] ?? null;
    }
}
