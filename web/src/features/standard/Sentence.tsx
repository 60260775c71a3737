import type { Clause, Extent, Ladder, Scope } from '../../api/types';
import { extentWords } from '../../ui/marks';
import { criterionWords, effectWords, plain, valuesOf, word } from './words';

export function Words({
    label,
    all,
    chosen,
    name = plain,
    onChange,
}: {
    label: string;
    all: string[];
    chosen: string[];
    name?: (w: string) => string;
    onChange: (now: string[]) => void;
}) {
    return (
        <fieldset style={{ border: 0, padding: 0, margin: '8px 0 0', minWidth: 0 }}>
            <legend className="eyebrow" style={{ marginBottom: 4 }}>
                {label}
            </legend>
            <div className="chips">
                {all.map((w) => (
                    <button
                        key={w}
                        type="button"
                        className="chip"
                        aria-pressed={chosen.includes(w)}
                        onClick={() =>
                            onChange(chosen.includes(w) ? chosen.filter((x) => x !== w) : [...chosen, w])
                        }
                    >
                        {name(w)}
                    </button>
                ))}
            </div>
        </fieldset>
    );
}

function scopeWords(scope: Scope): string {
    return [
        ...(scope.role ?? []).map((r) => `${r} models`),
        ...(scope.size ?? []).map((s) => `${s} models`),
        ...(scope.rank ?? []),
        ...(scope.material ?? []).map((m) => word('material', m)),
        ...(scope.facing ?? []).map((f) => `facing ${f}`),
        ...(scope.area ?? []),
        ...(scope.relief ?? []).map((r) => `with ${word('relief', r)}`),
        ...(scope.focus_min ? [`of focus ${scope.focus_min} and up`] : []),
        ...(scope.except ? [`except ${scopeWords(scope.except)}`] : []),
    ]
        .map(plain)
        .join(', ');
}

function ScopeEditor({
    scope,
    onChange,
    model,
}: {
    scope: Scope;
    onChange: (now: Scope | undefined) => void;
    model: boolean;
}) {
    const set = (patch: Partial<Scope>) => {
        const next = Object.fromEntries(
            Object.entries({ ...scope, ...patch }).filter(
                ([, v]) => v !== undefined && !(Array.isArray(v) && v.length === 0),
            ),
        ) as Scope;
        onChange(Object.keys(next).length === 0 ? undefined : next);
    };
    const words = (label: string, key: 'role' | 'size' | 'rank' | 'material' | 'relief' | 'facing') => (
        <Words
            label={label}
            all={valuesOf(key)}
            name={(w) => word(key, w)}
            chosen={scope[key] ?? []}
            onChange={(w) => set({ [key]: w })}
        />
    );
    return (
        <>
            {words('Role', 'role')}
            {words('Size', 'size')}
            {!model && (
                <>
                    {words('Rank', 'rank')}
                    {words('Relief', 'relief')}
                    {words('Material', 'material')}
                    {words('Facing', 'facing')}
                    <label className="field" style={{ marginTop: 8 }}>
                        <span>Focus from</span>
                        <select
                            className="input"
                            value={scope.focus_min ?? ''}
                            onChange={(e) =>
                                set({ focus_min: e.target.value === '' ? undefined : Number(e.target.value) })
                            }
                        >
                            <option value="">any</option>
                            {[1, 2, 3].map((f) => (
                                <option key={f} value={f}>
                                    {f} and up
                                </option>
                            ))}
                        </select>
                    </label>
                    <label className="field" style={{ marginTop: 8 }}>
                        <span>Only these areas, by their keys</span>
                        <input
                            className="input"
                            defaultValue={(scope.area ?? []).join(', ')}
                            onBlur={(e) =>
                                set({
                                    area: e.target.value
                                        .split(',')
                                        .map((w) => w.trim())
                                        .filter(Boolean),
                                })
                            }
                        />
                    </label>
                </>
            )}
            {scope.except ? (
                <fieldset
                    style={{
                        border: '1px solid var(--rule)',
                        borderRadius: 8,
                        margin: '10px 0 0',
                        padding: '0 8px 8px',
                        minWidth: 0,
                    }}
                >
                    <legend className="small strong">Except</legend>
                    <ScopeEditor
                        scope={scope.except}
                        model={model}
                        onChange={(now) => set({ except: now })}
                    />
                    <button type="button" className="btn quiet" onClick={() => set({ except: undefined })}>
                        No exception
                    </button>
                </fieldset>
            ) : (
                <button
                    type="button"
                    className="btn quiet"
                    onClick={() => set({ except: { rank: ['detail'] } })}
                >
                    Add an exception
                </button>
            )}
        </>
    );
}

