<?php

declare(strict_types=1);

namespace Tests\Support;

use Ordotype\Core\Planning\Plan;
use Ordotype\Core\Sculpt\Material;
use Ordotype\Core\Sequencing\Step;
use Ordotype\Core\Standard\Effect;
use Ordotype\Core\Standard\Family;

/**
 * Holds a finished order against the rules of order, from the table of the rules and technique keys alone. No method.
 */
final class OrderChecker
{
    private const PHASES = [
        'prepare' => 0,
        'undercoat' => 1,
        'value' => 2,
        'underlay' => 3,
        'base' => 4,
        'spray_fade' => 5,
        'shade' => 6,
        'tidy' => 7,
        'raised' => 8,
        'blend' => 9,
        'tone' => 9.5,
        'edge' => 10,
        'point' => 11,
        'tint_over' => 11.5,
        'line' => 12,
        'detail' => 13,
        'decal_gloss' => 14,
        'mark' => 15,
        'wear' => 16,
        'g_texture' => 16.1,
        'g_colour' => 16.2,
        'g_shade' => 16.3,
        'g_light' => 16.4,
        'g_scene' => 16.5,
        'matt' => 17,
        'g_plants' => 17.5,
        'gloss' => 18,
        'rim' => 18.5,
        'join' => 19,
        'check' => 20,
    ];

    private const OF = [
        'mould_line_removal' => 'prepare',
        'assemble' => 'prepare',
        'gap_filling' => 'prepare',
        'handle_mount' => 'prepare',
        'prime_can' => 'undercoat',
        'prime_airbrush' => 'undercoat',
        'prime_brush' => 'undercoat',
        'value_sketch' => 'value',
        'value_drybrush' => 'value',
        'value_wash' => 'value',
        'touch_up' => 'underlay',
        'metal_underlay' => 'underlay',
        'light_underlay' => 'underlay',
        'spray_fade' => 'spray_fade',
        'metal_stain' => 'shade',
        'stain_over' => 'shade',
        'stain_shade' => 'shade',
        'wash_all_over' => 'shade',
        'recess_shade' => 'shade',
        'glaze' => 'shade',
        'tidy_base' => 'tidy',
        'overbrush' => 'raised',
        'drybrush' => 'raised',
        'layer' => 'raised',
        'stipple' => 'raised',
        'glaze_light' => 'raised',
        'hatch_texture' => 'edge',
        'edge_highlight' => 'edge',
        'point_highlight' => 'point',
        'two_brush_blend' => 'blend',
        'tint_filter' => 'blend',
        'toning_wash' => 'tone',
        'toning_glaze' => 'tone',
        'tint_over' => 'tint_over',
        'dark_lining' => 'line',
        'tinted_lining' => 'line',
        'reflection' => 'line',
        'glow' => 'detail',
        'gloss_under' => 'decal_gloss',
        'decal' => 'mark',
        'decal_softener' => 'mark',
        'decal_wear' => 'mark',
        'mock_lettering' => 'mark',
        'lettering' => 'mark',
        'freehand' => 'mark',
        'freehand_simple' => 'mark',
        'sponge_chips' => 'wear',
        'drawn_damage' => 'wear',
        'rust_grime' => 'wear',
        'grime_streak' => 'wear',
        'verdigris' => 'wear',
        'pigment_dust' => 'wear',
        'ground_dusting' => 'wear',
        'matt_varnish' => 'matt',
        'gloss_spot' => 'gloss',
        'ground_texture' => 'g_texture',
        'ground_sand' => 'g_texture',
        'ground_paint' => 'g_colour',
        'ground_wash' => 'g_shade',
        'ground_drybrush' => 'g_light',
        'ground_tufts' => 'g_plants',
        'ground_wet' => 'g_plants',
        'ground_scene' => 'g_scene',
        'rim_paint' => 'rim',
        'cut_off_handle' => 'join',
        'join_parts' => 'join',
        'join_base' => 'join',
        'final_look' => 'check',
    ];

    private const LIGHT_LAST = [
        'overbrush',
        'drybrush',
        'tidy_base',
        'stipple',
        'layer',
        'glaze_light',
        'hatch_texture',
        'edge_highlight',
        'point_highlight',
    ];

