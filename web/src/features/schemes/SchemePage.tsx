import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { PaintName, Scheme, SchemeTried, Slot } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Figure } from '../../ui/Figure';
import { minutes, Swatch } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { OUTCOME } from './SchemesPage';

interface Colours {
    base: string;
    shades: string[];
    lights: string[];
    tint?: string;
    line?: string;
    patch?: string;
}
interface Document {
    name: string;
    slots: Record<string, Colours>;
    areas: Record<string, Colours>;
}

const KEPT = 'ordotype.scheme.';

export default function SchemePage() {
    const { slug } = useParams();
    const [search] = useSearchParams();
    const order = search.get('order');
    const query = useQuery({
        queryKey: ['scheme', slug, order],
        queryFn: () => api.get<Scheme>(`schemes/${slug ?? ''}${order ? `?order=${order}` : ''}`),
    });
    if (query.isPending) return <Loading what="the scheme" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Editor key={`${query.data.slug} ${query.data.number}`} scheme={query.data} order={order} />;
}

function Editor({ scheme, order }: { scheme: Scheme; order: string | null }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const [search, setSearch] = useSearchParams();
    const editable = can(usePerson(), 'schemes.edit');
    const was = scheme.document as unknown as Document;
    const place = `${KEPT}${scheme.slug}.${scheme.number}`;
    const [document, setDocument] = useState<Document>(() => {
        const kept = localStorage.getItem(place);
        return kept ? (JSON.parse(kept) as Document) : was;
    });
    const [lit, setLit] = useState<string | null>(null);
    const [view, setView] = useState<'front' | 'back'>('front');
    const [judging, setJudging] = useState(false);
    const changed = JSON.stringify(document) !== JSON.stringify(was);
    useEffect(() => {
        if (changed) localStorage.setItem(place, JSON.stringify(document));
        else localStorage.removeItem(place);
    }, [document, changed, place]);
    const tried = useQuery({
        queryKey: ['scheme-try', scheme.slug, order, document],
        queryFn: () =>
            api.post<SchemeTried>('schemes/try', { document, order: order === null ? null : Number(order) }),
        enabled: changed && editable,
        placeholderData: (b) => b,
    });
    const shown: SchemeTried = changed && tried.data ? tried.data : scheme;
    const save = useMutation({
        mutationFn: () =>
            api.put<Scheme>(`schemes/${scheme.slug}`, {
                number: scheme.number,
                document,
                order: order === null ? null : Number(order),
            }),
        onSuccess: (next) => {
            localStorage.removeItem(place);
            queries.setQueryData(['scheme', scheme.slug, order], next);
            void queries.invalidateQueries({ queryKey: ['plan'] });
            void queries.invalidateQueries({ queryKey: ['schemes'] });
            void message.success(
                next.number === scheme.number
                    ? 'Kept.'
                    : `Kept as version ${next.number}: what is on the bench stays with version ${scheme.number}.`,
            );
        },
        onError: (e) => void message.error(saysWhy(e), 6),
    });
    const set = (slot: string, colours: Colours | null) => {
        const { [slot]: _, ...rest } = document.slots;
        setDocument({
            ...document,
            slots:
                colours === null
                    ? rest
                    : slot in document.slots
                      ? { ...document.slots, [slot]: colours }
                      : { ...rest, [slot]: colours },
        });
    };
    const version = scheme.versions.find((v) => v.number === scheme.number);
    return (
        <>
            <Top>
                <Link to="/schemes" className="soft">
                    Schemes
                </Link>
                <h1>{scheme.name}</h1>
                <span className="pill">v{scheme.number}</span>
                <span className="pill">{OUTCOME[version?.outcome ?? 'untried']}</span>
                <select
                    className="input"
                    style={{ width: 'auto' }}
                    aria-label="Shown on the figures of"
                    value={order ?? ''}
                    onChange={(e) => {
                        const next = new URLSearchParams(search);
                        if (e.target.value) next.set('order', e.target.value);
                        else next.delete('order');
                        setSearch(next);
                    }}
                >
                    <option value="">on every figure</option>
                    {scheme.orders.map((o) => (
                        <option key={o.id} value={o.id}>
                            on the figures of {o.number}, {o.title}
                        </option>
                    ))}
                </select>
                <span className="room" />
                {editable && version?.outcome === 'untried' && (
                    <button className="btn" onClick={() => setJudging(true)}>
                        Test model
                    </button>
                )}
                {editable && changed && (
                    <button className="btn" onClick={() => setDocument(was)}>
                        Leave as it was
                    </button>
                )}
                {editable && (
                    <button
                        className="btn main"
                        disabled={!changed || save.isPending || tried.isError}
                        onClick={() => save.mutate()}
                    >
                        Keep
                    </button>
                )}
            </Top>
            {tried.isError && (
                <p className="says bad" style={{ margin: '10px 20px 0' }} role="alert">
                    {saysWhy(tried.error)}
                </p>
            )}
            <div className="scheme-page">
                <section className="card" style={{ overflow: 'hidden' }}>
                    <table className="plain slots">
                        <thead>
                            <tr>
                                <th>Slot</th>
                                <th>Shades</th>
                                <th>Base</th>
                                <th>Lights, darkest first</th>
                                <th>Tint, line</th>
                            </tr>
                        </thead>
                        <tbody>
                            {shown.slots.map((s) => (
                                <Row
                                    key={s.slot}
                                    slot={s}
                                    colours={document.slots[s.slot] ?? null}
                                    paints={shown.paints}
                                    editable={editable}
                                    set={(c) => set(s.slot, c)}
                                    enter={() => setLit(s.slot)}
                                    leave={() => setLit(null)}
                                />
                            ))}
                        </tbody>
                    </table>
                    {editable && (
                        <NewSlot
                            add={(slot) =>
                                set(slot, {
                                    base: shown.paints[0]?.name ?? '#808080',
                                    shades: [],
                                    lights: [],
                                })
                            }
                        />
                    )}
                </section>
                <aside style={{ display: 'grid', gap: 14 }}>
                    <section className="card pad">
                        <div className="chips" style={{ marginBottom: 8 }}>
                            {(['front', 'back'] as const).map((v) => (
                                <button
                                    key={v}
                                    className="chip"
                                    aria-pressed={view === v}
                                    onClick={() => setView(v)}
                                >
                                    {v}
                                </button>
                            ))}
                        </div>
                        <div className="scheme-figures">
                            {shown.figures.map((f) => (
                                <figure key={f.name}>
                                    <Figure
                                        areas={f.areas}
                                        view={view}
                                        frame={f.frame_mm}
                                        lit={
                                            lit === null
                                                ? null
                                                : Object.entries(f.slots)
                                                      .filter(([, s]) => s === lit)
                                                      .map(([a]) => a)
                                        }
                                    />
                                    <figcaption className="small soft">{f.name}</figcaption>
                                </figure>
                            ))}
                        </div>
                    </section>
                    <section className="card pad">
                        <div className="eyebrow">Versions</div>
                        {scheme.versions.map((v) => (
                            <div
                                key={v.number}
                                className={`says small ${v.outcome === 'accepted' ? 'good' : v.outcome === 'rejected' ? 'bad' : ''}`}
                                style={{ marginTop: 8 }}
                            >
                                <b>v{v.number}</b>, {OUTCOME[v.outcome]}
                                {v.outcome_by ? ` by ${v.outcome_by}` : ''}
                                {v.outcome_note ? `: ${v.outcome_note}` : ''}
                                {v.repaint_minutes !== null && v.repaint_minutes > 0 && (
                                    <> Painting it again takes {minutes(v.repaint_minutes)}.</>
                                )}
                                {v.note && <div className="soft">{v.note}</div>}
                            </div>
                        ))}
                    </section>
                </aside>
            </div>
            <Modal
                open={judging}
                title={`The test model of version ${scheme.number}`}
                footer={null}
                onCancel={() => setJudging(false)}
                destroyOnHidden
            >
                <Judge
                    scheme={scheme}
                    done={(next) => {
                        setJudging(false);
                        queries.setQueryData(['scheme', scheme.slug, order], next);
                        void queries.invalidateQueries();
                    }}
                />
            </Modal>
        </>
    );
}