/** A clause as a sentence whose words can be changed in place. */
export function Sentence({
    clause,
    ladder,
    onChange,
    readOnly,
}: {
    clause: Clause;
    ladder: Ladder;
    onChange: (now: Clause) => void;
    readOnly: boolean;
}) {
    const set = (patch: { [K in keyof Clause]?: Clause[K] | undefined }) =>
        onChange(
            Object.fromEntries(
                Object.entries({ ...clause, ...patch }).filter(([, v]) => v !== undefined),
            ) as Clause,
        );
    const scope: Scope = clause.scope ?? {};
    const where = scopeWords(scope);
    const number = (key: 'min' | 'max' | 'limit' | 'passes', least: number, most: number, step = 1) => (
        <input
            className="slot"
            type="number"
            aria-label={key}
            style={{ width: 64 }}
            min={least}
            max={most}
            step={step}
            disabled={readOnly}
            value={clause[key] ?? (key === 'passes' ? 1 : '')}
            onChange={(e) =>
                set({
                    [key]:
                        e.target.value === ''
                            ? key === 'max' && clause.kind === 'steps'
                                ? null
                                : least
                            : Number(e.target.value),
                })
            }
        />
    );
    const choice = (
        label: string,
        value: string,
        options: [string, string][],
        pick: (v: string) => void,
        wide = false,
    ) => (
        <select
            className={`slot ${wide ? 'wide' : ''}`}
            aria-label={label}
            disabled={readOnly}
            value={value}
            onChange={(e) => pick(e.target.value)}
        >
            {options.map(([v, words]) => (
                <option key={v} value={v}>
                    {words}
                </option>
            ))}
        </select>
    );
    const extent = (
        <>
            {choice(
                'extent',
                clause.extent ?? 'full',
                (['spot', 'prominent', 'full'] as Extent[]).map((e) => [e, extentWords(e)]),
                (v) => set({ extent: v as Extent }),
            )}
            , {number('passes', 1, 9)} {(clause.passes ?? 1) > 1 ? 'passes' : 'pass'}
        </>
    );
    const name = (key: string) => ladder.techniques.find((t) => t.key === key)?.name ?? key;
    const effects = [clause.effect ?? []].flat();
    const setEffects = (now: string[]) => set({ effect: now.length === 1 ? now[0] : now, by: undefined });
    const sorted = valuesOf('effect')
        .map((e): [string, string] => [e, word('effect', e)])
        .sort(([, a], [, b]) => a.localeCompare(b));
    const words: Record<string, React.ReactNode> = {
        effect: (
            <>
                On <b>{where || 'every'}</b> areas:{' '}
                {effects.map((one, i) => (
                    <span key={i}>
                        {i > 0 && ' or '}
                        {choice(
                            i === 0 ? 'effect' : `effect ${i + 1}`,
                            one,
                            sorted,
                            (v) => setEffects(effects.map((e, j) => (j === i ? v : e))),
                            true,
                        )}
                        {effects.length > 1 && !readOnly && (
                            <button
                                type="button"
                                className="btn quiet"
                                aria-label={`not ${effectWords(one)}`}
                                onClick={() => setEffects(effects.filter((_, j) => j !== i))}
                            >
                                ×
                            </button>
                        )}
                    </span>
                ))}{' '}
                {extent}
                {clause.by && (
                    <>
                        , by <b>{clause.by.map(name).join(' or ')}</b>
                    </>
                )}
                . This is <b>needed</b>.
            </>
        ),
        technique: (
            <>
                On <b>{where || 'every'}</b> areas:{' '}
                {choice(
                    'technique',
                    clause.technique ?? `family:${clause.family ?? ''}`,
                    [
                        ...ladder.techniques
                            .filter((t) => !t.retired || t.key === clause.technique)
                            .map((t): [string, string] => [t.key, t.name]),
                        ...valuesOf('family').map((f): [string, string] => [
                            `family:${f}`,
                            `everything of the family ${word('family', f)}`,
                        ]),
                    ],
                    (v) =>
                        set(
                            v.startsWith('family:')
                                ? { technique: undefined, family: v.slice(7) }
                                : { technique: v, family: undefined },
                        ),
                    true,
                )}{' '}
                is{' '}
                {choice(
                    'status',
                    clause.status ?? 'allowed',
                    valuesOf('status').map((s): [string, string] => [s, word('status', s)]),
                    (v) =>
                        set({
                            status: v,
                            price: v === 'on_request' ? clause.price : undefined,
                            ...(v === 'required' ? {} : { extent: undefined, passes: undefined }),
                        }),
                )}
                {clause.status === 'required' && <> {extent}</>}
                {clause.status === 'on_request' && (
                    <>
                        , at{' '}
                        <input
                            className="slot"
                            aria-label="price"
                            style={{ width: 64 }}
                            disabled={readOnly}
                            placeholder="0.00"
                            value={clause.price ?? ''}
                            onChange={(e) => set({ price: e.target.value || undefined })}
                        />{' '}
                        {ladder.currency}
                    </>
                )}
                .
            </>
        ),
        steps: (
            <>
                On <b>{where || 'every'}</b> areas: at least {number('min', 0, 20)} and at most{' '}
                {number('max', 0, 99)} colour steps{clause.max === null && ' (no upper end)'}.
            </>
        ),
        sprayed_colours: (
            <>
                At least {number('min', 0, 9)} and at most {number('max', 0, 9)} sprayed colours.
            </>
        ),
        finish: (
            <>
                On <b>{where || 'every'}</b> areas{' '}
                {choice(
                    'criterion',
                    clause.criterion ?? '',
                    valuesOf('criterion').map((k): [string, string] => [k, criterionWords(k)]),
                    (v) => set({ criterion: v }),
                    true,
                )}{' '}
                {number('limit', 0, 1000, 0.05)} {word('unit', clause.criterion ?? '')}.
            </>
        ),
        minutes: (
            <>
                A model of size <b>{(clause.size ?? []).join(', ')}</b> takes at most{' '}
                {number('max', 0, 100000)} minutes.
            </>
        ),
        skill: <>Whoever paints it has skill {number('min', 1, 5)} or more.</>,
        acceptance: (
            <>
                {(clause.role ?? []).join(', ')} models:{' '}
                {choice(
                    'inspect',
                    clause.inspect ?? 'all',
                    [
                        ['all', 'every one is checked'],
                        ['sample', 'a sample is checked'],
                    ],
                    (v) =>
                        set(
                            v === 'sample'
                                ? {
                                      inspect: v,
                                      level: clause.level ?? 'II',
                                      aql: clause.aql ?? { major: 4, minor: 10 },
                                  }
                                : { inspect: v, level: undefined, aql: undefined },
                        ),
                )}
                {clause.inspect === 'sample' && (
                    <>
                        , level{' '}
                        {choice(
                            'level',
                            clause.level ?? 'II',
                            [
                                ['I', 'I'],
                                ['II', 'II'],
                                ['III', 'III'],
                            ],
                            (v) => set({ level: v }),
                        )}{' '}
                        with AQL{' '}
                        <input
                            className="slot"
                            type="number"
                            step={0.1}
                            style={{ width: 52 }}
                            aria-label="AQL major"
                            disabled={readOnly}
                            value={clause.aql?.['major'] ?? 4}
                            onChange={(e) => set({ aql: { ...clause.aql, major: Number(e.target.value) } })}
                        />{' '}
                        for major and{' '}
                        <input
                            className="slot"
                            type="number"
                            step={0.1}
                            style={{ width: 52 }}
                            aria-label="AQL minor"
                            disabled={readOnly}
                            value={clause.aql?.['minor'] ?? 10}
                            onChange={(e) => set({ aql: { ...clause.aql, minor: Number(e.target.value) } })}
                        />{' '}
                        for minor
                    </>
                )}
                . It passes with at most{' '}
                {(['major', 'minor'] as const).map((s, i) => (
                    <span key={s}>
                        {i > 0 && ' and '}
                        <input
                            className="slot"
                            type="number"
                            min={0}
                            style={{ width: 44 }}
                            aria-label={`${s} faults`}
                            disabled={readOnly}
                            value={clause.limits?.[s] ?? 0}
                            onChange={(e) =>
                                set({
                                    limits: {
                                        critical: 0,
                                        major: 0,
                                        minor: 0,
                                        ...clause.limits,
                                        [s]: Number(e.target.value),
                                    },
                                })
                            }
                        />{' '}
                        {s}
                    </span>
                ))}{' '}
                faults; a client agrees to{' '}
                {choice(
                    'consent',
                    clause.consent ?? 'major',
                    [
                        ['major', 'major'],
                        ['minor', 'minor'],
                        ['none', 'no'],
                    ],
                    (v) => set({ consent: v }),
                )}{' '}
                ones.
            </>
        ),
    };
    const scoped = ['effect', 'technique', 'steps', 'finish', 'sprayed_colours', 'skill', 'minutes'].includes(
        clause.kind,
    );
    const giving = ladder.techniques.filter((t) => !t.retired && effects.some((e) => t.effects.includes(e)));
    return (
        <div>
            <p className="sentence" style={{ margin: '6px 0' }}>
                {words[clause.kind] ?? plain(clause.kind)}
            </p>
            {!readOnly && (
                <>
                    {scoped && (
                        <details>
                            <summary className="more">Change where it holds</summary>
                            <ScopeEditor
                                scope={scope}
                                model={['sprayed_colours', 'skill', 'minutes'].includes(clause.kind)}
                                onChange={(now) => set({ scope: now })}
                            />
                            {clause.kind === 'minutes' && (
                                <Words
                                    label="Sizes it is for"
                                    all={valuesOf('size')}
                                    chosen={clause.size ?? []}
                                    onChange={(w) => {
                                        if (w.length > 0) set({ size: w });
                                    }}
                                />
                            )}
                        </details>
                    )}
                    {clause.kind === 'effect' && (
                        <details>
                            <summary className="more">Change how it may be done</summary>
                            <Words
                                label="Only by"
                                all={giving.map((t) => t.key)}
                                chosen={clause.by ?? []}
                                name={name}
                                onChange={(w) => set({ by: w.length === 0 ? undefined : w })}
                            />
                            {effects.length < 4 && (
                                <button
                                    type="button"
                                    className="btn quiet"
                                    onClick={() => setEffects([...effects, 'highlight_spot'])}
                                >
                                    Or another effect
                                </button>
                            )}
                        </details>
                    )}
                    {clause.kind === 'acceptance' && (
                        <details>
                            <summary className="more">Who, from where, and when</summary>
                            <Words
                                label="Roles"
                                all={valuesOf('role')}
                                chosen={clause.role ?? []}
                                onChange={(w) => set({ role: w })}
                            />
                            <Words
                                label="Views"
                                all={valuesOf('view')}
                                chosen={clause.views ?? []}
                                onChange={(w) => set({ views: w })}
                            />
                            <Words
                                label="Gates"
                                all={valuesOf('gate')}
                                name={(w) => word('gate', w)}
                                chosen={clause.gates ?? []}
                                onChange={(w) => set({ gates: w })}
                            />
                        </details>
                    )}
                    <details>
                        <summary className="more">Its name, plain words and severity</summary>
                        <label className="field" style={{ marginTop: 8 }}>
                            <span>Name of the row</span>
                            <input
                                className="input"
                                value={clause.label ?? ''}
                                onChange={(e) => set({ label: e.target.value || undefined })}
                            />
                        </label>
                        <label className="field" style={{ marginTop: 8 }}>
                            <span>What a client reads</span>
                            <textarea
                                className="input"
                                rows={2}
                                value={clause.client_text ?? ''}
                                onChange={(e) => set({ client_text: e.target.value || undefined })}
                            />
                        </label>
                        <label className="field" style={{ marginTop: 8 }}>
                            <span>A fault against it is</span>
                            <select
                                className="input"
                                value={clause.severity ?? ''}
                                onChange={(e) => set({ severity: e.target.value || undefined })}
                            >
                                <option value="">as the fault table says</option>
                                {['critical', 'major', 'minor'].map((s) => (
                                    <option key={s}>{s}</option>
                                ))}
                            </select>
                        </label>
                    </details>
                </>
            )}
        </div>
    );
}

