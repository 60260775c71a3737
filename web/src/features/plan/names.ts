import type { Extent, PlannedUse, PlanStep, UnitPlan } from '../../api/types';
import { minutes } from '../../ui/marks';
import { plain } from '../standard/words';

export interface Use {
    technique: string;
    passes: number;
    extent: Extent;
}

/** What the plan does on an area, as it can be changed. */
export const usesOn = (data: UnitPlan, area: string): Use[] =>
    (data.plan.areas.find((a) => a.area === area)?.techniques ?? []).map(
        ({ technique, passes, extent }: PlannedUse) => ({ technique, passes, extent }),
    );

const SHORT: Record<string, string> = {
    mould_line_removal: 'Mould lines',
    assemble: 'Assemble',
    gap_filling: 'Gaps',
    handle_mount: 'Handle',
    prime_can: 'Undercoat, can',
    prime_airbrush: 'Undercoat, spray',
    prime_brush: 'Undercoat, brush',
    value_sketch: 'Light from above',
    value_drybrush: 'Light from above',
    masking: 'Masking',
    matt_varnish: 'Varnish',
    join_parts: 'Join parts',
    join_base: 'Join base',
    cut_off_handle: 'Off the handle',
    spray_base: 'Sprayed',
    spray_fade: 'Faded spray',
    base_coat: 'Base',
    one_coat_base: 'One coat',
    thin_base: 'Thin base',
    metal_underlay: 'Dark under',
    touch_up: 'Touch-up',
    toning_wash: 'Toning wash',
    toning_glaze: 'Toning',
    tint_over: 'Clear colour',
    value_wash: 'Value wash',
    light_underlay: 'Light under',
    metallic_base: 'Metal',
    metal_drybrush_base: 'Dry metal',
    stain_coat: 'Stain',
    stain_fade: 'Faded stain',
    wet_blend: 'Wet blend',
    two_brush_blend: 'Two-brush',
    metal_illusion: 'Painted metal',
    metal_stain: 'Metal stain',
    stain_over: 'Stain over',
    stain_shade: 'Stain shade',
    wash_all_over: 'Wash',
    recess_shade: 'Recess',
    tidy_base: 'Tidy',
    overbrush: 'Overbrush',
    drybrush: 'Drybrush',
    layer: 'Layer',
    stipple: 'Stipple',
    hatch_texture: 'Hatching',
    edge_highlight: 'Edges',
    point_highlight: 'Points',
    glaze: 'Glaze',
    glaze_light: 'Light glaze',
    tint_filter: 'Tint',
    dark_lining: 'Dark line',
    tinted_lining: 'Tinted line',
    reflection: 'Reflection',
    pick_out: 'Picked out',
    eye_dot: 'Dotted eye',
    eye_full: 'Full eye',
    lens_two_tone: 'Lens, two tones',
    lens_fade: 'Lens, faded',
    gloss_under: 'Gloss under',
    decal_softener: 'Softener',
    decal_wear: 'Worn decal',
    mock_lettering: 'Mock letters',
    freehand_simple: 'Simple freehand',
    sponge_chips: 'Sponge chips',
    drawn_damage: 'Drawn damage',
    rust_grime: 'Rust',
    grime_streak: 'Streaks',
    pigment_dust: 'Dust',
    ground_dusting: 'Dusting',
    gloss_spot: 'Gloss',
    ground_texture: 'Paste',
    ground_sand: 'Sand',
    ground_paint: 'Ground colour',
    ground_wash: 'Ground wash',
    ground_drybrush: 'Drybrush',
    ground_tufts: 'Tufts',
    ground_wet: 'Wet ground',
    ground_scene: 'Scene',
    rim_paint: 'Rim',
};
/** The name of a technique where there is little room. */
export const shortName = (data: UnitPlan, key: string): string => SHORT[key] ?? longName(data, key);
export const longName = (data: UnitPlan, key: string): string =>
    data.techniques.find((t) => t.key === key)?.name ?? plain(key);
export const areaName = (data: UnitPlan, key: string | null): string =>
    key === null
        ? 'whole model'
        : (data.figure.find((a) => a.key === key)?.name ??
          data.areas.find((a) => a.key === key)?.name ??
          plain(key));
/** A place of a step as the API names it, `area:technique`, in words. */
export const placeName = (data: UnitPlan, place: string): string => {
    const [area = '*', technique = ''] = place.split(':');
    return `${longName(data, technique).toLowerCase()} on ${areaName(data, area === '*' ? null : area).toLowerCase()}`;
};
export const colourWords = (s: PlanStep): string | null =>
    s.colour
        ? s.colour.mixed_with
            ? `${s.colour.paint} and ${s.colour.mixed_with}, one to one`
            : s.colour.paint
        : null;
/** Tenths of minutes below three, then whole ones. */
export const fewMinutes = (m: number): string =>
    m > 0 && m < 2.95 ? Math.max(0.1, m).toFixed(1) : String(Math.round(m));

/** Why a step is in the plan, in words. */
export function becauseWords(data: UnitPlan, id: string): string {
    if (id === 'base') return 'every area needs one base colour';
    if (id === 'tidy') return 'a wash under light is tidied';
    if (id === 'parts') return 'parts are kept apart until painted';
    if (id.startsWith('method.')) return `the method: ${plain(id.slice(7))}`;
    if (id.startsWith('amend.'))
        return Number(id.slice(6)) > 900 ? 'its variant' : `amendment ${id.slice(6)}`;
    return data.clauses[id] ?? id;
}

/** What a change of minutes comes to. */
export const change = (from: number, to: number) =>
    Math.round(to) === Math.round(from)
        ? 'the same minutes'
        : `${to > from ? '+' : '−'}${minutes(Math.abs(to - from))}`;