    /** @return list<string> every rule that is broken, with the two steps */
    public static function broken(Plan $plan): array
    {
        $broken = [];
        $steps = $plan->work->steps;
        foreach ($steps as $i => $early) {
            for ($j = $i + 1; $j < count($steps); $j++) {
                foreach (self::wrongWayRound($plan, $early, $steps[$j]) as $rule) {
                    $broken[] = sprintf(
                        '%s: %s on %s stands at %d before %s on %s at %d',
                        $rule,
                        $early->technique->key,
                        $early->area->key ?? '*',
                        $i + 1,
                        $steps[$j]->technique->key,
                        $steps[$j]->area->key ?? '*',
                        $j + 1,
                    );
                }
            }
        }

        return $broken;
    }

    public static function phase(Step $step): float
    {
        if ($step->technique->key === 'masking') {
            return 3.9;
        }
        if ($step->key()->id === $step->place()->id.':joint') {
            return 19.5;
        }

        return self::PHASES[$step->technique->has(Effect::BaseColour) ? 'base' : self::OF[$step->technique->key]];
    }

    /** @return list<string> rules by which the later of two steps should have come first */
    private static function wrongWayRound(Plan $plan, Step $first, Step $then): array
    {
        $rules = [];
        [$p, $q] = [self::phase($first), self::phase($then)];
        $sculpt = $plan->request->sculpt;
        [$a, $b] = [$first->area, $then->area];
        if ($first->technique->key === 'join_parts' && $b?->part !== null && $q !== 19.5) {
            $rules[] = 'join_late';
        }
        if ($a !== null && $b !== null && $a->key === $b->key && $p !== 19.5 && $q !== 19.5) {
            [$x, $y] = [
                array_search($first->technique->key, self::LIGHT_LAST, true),
                array_search($then->technique->key, self::LIGHT_LAST, true),
            ];
            if ($x !== false && $y !== false) {
                if ($x > $y || ($x === $y && $first->pass > $then->pass)) {
                    $rules[] = 'light_last';
                }
            } elseif ($p > $q || ($first->technique->key === $then->technique->key && $first->pass > $then->pass)) {
                $rules[] = 'phase';
            }
            if (
                $p === $q &&
                $q !== 16.0 &&
                $then->technique->mess >= 2 &&
                $first->technique->mess < 2 &&
                ($x === false || $y === false)
            ) {
                $rules[] = 'mess_first';
            }
        }
        if (($a === null || $b === null) && $first->sprays === [] && $then->sprays === [] && $p > $q) {
            $rules[] = $first->technique->key === 'matt_varnish' && $q === 15.0 ? 'seal_marks' : 'phase';
        }
        if ($p === 18.5 && $q < 18.5) {
            $rules[] = 'rim_last';
        }
        if ($a === null || $b === null || $a->key === $b->key) {
            return $rules;
        }
        $touch = $sculpt->touch($a->key, $b->key);
        $ring = fn ($gem, $around, float $of): bool => $gem->surround === $around->key &&
            ($of === 4.0 || ($of >= 8 && $of <= 11 && $of !== 9.0));
        $toothAfter = fn ($tooth, $skin, float $of): bool => $touch &&
            in_array($tooth->material, [Material::TeethClaw, Material::Eye], true) &&
            $skin->material === Material::Skin &&
            $of === 6.0;
        if ($ring($a, $b, $q) && $p >= 3 && $p <= 16) {
            $rules[] = 'ring_then_gem';
        }
        if ($toothAfter($a, $b, $q) && $p >= 3 && $p <= 16) {
            $rules[] = 'skin_then_teeth';
        }
        $framed = $b->surround === $a->key || $toothAfter($b, $a, 6.0);
        // The narrower rules beat mess_first and inner_first between the two areas.
        $exempt = $ring($b, $a, $p) || $toothAfter($b, $a, $p);
        $atWork = $touch && $a->part === $b->part;
        if (
            $atWork &&
            ! $exempt &&
            $then->technique->mess >= 2 &&
            $first->technique->mess < 2 &&
            $p >= $q &&
            $p !== 16.0 &&
            $q !== 16.0
        ) {
            $rules[] = 'mess_first';
        }
        if ($p === 4.0 && $q === 4.0 && ! $framed) {
            [$sprayed, $alsoSprayed] = [
                $first->technique->family === Family::Spray,
                $then->technique->family === Family::Spray,
            ];
            if ($alsoSprayed && ! $sprayed) {
                $rules[] = 'inner_first';
            }
            if (
                $atWork &&
                ! $sprayed &&
                ! $alsoSprayed &&
                $b->layer < $a->layer &&
                $first->technique->mess >= 2 === $then->technique->mess >= 2
            ) {
                $rules[] = 'inner_first';
            }
        }

        return $rules;
    }
}