/** What a new row of each kind begins as. */
export const KINDS: { kind: Clause['kind']; words: string; starts: Omit<Clause, 'id' | 'kind'> }[] = [
    {
        kind: 'effect',
        words: 'A result on some areas, by whatever technique',
        starts: {
            effect: 'highlight_edge',
            extent: 'full',
            passes: 1,
            scope: { rank: ['main', 'secondary'] },
        },
    },
    {
        kind: 'technique',
        words: 'A technique: needed, allowed, on request, not offered',
        starts: { technique: 'glaze', status: 'allowed' },
    },
    { kind: 'steps', words: 'How many colour steps', starts: { min: 1, max: 3, scope: { rank: ['main'] } } },
    { kind: 'sprayed_colours', words: 'How many sprayed colours', starts: { min: 1, max: 2 } },
    {
        kind: 'finish',
        words: 'A figure that can be measured',
        starts: { criterion: 'tonal_span', limit: 18, scope: { rank: ['main'] } },
    },
    {
        kind: 'acceptance',
        words: 'How models are accepted',
        starts: {
            role: ['regular'],
            inspect: 'all',
            limits: { critical: 0, major: 0, minor: 3 },
            views: ['front', 'back'],
            gates: ['final'],
            consent: 'major',
        },
    },
    { kind: 'minutes', words: 'A ceiling of minutes', starts: { size: ['infantry'], max: 60 } },
    { kind: 'skill', words: 'Who may paint it', starts: { min: 2 } },
];
