import { useQuery } from '@tanstack/react-query';
import { App } from 'antd';
import { useMemo, useState } from 'react';
import { api } from '../../api/client';
import type { Technique, TechniqueUse } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Caution, Empty, Loading } from '../../ui/states';
import { useDraft } from './draft';
import { NoLadder } from './NoLadder';
import { StandardTabs } from './StandardTabs';
import { Words } from './Sentence';
import { effectWords, plain, valuesOf, word } from './words';

interface Catalogue {
    version: { number: number; status: string; revision: number };
    data: { technique: Technique; used_by: TechniqueUse[] }[];
}
const FIGURES: [keyof Technique, string, string][] = [
    ['handling', 'Taking it up, for each pass', 'min'],
    ['hand', 'By hand on 10 cm²', 'min'],
    ['per_piece', 'For each counted thing', 'min'],
    ['setup', 'Setting up, once a batch', 'min'],
    ['dry', 'Drying before anything goes over', 'min'],
    ['coat_dry', 'Drying between coats', 'min'],
    ['coats', 'Coats in a pass', ''],
    ['max_passes', 'Passes at most', ''],
    ['credit', 'Counts as colour steps', ''],
    ['grade', 'How clean, 1 rough to 5 show', ''],
    ['skill', 'Skill, 1 to 5', ''],
    ['mess', 'Strays onto neighbours, 0 to 3', ''],
];
const NEW: Technique = {
    key: '',
    name: '',
    family: 'highlight',
    effects: { highlight_raised: 'full' },
    credit: 1,
    whole: false,
    suits: { hard_edges: 2, soft_folds: 2 },
    grade: 3,
    coats: 1,
    max_passes: 1,
    handling: 0.2,
    hand: 1,
    per_piece: 0,
    setup: 1,
    dry: 5,
    coat_dry: 0,
    skill: 2,
    mess: 0,
    big: false,
    tidied: false,
    only_on: [],
    never_on: [],
    excludes: [],
    needs: [],
    notes: { purpose: '', how: '', consistency: '', tools: '', good: '', faults: [], caution: null },
};

