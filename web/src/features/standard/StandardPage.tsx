import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { api, Problem, saysWhy } from '../../api/client';
import type { Attempt, Cell, Clause, Ladder, Row, TierHead } from '../../api/types';
import { Top } from '../../app/Frame';
import { ExtentMark, minutes, TierMark } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { effectWords, plain, Sentence } from './Sentence';

type At = { row: number; col: number };
type Done = { tier: string; clause: Clause | null; id: string; revision?: number };
const KEEP = 'ordotype.standard.edit';

function CellFace({ cell }: { cell: Cell }) {
    if (!cell.clause) return <span aria-label="says nothing">·</span>;
    if (cell.as_before) return <span>as before</span>;
    if (cell.status === 'not_offered') return <span>· not offered</span>;
    return (
        <>
            {cell.status === 'on_request' && <b aria-hidden="true">+</b>}
            {cell.extent && <ExtentMark extent={cell.extent} passes={cell.passes} />}
            <span>{cell.words}</span>
        </>
    );
}

export default function StandardPage() {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const query = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    if (query.isPending) return <Loading what="the ladder" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <LadderView ladder={query.data} refresh={() => queries.invalidateQueries({ queryKey: ['standard'] })} say={(text) => void message.info(text)} />;
}

function LadderView({ ladder: whole, refresh, say }: { ladder: Ladder; refresh: () => Promise<void>; say: (text: string) => void }) {
    const [showRetired, setShowRetired] = useState(false);
    // Rows that only a folded rung speaks in are folded with it.
    const ladder = useMemo((): Ladder => {
        const folded = new Set(showRetired ? [] : whole.tiers.filter((t) => t.status === 'retired').map((t) => t.key));
        return { ...whole, rows: whole.rows.filter((r) => r.cells.some((c) => c.clause && !folded.has(c.tier))) };
    }, [whole, showRetired]);
    const [at, setAt] = useState<At>({ row: 0, col: 1 });
    const [edit, setEdit] = useState<Clause | null>(null);
    const [sculpt, setSculpt] = useState(ladder.sculpts[0]?.slug ?? '');
    const [publishing, setPublishing] = useState(false);
    const [clash, setClash] = useState<{ theirs: Clause | null; revision: number } | null>(null);
    const undo = useRef<Done[]>([]);
    const panel = useRef<HTMLElement>(null);
    const drafting = ladder.version.status === 'draft';
    const row: Row | undefined = ladder.rows[at.row];
    const tier: TierHead | undefined = ladder.tiers[at.col];
    const cell: Cell | undefined = row?.cells[at.col];
    const idOf = (t: TierHead, r: Row) => `${t.key}.${r.suffix}`;

    const template = useMemo((): Clause | null => {
        if (!row || !tier) return null;
        const like = cell?.clause ?? row.cells.find((c) => c.clause)?.clause ?? null;
        return like && { ...like, id: cell?.own && cell.clause ? cell.clause.id : idOf(tier, row) };
    }, [row, tier, cell]);
    const clause = edit ?? template;
    const changed = edit !== null;

    const tried = useQuery({
        queryKey: ['try', tier?.key, sculpt, JSON.stringify(edit), ladder.version.revision],
        queryFn: () => api.post<Attempt>('standard/draft/try', { tier: tier?.key, sculpt, ...(edit ? { clause: edit } : {}) }),
        enabled: ladder.editable && !!tier && sculpt !== '', placeholderData: (before) => before,
    });
    const open = useMutation({ mutationFn: () => api.post('standard/draft'), onSuccess: refresh, onError: (e) => say(saysWhy(e)) });
    const keep = useMutation({
        mutationFn: (what: { tier: string; clause: Clause; revision: number }) => api.put<{ revision: number }>('standard/draft/clauses', what),
        onSuccess: async (kept, what) => {
            // Undoing must name the revision that this very write made, even before the ladder is read again.
            const last = undo.current[undo.current.length - 1];
            if (last && last.tier === what.tier && last.id === what.clause.id) last.revision = kept.revision;
            sessionStorage.removeItem(KEEP); setEdit(null); setClash(null); await refresh(); },
        onError: (e) => {
            if (e instanceof Problem && e.status === 409 && e.body.current) setClash({ theirs: (e.body.current['clause'] as Clause | null) ?? null, revision: Number(e.body.current['revision'] ?? 0) });
            else say(saysWhy(e));
        },
    });
    const remove = useMutation({ mutationFn: (what: { tier: string; clause: string; revision: number }) => api.remove('standard/draft/clauses', what), onSuccess: async () => { setEdit(null); await refresh(); }, onError: (e) => say(saysWhy(e)) });

    // What is being typed survives a reload.
    useEffect(() => {
        const kept = sessionStorage.getItem(KEEP);
        if (kept) {
            const { at: where, clause: what } = JSON.parse(kept) as { at: At; clause: Clause };
            setAt(where);
            setEdit(what);
        }
    }, []);
    const change = (now: Clause) => { setEdit(now); sessionStorage.setItem(KEEP, JSON.stringify({ at, clause: now })); };
    const select = (to: At) => { setAt(to); setEdit(null); setClash(null); sessionStorage.removeItem(KEEP); };
    const save = (revision = cell?.revision ?? 0) => {
        if (!edit || !tier || !cell) return;
        undo.current.push({ tier: tier.key, clause: cell.own ? cell.clause : null, id: edit.id });
        keep.mutate({ tier: tier.key, clause: edit, revision });
    };
    const revisionOf = useCallback((tierKey: string, id: string) => ladder.rows.flatMap((r) => r.cells).find((c) => c.tier === tierKey && c.own && c.clause?.id === id)?.revision ?? 0, [ladder]);

    const press = (e: React.KeyboardEvent) => {
        const move = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[e.key];
        if (move) {
            e.preventDefault();
            const to = { row: Math.max(0, Math.min(ladder.rows.length - 1, at.row + (move[0] ?? 0))), col: Math.max(0, Math.min(ladder.tiers.length - 1, at.col + (move[1] ?? 0))) };
            select(to);
            requestAnimationFrame(() => document.getElementById(`cell-${to.row}-${to.col}`)?.focus());
        } else if (e.key === 'Enter' && drafting && ladder.editable) {
            e.preventDefault();
            panel.current?.querySelector<HTMLElement>('select, input')?.focus();
        } else if (e.key === 'c' && drafting && ladder.editable && row && cell?.clause) {
            const next = ladder.tiers[at.col + 1];
            const there = row.cells[at.col + 1];
            if (next && there) {
                const copy = { ...cell.clause, id: there.own && there.clause ? there.clause.id : idOf(next, row) };
                undo.current.push({ tier: next.key, clause: there.own ? there.clause : null, id: copy.id });
                keep.mutate({ tier: next.key, clause: copy, revision: there.revision });
            }
        } else if (e.key === 'u' && drafting && ladder.editable && !keep.isPending) {
            const last = undo.current.pop();
            if (last) {
                const revision = last.revision ?? revisionOf(last.tier, last.id);
                if (last.clause) keep.mutate({ tier: last.tier, clause: last.clause, revision });
                else remove.mutate({ tier: last.tier, clause: last.id, revision });
            }
        }
    };
    const columns = ladder.tiers.map((t, col) => ({ t, col, spine: t.status === 'retired' && !showRetired }));
    const result = tried.data;
    return (
        <>
            <Top>
                <h1>Standard</h1>
                <span className="pill">v{ladder.version.number}, {ladder.version.status}{drafting && ladder.published ? ` · last published v${ladder.published.number}` : ''}</span>
                <span className="pill no-print"><kbd>?</kbd> keys</span>
                <span className="room" />
                <label className="small soft">Try it on <select className="btn" value={sculpt} onChange={(e) => setSculpt(e.target.value)} aria-label="Try it on">{ladder.sculpts.map((s) => <option key={s.slug} value={s.slug}>{s.name}</option>)}</select></label>
                {ladder.editable && (drafting
                    ? <button className="btn main" onClick={() => setPublishing(true)}>Publish v{ladder.version.number}</button>
                    : <button className="btn main" onClick={() => open.mutate()} disabled={open.isPending}>Open a draft</button>)}
            </Top>
            <div className="ladder-page">
                <div className="ladder-wrap" tabIndex={-1}>
                    <table className="ladder" role="grid" aria-label="The ladder" onKeyDown={press}>
                        <thead>
                            <tr>
                                <th className="first"><span className="eyebrow" style={{ color: 'var(--soft)' }}>What the tier says</span></th>
                                {columns.map(({ t, spine }) => spine
                                    ? <th key={t.key} className="spine"><button className="btn quiet" style={{ padding: 0, height: 110 }} onClick={() => setShowRetired(true)} aria-label={`Unfold ${t.name}, retired`}><span>{t.name} · retired</span></button></th>
                                    : <th key={t.key} className="rung"><div style={{ display: 'flex', gap: 7, alignItems: 'center' }}><TierMark order={t.order} status={t.status} /><span style={{ font: '700 15px var(--head)' }}>{t.name}</span></div><div className="small soft">{t.intent.split('.')[0]}</div><div className="small strong">{t.status === 'open' ? 'always quoted' : `${t.distance_cm} cm · ${t.pace}`}</div></th>)}
                            </tr>
                        </thead>
                        <tbody>
                            {ladder.rows.map((r, i) => {
                                const first = i === 0 || ladder.rows[i - 1]?.group !== r.group;
                                return (
                                    <tr key={r.suffix} className={first ? 'group' : ''}>
                                        <th className="first" scope="row">{first && <span className="eyebrow">{r.group}</span>}{r.label}</th>
                                        {columns.map(({ t, col, spine }) => {
                                            const c = r.cells[col];
                                            if (!c || spine) return <td key={t.key} className="spine" />;
                                            const here = at.row === i && at.col === col;
                                            return (
                                                <td key={t.key} aria-selected={here}>
                                                    <button id={`cell-${i}-${col}`} className={`lcell ${c.as_before || !c.clause ? 'quiet' : ''} ${c.status === 'on_request' ? 'request' : ''}`} tabIndex={here ? 0 : -1} onClick={() => select({ row: i, col })} onFocus={() => { if (!here) select({ row: i, col }); }}>
                                                        <CellFace cell={c} />
                                                    </button>
                                                </td>
                                            );
                                        })}
                                    </tr>
                                );
                            })}
                        </tbody>
                    </table>
                </div>
                <aside className="side" ref={panel} aria-label="The cell">
                    {tier && row && (
                        <section className="card pad">
                            <div className="eyebrow">{tier.name} · {row.label}</div>
                            {clause ? <Sentence clause={clause} ladder={ladder} onChange={change} readOnly={!drafting || !ladder.editable} /> : <p className="soft">Nothing is said here.</p>}
                            {!cell?.clause && clause && <p className="small soft">{tier.name} says nothing here yet; this is how another rung puts it.</p>}
                            {!drafting && ladder.editable && <p className="small soft">This version is published and stays as it is. Open a draft to change it.</p>}
                            {clash && (
                                <div className="says warn" role="alert" style={{ margin: '8px 0' }}>
                                    <b>Somebody else changed this cell.</b><br />
                                    <span className="small">Theirs: {clash.theirs ? `${effectWords(String(clash.theirs.effect ?? clash.theirs.kind))}, ${plain(clash.theirs.extent ?? '')} ${clash.theirs.passes ?? ''} ${clash.theirs.min ?? ''} ${clash.theirs.max ?? ''}` : 'taken out'}. Yours is kept above.</span><br />
                                    <button className="btn quiet" onClick={() => save(clash.revision)}>Put mine in its place</button><button className="btn quiet" onClick={() => { select(at); void refresh(); }}>Take theirs</button>
                                </div>
                            )}
                            {drafting && ladder.editable && (
                                <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}>
                                    <button className="btn main" disabled={!changed && !!cell?.clause} onClick={() => { if (edit) save(); else if (template && cell) { undo.current.push({ tier: tier.key, clause: null, id: template.id }); keep.mutate({ tier: tier.key, clause: template, revision: 0 }); } }}>{cell?.clause ? 'Keep' : 'Ask this here'}</button>
                                    {changed && <button className="btn" onClick={() => select(at)}>Leave as it was</button>}
                                    {!changed && cell?.own && cell.clause && tier.extends && <button className="btn quiet" onClick={() => { undo.current.push({ tier: tier.key, clause: cell.clause, id: cell.clause?.id ?? '' }); remove.mutate({ tier: tier.key, clause: cell.clause?.id ?? '', revision: cell.revision }); }}>As the rung below</button>}
                                </div>
                            )}
                        </section>
                    )}
                    {result && (
                        <section className="card pad" aria-live="polite">
                            <div className="eyebrow">{changed ? 'This edit, on' : 'On'} the {result.sculpt}</div>
                            <h2 style={{ margin: '2px 0 8px' }} className="num">{result.tier}: {changed && Math.round(result.before) !== Math.round(result.after) ? `${minutes(result.before)} → ` : ''}{minutes(result.after)}</h2>
                            {result.ceiling !== null && (
                                <><div className="bar" style={{ height: 9 }}><i style={{ width: `${Math.min(100, (100 * result.after) / result.ceiling)}%`, background: result.after > result.ceiling ? 'var(--fault)' : undefined }} /></div>
                                    <p className="small soft" style={{ margin: '4px 0' }}>{Math.round(result.after)} of {result.ceiling} minutes allowed{result.price ? ` · ${result.price.currency} ${result.price.low}${result.price.high ? `–${result.price.high}` : ' and up'}` : ''}</p></>
                            )}
                            {changed && result.changes.length === 0 && <p className="small soft">This figure has no area it would change.</p>}
                            {result.changes.slice(0, 6).map((c, i) => <div key={i} className="small"><b>{c.change === 'added' ? '+' : c.change === 'dropped' ? '−' : '~'}</b> {effectWords(c.subject)} <span className="soft">{c.area ?? 'whole model'}</span></div>)}
                            {result.changes.length > 6 && <div className="small soft">and {result.changes.length - 6} more</div>}
                            {result.conflicts.map((c) => <p key={c.area} className="says bad small">{c.area}: {c.reason}</p>)}
                            <p className="small soft" style={{ marginBottom: 0 }}>{result.open_units} open {result.open_units === 1 ? 'unit keeps its' : 'units keep their'} version.</p>
                        </section>
                    )}
                    <section className="card pad">
                        <div className="eyebrow">Does the ladder hold?</div>
                        {(result?.lint ?? ladder.lint).length === 0 ? <p className="says good small" style={{ margin: '6px 0 0' }}>Nothing contradicts itself, and every clause can match something.</p>
                            : (result?.lint ?? ladder.lint).map((f) => <div key={f.why} className="says warn small" style={{ marginTop: 8 }}><b>{f.why}</b><br />{f.change}</div>)}
                    </section>
                    <details className="small soft"><summary style={{ cursor: 'pointer' }}>What the marks mean</summary>
                        <div style={{ display: 'grid', gap: 6, padding: '8px 0' }}><span><ExtentMark extent="spot" /> in a spot</span><span><ExtentMark extent="prominent" /> where it stands out most</span><span><ExtentMark extent="full" passes={2} /> everywhere, two passes</span><span><b>+</b> on request</span><span>· says nothing, or not offered</span></div>
                    </details>
                </aside>
            </div>
            <Publish open={publishing} ladder={ladder} onClose={() => setPublishing(false)} refresh={refresh} />
        </>
    );
}

