<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Keys of the catalogue that the rules of the job name. */
final class WellKnown
{
    public const TIDY = 'tidy_base';

    public const FINAL_LOOK = 'final_look';

    public const LAYER = 'layer';

    public const GLAZE = 'glaze';

    public const WASH = 'wash_all_over';

    public const SPRAY = 'spray_base';

    public const RUST = 'rust_grime';

    public const MATT_VARNISH = 'matt_varnish';

    public const BASE_COAT = 'base_coat';

    public const TOUCH_UP = 'touch_up';

    public const LIGHT_UNDERLAY = 'light_underlay';

    public const BRUSHED_UNDERCOAT = 'prime_brush';

    public const MASKING = 'masking';

    public const JOIN_PARTS = 'join_parts';

    public const JOIN_BASE = 'join_base';

    public const VALUE_WASH = 'value_wash';

    public const VALUE_DRYBRUSH = 'value_drybrush';

    public const TUFTS = 'ground_tufts';

    public const PASTE = 'ground_texture';

    /** Undercoats that are sprayed: their film is thin and much of it is lost. */
    public const SPRAYED_UNDERCOATS = ['prime_can', 'prime_airbrush', 'value_sketch'];

    /** Coats that are thin and see-through. */
    public const GLAZES = ['glaze', 'glaze_light', 'tint_filter', 'toning_glaze', 'tint_over'];
}