export default function TechniquesPage() {
    const person = usePerson();
    const { message } = App.useApp();
    const draft = useDraft((text) => void message.info(text));
    const query = useQuery({
        queryKey: ['techniques'],
        queryFn: () => api.get<Catalogue>('standard/techniques'),
    });
    const [find, setFind] = useState('');
    const [family, setFamily] = useState('');
    const [edit, setEdit] = useState<{ before: Technique | null; now: Technique } | null>(null);
    const shown = useMemo(
        () =>
            (query.data?.data ?? []).filter(
                ({ technique: t }) =>
                    (family === '' || t.family === family) &&
                    (find === '' ||
                        `${t.name} ${t.notes.purpose} ${Object.keys(t.effects).map(effectWords).join(' ')}`
                            .toLowerCase()
                            .includes(find.toLowerCase())),
            ),
        [query.data, find, family],
    );
    if (query.isPending) return <Loading what="the catalogue" />;
    if (query.isError) return <NoLadder error={query.error} again={() => void query.refetch()} />;
    const writes = query.data.version.status === 'draft' && can(person, 'standard.edit');
    const put = async (before: Technique | null, after: Technique) => {
        if (
            await draft.make([
                { what: 'technique', tier: null, before: before && { ...before }, after: { ...after } },
            ])
        )
            setEdit(null);
    };
    return (
        <>
            <Top>
                <h1>Techniques</h1>
                <span className="pill">
                    v{query.data.version.number}, {query.data.version.status}
                </span>
                <span className="room" />
                {writes && (
                    <>
                        <button
                            className="btn"
                            disabled={draft.busy || !draft.canUndo()}
                            onClick={() => void draft.undo()}
                        >
                            Undo
                        </button>
                        <button className="btn main" onClick={() => setEdit({ before: null, now: NEW })}>
                            Add a technique
                        </button>
                    </>
                )}
            </Top>
            <StandardTabs />
            <div
                className="page"
                style={{
                    display: 'grid',
                    gridTemplateColumns: edit ? 'minmax(0, 1fr) 330px' : 'minmax(0, 1fr)',
                    gap: 14,
                    alignItems: 'start',
                }}
            >
                <div>
                    <div
                        style={{
                            display: 'flex',
                            gap: 8,
                            flexWrap: 'wrap',
                            alignItems: 'center',
                            marginBottom: 12,
                        }}
                    >
                        <input
                            className="input"
                            style={{ width: 220 }}
                            type="search"
                            placeholder="Find a technique"
                            aria-label="Find a technique"
                            value={find}
                            onChange={(e) => setFind(e.target.value)}
                        />
                        <div className="chips">
                            {['', ...valuesOf('family')].map((f) => (
                                <button
                                    key={f}
                                    className="chip"
                                    aria-pressed={family === f}
                                    onClick={() => setFamily(f)}
                                >
                                    {f === '' ? 'all' : word('family', f)}
                                </button>
                            ))}
                        </div>
                        {!writes && can(person, 'standard.edit') && (
                            <span className="small soft">
                                Open a draft on the ladder to change the catalogue.
                            </span>
                        )}
                    </div>
                    {shown.length === 0 && (
                        <Empty title="No technique like that">
                            <p>Look for another word, or add it to the studio's catalogue.</p>
                        </Empty>
                    )}
                    <div className="cards">
                        {shown.map(({ technique: t, used_by }) => (
                            <article
                                key={t.key}
                                className="card pad"
                                style={t.retired ? { opacity: 0.72 } : undefined}
                            >
                                <div style={{ display: 'flex', gap: 8, alignItems: 'baseline' }}>
                                    <h2 style={{ flex: 1 }}>{t.name}</h2>
                                    <span className="eyebrow">
                                        {word('family', t.family)}
                                        {t.retired ? ' · retired' : ''}
                                    </span>
                                </div>
                                <p className="small" style={{ margin: '4px 0' }}>
                                    {t.notes.purpose}
                                </p>
                                <p className="small soft num" style={{ margin: '4px 0' }}>
                                    Gives{' '}
                                    {Object.entries(t.effects)
                                        .map(([e, x]) => `${effectWords(e)}${x === 'full' ? '' : ` (${x})`}`)
                                        .join(', ')}{' '}
                                    · {t.whole ? 'on the whole model' : `${t.hand} min on 10 cm²`} · dries{' '}
                                    {t.dry} min{t.grade !== null ? ` · grade ${t.grade}` : ''}
                                </p>
                                <details>
                                    <summary className="more">How it is done</summary>
                                    <p className="small" style={{ whiteSpace: 'pre-line' }}>
                                        {t.notes.how}
                                    </p>
                                    {t.notes.consistency !== '' && (
                                        <p className="small">
                                            <b>Paint</b> {t.notes.consistency}
                                        </p>
                                    )}
                                    {t.notes.tools !== '' && (
                                        <p className="small">
                                            <b>Tools</b> {t.notes.tools}
                                        </p>
                                    )}
                                    {t.notes.good !== '' && (
                                        <p className="small">
                                            <b>Good</b> {t.notes.good}
                                        </p>
                                    )}
                                    {t.notes.faults.length > 0 && (
                                        <p className="small">
                                            <b>Usual faults</b> {t.notes.faults.map(plain).join(', ')}
                                        </p>
                                    )}
                                </details>
                                <Caution text={t.notes.caution} />
                                <div className="small" style={{ marginTop: 6 }}>
                                    {used_by.length === 0 ? (
                                        <span className="soft">No tier names it.</span>
                                    ) : (
                                        used_by.map((u) => (
                                            <span
                                                key={u.tier}
                                                className="pill"
                                                style={{ margin: '0 4px 4px 0' }}
                                            >
                                                {u.name}: {word('status', u.status)}
                                                {u.everywhere ? '' : ', in places'}
                                            </span>
                                        ))
                                    )}
                                </div>
                                {writes && (
                                    <div style={{ marginTop: 6 }}>
                                        <button
                                            className="btn quiet"
                                            onClick={() => setEdit({ before: t, now: t })}
                                        >
                                            Change
                                        </button>
                                        <button
                                            className="btn quiet"
                                            disabled={draft.busy}
                                            onClick={() => {
                                                const { retired: _, ...rest } = t;
                                                void put(t, t.retired ? rest : { ...rest, retired: true });
                                            }}
                                        >
                                            {t.retired ? 'Take up again' : 'Retire'}
                                        </button>
                                    </div>
                                )}
                            </article>
                        ))}
                    </div>
                </div>
                {edit && (
                    <Form
                        edit={edit}
                        busy={draft.busy}
                        clash={draft.clash !== null}
                        set={(now) => setEdit({ ...edit, now })}
                        put={(after) => void put(edit.before, after)}
                        close={() => {
                            draft.forget();
                            setEdit(null);
                        }}
                    />
                )}
            </div>
        </>
    );
}

