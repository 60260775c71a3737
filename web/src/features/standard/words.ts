// The closed sets of ordotype/standard@1 and what the screen calls them.
export const RANKS = ['main', 'secondary', 'detail', 'ground'];
export const RELIEFS = ['hard_edges', 'soft_folds', 'deep_recesses', 'fine_texture', 'open_panel', 'organic', 'rivets', 'tiny_detail', 'joints', 'ground', 'rim'];
export const MATERIALS = ['plate', 'cloth', 'leather', 'skin', 'hair_fur', 'bone_horn', 'scale_chitin', 'wood', 'stone', 'steel', 'gold', 'copper', 'gem_lens', 'eye', 'teeth_claw', 'glow', 'parchment', 'undersuit', 'ground', 'rim'];
export const ROLES = ['regular', 'hero', 'horde', 'centrepiece'];
export const SIZES = ['small', 'infantry', 'large', 'mounted', 'vehicle', 'monster'];
export const FACINGS = ['front', 'back', 'both', 'under'];
export const VIEWS = ['front', 'back', 'left', 'right', 'top', 'under'];
export const GATES = ['prepared', 'undercoated', 'test_model', 'before_varnish', 'joined', 'final'];
export const FAMILIES = ['prepare', 'undercoat', 'spray', 'base', 'shade', 'highlight', 'blend', 'line', 'detail', 'mark', 'wear', 'protect', 'ground', 'check'];
export const EFFECTS: Record<string, string> = {
    shade: 'shade in the recesses', highlight_edge: 'edge highlights', highlight_raised: 'light on raised forms', blend: 'blends', separate: 'dark lines between parts, neutral', separate_tinted: 'dark lines between parts, tinted to the surface',
    pick_out: 'picking out', reflect: 'reflections', texture: 'texture', tint: 'a tint', glow: 'glow', mark: 'decals', mark_wear: 'worn decals', mark_settled: 'decals settled in', letter: 'lettering, suggested', letter_full: 'lettering, real', freehand: 'freehand', wear: 'wear', wear_drawn: 'drawn wear', grime: 'grime',
    undercoat: 'an undercoat', protect: 'matt varnish', ground_texture: 'textured ground', ground_colour: 'painted ground', ground_shade: 'shaded ground', ground_light: 'drybrushed ground', ground_plants: 'tufts', ground_wet: 'wet ground', ground_scene: 'a scene', ground_tie: 'ground carried up the feet', rim: 'a painted rim',
    check: 'the final look', highlight_spot: 'a point of light', gloss: 'gloss', value: 'light from above', base_colour: 'base colour', tidy: 'tidied recesses', join: 'joints tidied',
};
export const CRITERIA: Record<string, [string, string]> = {
    tonal_span: ['contrast from dark to light is at least', 'L*'], tones: ['tones told apart are at least', ''], light_from_above: ['light from above is at least', ''], line_share: ['edges with a line are at least', '%'], last_light: ['the last light is above the base by at least', 'L*'],
    base_colour: ['base colour is off the scheme by at most', 'ΔE'], colour_drift: ['colour drifts over the unit by at most', 'ΔE'], hard_step: ['stark layers are at most', '(0 to 1)'], bare_primer: ['bare undercoat is at most', '%'], line_width: ['lines are at most', 'mm wide'],
};
export const STATUSES: [string, string][] = [['required', 'needed'], ['allowed', 'allowed'], ['on_request', 'on request'], ['not_offered', 'not offered'], ['to_agree', 'to agree with the client']];
export const plain = (word: string): string => word.replaceAll('_', ' ');
export const effectWords = (effect: string): string => effect.split('|').map((one) => EFFECTS[one] ?? plain(one)).join(' or ');