function Publish({ open, ladder, onClose, refresh }: { open: boolean; ladder: Ladder; onClose: () => void; refresh: () => Promise<void> }) {
    const [note, setNote] = useState('');
    const published = useQuery({ queryKey: ['version', ladder.published?.number], queryFn: () => api.get<Ladder>(`standard/versions/${ladder.published?.number ?? 0}`), enabled: open && !!ladder.published });
    const publish = useMutation({ mutationFn: () => api.post('standard/draft/publish', { revision: ladder.version.revision, note }), onSuccess: async () => { setNote(''); onClose(); await refresh(); } });
    const before = new Map((published.data?.rows ?? []).flatMap((r) => r.cells.map((c) => [`${c.tier} ${r.suffix}`, c] as const)));
    const said = (c: Cell | undefined) => (c?.clause ? JSON.stringify({ ...c.clause, id: '' }) : '');
    const changes = published.data ? ladder.rows.flatMap((r) => r.cells.filter((c) => c.own && said(before.get(`${c.tier} ${r.suffix}`)) !== said(c)).map((c) => ({ r, c, was: before.get(`${c.tier} ${r.suffix}`) }))) : [];
    const look = (c: Cell | undefined) => (c?.clause ? `${c.extent ? `${c.extent}${(c.passes ?? 1) > 1 ? ` ×${c.passes}` : ''}, ` : ''}${c.clause.effect ? `${[c.clause.effect].flat().map(effectWords).join(' or ')}, ` : ''}${c.words}` : 'nothing');
    return (
        <Modal open={open} title={`Publish version ${ladder.version.number}`} onCancel={onClose} footer={null} width={560}>
            {published.isLoading ? <p>Comparing with v{ladder.published?.number} …</p> : (
                <>
                    <p className="soft">{changes.length === 0 ? 'Nothing differs from what is published.' : `${changes.length} ${changes.length === 1 ? 'cell changes' : 'cells change'}. Open orders keep their version until they are moved on purpose.`}</p>
                    {changes.slice(0, 12).map(({ r, c, was }) => <p key={`${c.tier}${r.suffix}`} className="says small"><b>{ladder.tiers.find((t) => t.key === c.tier)?.name} · {r.label}</b><br />{look(was)} → {look(c)}</p>)}
                </>
            )}
            <label className="field"><span>What changes, and why (kept with the version)</span><textarea className="input" rows={3} value={note} onChange={(e) => setNote(e.target.value)} /></label>
            {publish.isError && <p className="says bad" role="alert">{saysWhy(publish.error)}</p>}
            <div style={{ display: 'flex', justifyContent: 'flex-end', gap: 8, marginTop: 12 }}>
                <button className="btn" onClick={onClose}>Not yet</button>
                <button className="btn main" disabled={note.trim() === '' || publish.isPending} onClick={() => publish.mutate()}>Publish v{ladder.version.number} for good</button>
            </div>
        </Modal>
    );
}