function Form({
    edit,
    busy,
    clash,
    set,
    put,
    close,
}: {
    edit: { before: Technique | null; now: Technique };
    busy: boolean;
    clash: boolean;
    set: (t: Technique) => void;
    put: (t: Technique) => void;
    close: () => void;
}) {
    const t = edit.now;
    const key =
        edit.before?.key ??
        t.name
            .toLowerCase()
            .replace(/[^a-z0-9]+/g, '_')
            .replace(/^_+|_+$/g, '');
    const pick = (words: string[], all: Record<string, unknown>, start: string | number) =>
        Object.fromEntries(words.map((w) => [w, all[w] ?? start]));
    return (
        <form
            className="card pad"
            style={{
                display: 'grid',
                gap: 8,
                position: 'sticky',
                top: 70,
                maxHeight: 'calc(100vh - 90px)',
                overflow: 'auto',
            }}
            aria-label="The technique"
            onSubmit={(e) => {
                e.preventDefault();
                put({ ...t, key });
            }}
        >
            <div className="eyebrow">
                {edit.before ? `Change ${edit.before.name}` : 'A technique of your own'}
            </div>
            {clash && (
                <p className="says warn small" role="alert">
                    Somebody else changed this technique first. Close this and look at theirs.
                </p>
            )}
            <label className="field">
                <span>Name</span>
                <input
                    className="input"
                    required
                    value={t.name}
                    onChange={(e) => set({ ...t, name: e.target.value })}
                />
            </label>
            <label className="field">
                <span>Family</span>
                <select
                    className="input"
                    value={t.family}
                    onChange={(e) => set({ ...t, family: e.target.value })}
                >
                    {valuesOf('family').map((f) => (
                        <option key={f} value={f}>
                            {word('family', f)}
                        </option>
                    ))}
                </select>
            </label>
            <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8 }}>
                {FIGURES.map(([k, label, unit]) => (
                    <label key={k} className="field">
                        <span>
                            {label}
                            {unit ? `, ${unit}` : ''}
                        </span>
                        <input
                            className="input num"
                            type="number"
                            step={unit ? 0.05 : 1}
                            min={0}
                            value={typeof t[k] === 'number' ? t[k] : ''}
                            onChange={(e) =>
                                set({
                                    ...t,
                                    [k]:
                                        e.target.value === '' && k === 'grade'
                                            ? null
                                            : Number(e.target.value),
                                })
                            }
                        />
                    </label>
                ))}
            </div>
            <details>
                <summary className="more">
                    What it gives: {Object.keys(t.effects).map(effectWords).join(', ')}
                </summary>
                <Words
                    label="Effects"
                    all={valuesOf('effect')}
                    chosen={Object.keys(t.effects)}
                    name={effectWords}
                    onChange={(w) =>
                        set({ ...t, effects: pick(w, t.effects, 'full') as Technique['effects'] })
                    }
                />
                {Object.entries(t.effects).map(([e, x]) => (
                    <label key={e} className="field" style={{ marginTop: 6 }}>
                        <span>{effectWords(e)}, at most</span>
                        <select
                            className="input"
                            value={x}
                            onChange={(v) => set({ ...t, effects: { ...t.effects, [e]: v.target.value } })}
                        >
                            {['spot', 'prominent', 'full'].map((w) => (
                                <option key={w}>{w}</option>
                            ))}
                        </select>
                    </label>
                ))}
            </details>
            {!t.whole && (
                <details>
                    <summary className="more">Where it works</summary>
                    <Words
                        label="Suits"
                        all={valuesOf('relief')}
                        chosen={Object.keys(t.suits)}
                        onChange={(w) => set({ ...t, suits: pick(w, t.suits, 2) as Technique['suits'] })}
                    />
                    {Object.entries(t.suits).map(([r, n]) => (
                        <label key={r} className="field" style={{ marginTop: 6 }}>
                            <span>{plain(r)}</span>
                            <select
                                className="input"
                                value={n}
                                onChange={(e) =>
                                    set({ ...t, suits: { ...t.suits, [r]: Number(e.target.value) } })
                                }
                            >
                                <option value={3}>made for it</option>
                                <option value={2}>fine</option>
                                <option value={1}>possible</option>
                            </select>
                        </label>
                    ))}
                    <Words
                        label="Only on"
                        all={valuesOf('material')}
                        chosen={t.only_on}
                        onChange={(w) => set({ ...t, only_on: w })}
                    />
                    <Words
                        label="Never on"
                        all={valuesOf('material')}
                        chosen={t.never_on}
                        onChange={(w) => set({ ...t, never_on: w })}
                    />
                </details>
            )}
            <details>
                <summary className="more">Notes for the painter</summary>
                {(['purpose', 'how', 'consistency', 'tools', 'good'] as const).map((n) => (
                    <label key={n} className="field" style={{ marginTop: 6 }}>
                        <span>
                            {
                                {
                                    purpose: 'What it is for',
                                    how: 'How it is done',
                                    consistency: 'Paint',
                                    tools: 'Tools',
                                    good: 'What good looks like',
                                }[n]
                            }
                        </span>
                        <textarea
                            className="input"
                            rows={2}
                            value={t.notes[n]}
                            onChange={(e) => set({ ...t, notes: { ...t.notes, [n]: e.target.value } })}
                        />
                    </label>
                ))}
                <label className="field" style={{ marginTop: 6 }}>
                    <span>Caution</span>
                    <textarea
                        className="input"
                        rows={2}
                        value={t.notes.caution ?? ''}
                        onChange={(e) =>
                            set({
                                ...t,
                                notes: { ...t.notes, caution: e.target.value === '' ? null : e.target.value },
                            })
                        }
                    />
                </label>
            </details>
            <div style={{ display: 'flex', gap: 8 }}>
                <button className="btn main" disabled={busy || key === ''}>
                    {edit.before ? 'Keep' : 'Add it'}
                </button>
                <button type="button" className="btn" onClick={close}>
                    Leave as it was
                </button>
            </div>
        </form>
    );
}
