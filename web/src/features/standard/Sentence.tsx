import type { Clause, Extent, Ladder, Scope } from '../../api/types';
import { extentWords } from '../../ui/marks';

const RANKS = ['main', 'secondary', 'detail', 'ground'];
const RELIEFS = ['hard_edges', 'soft_folds', 'deep_recesses', 'fine_texture', 'open_panel', 'organic', 'rivets', 'tiny_detail', 'joints', 'ground', 'rim'];
const MATERIALS = ['plate', 'cloth', 'leather', 'skin', 'hair_fur', 'bone_horn', 'scale_chitin', 'wood', 'stone', 'steel', 'gold', 'copper', 'gem_lens', 'eye', 'teeth_claw', 'glow', 'parchment', 'undersuit', 'ground', 'rim'];
const EFFECTS: Record<string, string> = {
    shade: 'shade in the recesses', highlight_edge: 'edge highlights', highlight_raised: 'light on raised forms', blend: 'blends', separate: 'dark lines between parts, neutral', separate_tinted: 'dark lines between parts, tinted to the surface',
    pick_out: 'picking out', reflect: 'reflections', texture: 'texture', tint: 'a tint', glow: 'glow', mark: 'decals', letter: 'lettering, suggested', letter_full: 'lettering, real', freehand: 'freehand', wear: 'wear', wear_drawn: 'drawn wear', grime: 'grime',
    undercoat: 'an undercoat', protect: 'matt varnish', ground_texture: 'textured ground', ground_colour: 'painted ground', ground_light: 'drybrushed ground', ground_plants: 'tufts', ground_wet: 'wet ground', ground_scene: 'a scene', rim: 'a painted rim', check: 'the final look', highlight_spot: 'a point of light', gloss: 'gloss', value: 'light from above',
};
export const plain = (word: string): string => word.replaceAll('_', ' ');
export const effectWords = (effect: string): string => effect.split('|').map((one) => EFFECTS[one] ?? plain(one)).join(' or ');

function Words({ label, all, chosen, onChange }: { label: string; all: string[]; chosen: string[]; onChange: (now: string[]) => void }) {
    return (
        <fieldset style={{ border: 0, padding: 0, margin: '8px 0 0' }}>
            <legend className="eyebrow" style={{ marginBottom: 4 }}>{label}</legend>
            <div className="chips">
                {all.map((w) => (
                    <button key={w} type="button" className="chip" aria-pressed={chosen.includes(w)} onClick={() => onChange(chosen.includes(w) ? chosen.filter((x) => x !== w) : [...chosen, w])}>{plain(w)}</button>
                ))}
            </div>
        </fieldset>
    );
}

/** A clause as a sentence whose words can be changed in place. Everything it does not show stays as it is. */
export function Sentence({ clause, ladder, onChange, readOnly }: { clause: Clause; ladder: Ladder; onChange: (now: Clause) => void; readOnly: boolean }) {
    const set = (patch: Partial<Clause>) => onChange({ ...clause, ...patch });
    const scope: Scope = clause.scope ?? {};
    const setScope = (key: 'rank' | 'relief' | 'material', words: string[]) => {
        const next: Scope = { ...scope, [key]: words };
        if (words.length === 0) delete next[key];
        set({ scope: next });
    };
    const where = [
        ...(scope.role ?? []).map((r) => `${r} models`), ...(scope.size ?? []).map((s) => `${s} models`), ...(scope.rank ?? []), ...(scope.material ?? []), ...(scope.facing ?? []).map((f) => `facing ${f}`), ...(scope.area ?? []),
        ...(scope.relief ?? []).map((r) => `with ${r}`), ...(scope.focus_min ? [`of focus ${scope.focus_min} and up`] : []), ...(scope.except ? ['with exceptions'] : []),
    ].map(plain).join(', ');
    const number = (key: 'min' | 'max' | 'limit' | 'passes', least: number, most: number, step = 1) => (
        <input className="slot" type="number" aria-label={key} style={{ width: 64 }} min={least} max={most} step={step} disabled={readOnly} value={clause[key] ?? (key === 'passes' ? 1 : '')}
            onChange={(e) => set({ [key]: e.target.value === '' ? (key === 'max' && clause.kind === 'steps' ? null : least) : Number(e.target.value) })} />
    );
    const choice = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <select className={`slot ${label === 'effect' ? 'wide' : ''}`} aria-label={label} disabled={readOnly} value={value} onChange={(e) => pick(e.target.value)}>
            {options.map(([v, words]) => <option key={v} value={v}>{words}</option>)}
        </select>
    );
    const extent = (
        <>{choice('extent', clause.extent ?? 'full', (['spot', 'prominent', 'full'] as Extent[]).map((e) => [e, extentWords(e)]), (v) => set({ extent: v as Extent }))}, {number('passes', 1, 9)} {(clause.passes ?? 1) > 1 ? 'passes' : 'pass'}</>
    );
    const name = (key: string) => ladder.techniques.find((t) => t.key === key)?.name ?? key;
    const words = {
        effect: (
            <>On <b>{where || 'every'}</b> areas: {choice('effect', typeof clause.effect === 'string' ? clause.effect : '', [
                ...(typeof clause.effect === 'string' ? [] : [['', (clause.effect ?? []).map(effectWords).join(' or ')] as [string, string]]), ...Object.entries(EFFECTS)], (v) => { if (v) set({ effect: v }); })}, {extent}
                {clause.by && <>, by <b>{clause.by.map(name).join(' or ')}</b></>}. This is <b>needed</b>.</>
        ),
        technique: (
            <>On <b>{where || 'every'}</b> areas: <b>{clause.technique ? name(clause.technique) : `everything of the family ${clause.family ?? ''}`}</b> is {choice('status', clause.status ?? 'allowed', [['required', 'needed'], ['allowed', 'allowed'], ['on_request', 'on request'], ['not_offered', 'not offered']], (v) => set({ status: v }))}
                {clause.status === 'required' && <>, {extent}</>}.</>
        ),
        steps: <>On <b>{where || 'every'}</b> areas: at least {number('min', 0, 20)} and at most {number('max', 0, 99)} colour steps{clause.max === null && ' (no upper end)'}.</>,
        sprayed_colours: <>At least {number('min', 0, 9)} and at most {number('max', 0, 9)} sprayed colours.</>,
        finish: <>On <b>{where || 'every'}</b> areas the limit for {plain(clause.criterion ?? '')} is {number('limit', 0, 1000, 0.05)}.</>,
        minutes: <>A piece of size {(clause.size ?? []).join(', ')} takes at most {number('max', 0, 100000)} minutes.</>,
        skill: <>Whoever paints it has skill {number('min', 1, 5)} or more.</>,
    } as Record<string, React.ReactNode>;
    return (
        <div>
            <p className="sentence" style={{ margin: '6px 0' }}>{words[clause.kind] ?? <>How pieces are accepted: <b>{plain(clause.kind)}</b>.</>}</p>
            {!readOnly && ['effect', 'technique', 'steps', 'finish'].includes(clause.kind) && (
                <details>
                    <summary className="small" style={{ cursor: 'pointer', color: 'var(--accent)' }}>Change where it holds</summary>
                    <Words label="Rank" all={RANKS} chosen={scope.rank ?? []} onChange={(w) => setScope('rank', w)} />
                    <Words label="Relief" all={RELIEFS} chosen={scope.relief ?? []} onChange={(w) => setScope('relief', w)} />
                    <Words label="Material" all={MATERIALS} chosen={scope.material ?? []} onChange={(w) => setScope('material', w)} />
                </details>
            )}
        </div>
    );
}
