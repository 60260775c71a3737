<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Faults that are looked for with one look, so that they share a question. */
enum FaultGroup: string
{
    case Cover = 'cover';
    case Borders = 'borders';
    case Surface = 'surface';
    case Washes = 'washes';
    case Light = 'light';
    case Lines = 'lines';
    case Colour = 'colour';
    case Details = 'details';
    case Marks = 'marks';
    case Ground = 'ground';
    case Model = 'model';
    case Varnish = 'varnish';

    public static function of(string $fault): self
    {
        return match ($fault) {
            'bare_primer', 'patchy_cover', 'rub_through', 'unpainted_hidden', 'missing_technique' => self::Cover,
            'overspill', 'metal_flecks' => self::Borders,
            'brush_marks',
            'clogged_detail',
            'fluff_in_paint',
            'fingerprint',
            'glue_bloom',
            'grainy_undercoat' => self::Surface,
            'tide_mark', 'pooling', 'frosted_recess' => self::Washes,
            'dusty_drybrush', 'hard_step', 'flat_area', 'light_from_below' => self::Light,
            'wobbly_line', 'broken_line', 'wide_line' => self::Lines,
            'eyes_uneven' => self::Details,
            'decal_silvering', 'decal_torn', 'decal_missing', 'decal_wrong', 'tide_under_decal' => self::Marks,
            'ground_on_feet', 'rim_untidy', 'loose_tuft' => self::Ground,
            'mould_line', 'gap', 'broken_part', 'handle_scar', 'chipped_off_handle' => self::Model,
            'frosted_varnish', 'patchy_sheen', 'varnish_pooled' => self::Varnish,
            default => self::Colour,
        };
    }
}