const signed = (l: number | null | undefined) =>
    l === null || l === undefined ? '' : `${l > 0 ? '+' : '−'}${Math.abs(Math.round(l))}`;

/** The areas of a slot, without the figures they are on. */
function where(slot: Slot): string {
    const areas = [...new Set(slot.places.map((p) => p.slice(p.indexOf(': ') + 2).toLowerCase()))];
    return areas.length === 0
        ? 'on none of these figures'
        : `${areas.slice(0, 4).join(', ')}${areas.length > 4 ? ` and ${areas.length - 4} more` : ''}`;
}

/** One slot: its ladder from shade to light, with the steps in lightness where they matter. */
function Row({
    slot,
    colours,
    paints,
    editable,
    set,
    enter,
    leave,
}: {
    slot: Slot;
    colours: Colours | null;
    paints: PaintName[];
    editable: boolean;
    set: (c: Colours | null) => void;
    enter: () => void;
    leave: () => void;
}) {
    const hex = (name: string) =>
        name.startsWith('#') ? name : (paints.find((p) => p.name === name)?.hex ?? null);
    const pick = (value: string, change: (v: string) => void, empty?: string) => (
        <label className="paint-pick">
            <Swatch hex={value ? hex(value) : null} name={value || 'none'} />
            {editable ? (
                <select value={value} aria-label={empty ?? 'paint'} onChange={(e) => change(e.target.value)}>
                    {empty !== undefined && <option value="">{empty}</option>}
                    {value !== '' && !paints.some((p) => p.name === value) && <option>{value}</option>}
                    {paints.map((p) => (
                        <option key={p.name}>{p.name}</option>
                    ))}
                </select>
            ) : (
                <span className="small">{value || '–'}</span>
            )}
        </label>
    );
    if (colours === null)
        return (
            <tr onMouseEnter={enter} onMouseLeave={leave}>
                <td className="strong">
                    {slot.slot}
                    <div className="small soft">{where(slot)}</div>
                </td>
                <td colSpan={4}>
                    <span className="says warn small">{slot.problems[0]}</span>{' '}
                    {editable && (
                        <button
                            className="btn quiet"
                            onClick={() =>
                                set({ base: paints[0]?.name ?? '#808080', shades: [], lights: [] })
                            }
                        >
                            Give it colours
                        </button>
                    )}
                </td>
            </tr>
        );
    const list = (key: 'shades' | 'lights', from: number) => (
        <div style={{ display: 'grid', gap: 2 }}>
            {colours[key].map((p, i) => (
                <span key={i} style={{ display: 'flex', gap: 4, alignItems: 'center' }}>
                    {pick(
                        p,
                        (v) =>
                            set({
                                ...colours,
                                [key]:
                                    v === ''
                                        ? colours[key].filter((_, k) => k !== i)
                                        : colours[key].map((x, k) => (k === i ? v : x)),
                            }),
                        'take it out',
                    )}
                    <span className="small soft num" title="step in lightness, L*">
                        {signed(slot.steps[from + i])}
                    </span>
                </span>
            ))}
            {editable && (
                <button
                    className="btn quiet"
                    style={{ padding: 0, minHeight: 20, justifySelf: 'start' }}
                    onClick={() =>
                        set({ ...colours, [key]: [...colours[key], paints[0]?.name ?? '#808080'] })
                    }
                >
                    + {key === 'shades' ? 'shade' : 'light'}
                </button>
            )}
        </div>
    );
    return (
        <tr onMouseEnter={enter} onMouseLeave={leave}>
            <td className="strong">
                {slot.slot}
                <div className="small soft">{where(slot)}</div>
                {slot.problems.map((p) => (
                    <div key={p} className="says warn small" style={{ marginTop: 4 }}>
                        {p}
                    </div>
                ))}
            </td>
            <td>{list('shades', 0)}</td>
            <td>{pick(colours.base, (v) => set({ ...colours, base: v }))}</td>
            <td>{list('lights', colours.shades.length)}</td>
            <td>
                <div style={{ display: 'grid', gap: 2 }}>
                    {(['tint', 'line'] as const).map((k) => (
                        <span key={k}>
                            {pick(
                                colours[k] ?? '',
                                (v) => {
                                    const { [k]: _, ...rest } = colours;
                                    set(v === '' ? rest : { ...rest, [k]: v });
                                },
                                `no ${k}`,
                            )}
                        </span>
                    ))}
                </div>
            </td>
        </tr>
    );
}

