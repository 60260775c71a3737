<?php

declare(strict_types=1);

namespace Ordotype\Core\Inspection;

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

    public function question(): string
    {
        return match ($this) {
            self::Cover => 'Is everything covered, with nothing bare or patchy?',
            self::Borders => 'Are the borders clean, with no paint on the neighbours?',
            self::Surface => 'Is the paint smooth, and the detail still crisp?',
            self::Washes => 'Are washes and glazes free of rings, pools and frost?',
            self::Light => 'Does the light sit right: enough contrast, from above, with no dust and no stark layers?',
            self::Lines => 'Are lines even, unbroken and thin enough?',
            self::Colour => 'Are the colours those of the scheme, like the rest of the unit?',
            self::Details => 'Do the eyes look the same way?',
            self::Marks => 'Are decals whole, straight and without a silver edge?',
            self::Ground => 'Is the base finished, the rim clean and the feet free of ground?',
            self::Model => 'Is the model whole: no mould lines, gaps, scars or chips?',
            self::Varnish => 'Is the varnish even and clear?',
        };
    }
}