function NewSlot({ add }: { add: (slot: string) => void }) {
    const [name, setName] = useState('');
    return (
        <form
            style={{ display: 'flex', gap: 8, padding: 12 }}
            onSubmit={(e) => {
                e.preventDefault();
                add(name.trim());
                setName('');
            }}
        >
            <input
                className="input"
                style={{ maxWidth: 220 }}
                placeholder="another slot"
                aria-label="Name of another slot"
                value={name}
                onChange={(e) => setName(e.target.value)}
            />
            <button className="btn" disabled={name.trim() === ''}>
                Add the slot
            </button>
        </form>
    );
}

/** One model is finished first and settles the scheme. */
function Judge({ scheme, done }: { scheme: Scheme; done: (next: Scheme) => void }) {
    const [form, setForm] = useState({ piece: scheme.tests[0]?.id ?? 0, note: '' });
    const judge = useMutation({
        mutationFn: (outcome: 'accepted' | 'rejected') =>
            api.post<Scheme>(`schemes/${scheme.slug}/outcome`, {
                outcome,
                note: form.note || null,
                piece: form.piece || null,
            }),
        onSuccess: done,
    });
    return (
        <div style={{ display: 'grid', gap: 12 }}>
            <p className="soft" style={{ margin: 0 }}>
                Rejected, the scheme gets a new version to be changed, units that are not on the bench wait
                for it, and it is known what painting the test model again takes.
            </p>
            <label className="field">
                <span>Which model</span>
                <select
                    className="input"
                    value={form.piece}
                    onChange={(e) => setForm({ ...form, piece: Number(e.target.value) })}
                >
                    <option value={0}>none of those here</option>
                    {scheme.tests.map((t) => (
                        <option key={t.id} value={t.id}>
                            {t.name}
                        </option>
                    ))}
                </select>
            </label>
            <label className="field">
                <span>What is to be said of it</span>
                <textarea
                    className="input"
                    rows={3}
                    value={form.note}
                    onChange={(e) => setForm({ ...form, note: e.target.value })}
                />
            </label>
            {judge.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(judge.error)}
                </p>
            )}
            <div style={{ display: 'flex', gap: 8 }}>
                <button
                    className="btn main"
                    disabled={judge.isPending}
                    onClick={() => judge.mutate('accepted')}
                >
                    It settles the scheme
                </button>
                <button
                    className="btn danger"
                    disabled={judge.isPending || form.note.trim() === ''}
                    onClick={() => judge.mutate('rejected')}
                >
                    Rejected
                </button>
            </div>
        </div>
    );
}
