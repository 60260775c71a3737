import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, Problem, saysWhy } from '../../api/client';
import type {
    Attempt,
    Cell,
    Change,
    Clause,
    Consequences,
    Finding,
    Ladder,
    Row,
    StandardChange,
    TierFrame,
    TierHead,
} from '../../api/types';
import { Top } from '../../app/Frame';
import { ExtentMark, minutes, TierMark } from '../../ui/marks';
import { Empty, Loading } from '../../ui/states';
import { type Clash, type Draft, useDraft } from './draft';
import { KINDS, Sentence } from './Sentence';
import { NoLadder } from './NoLadder';
import { StandardTabs } from './StandardTabs';
import { TierForm } from './TierForm';

type At = { row: number; col: number };
/** The row that is being written and is not on the ladder yet. */
type NewRow = { suffix: string; label: string };
const KEEP = 'ordotype.standard.edit';
/** A clause that is being changed: where it stands, what it was when the change began, what it is to be. */
type Kept = { at: At; was: Clause | null; clause: Clause };

const CellFace = ({ cell }: { cell: Cell }) => {
    if (cell.dropped) return <span>— not asked here</span>;
    if (!cell.clause) return <span aria-label="says nothing">·</span>;
    if (cell.as_before) return <span>as before</span>;
    if (cell.status === 'not_offered') return <span>· not offered</span>;
    return (
        <>
            {(cell.status === 'on_request' || cell.status === 'to_agree') && <b aria-hidden="true">+</b>}
            {cell.extent && <ExtentMark extent={cell.extent} passes={cell.passes} />}
            <span>{cell.words}</span>
        </>
    );
};

/** One row; drawn again only when it or the selection in it changes, so that eighty rows stay quick. */
const LadderRow = memo(function LadderRow({
    row,
    index,
    first,
    columns,
    at,
    pick,
}: {
    row: Row;
    index: number;
    first: boolean;
    columns: { t: TierHead; spine: boolean }[];
    at: number | null;
    pick: (at: At) => void;
}) {
    return (
        <tr className={first ? 'group' : ''}>
            <th className="first" scope="row">
                {first && <span className="eyebrow">{row.group}</span>}
                {row.label}
            </th>
            {columns.map(({ t, spine }, col) => {
                const c = row.cells[col];
                if (!c || spine) return <td key={t.key} className="spine" />;
                return (
                    <td key={t.key} aria-selected={at === col}>
                        <button
                            id={`cell-${index}-${col}`}
                            className={`lcell ${c.as_before || !c.clause ? 'quiet' : ''} ${c.status === 'on_request' ? 'request' : ''}`}
                            tabIndex={at === col ? 0 : -1}
                            onClick={() => pick({ row: index, col })}
                            onFocus={() => {
                                if (at !== col) pick({ row: index, col });
                            }}
                        >
                            <CellFace cell={c} />
                        </button>
                    </td>
                );
            })}
        </tr>
    );
});

export default function StandardPage() {
    const { message } = App.useApp();
    const query = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    if (query.isPending) return <Loading what="the ladder" />;
    if (query.isError) return <NoLadder error={query.error} again={() => void query.refetch()} />;
    return <LadderView ladder={query.data} say={(text) => void message.info(text)} />;
}

function LadderView({ ladder: whole, say }: { ladder: Ladder; say: (text: string) => void }) {
    const queries = useQueryClient();
    const draft = useDraft(say);
    const [showRetired, setShowRetired] = useState(false);
    const [allRows, setAllRows] = useState(false);
    const [find, setFind] = useState('');
    const finder = useRef<HTMLInputElement>(null);
    // Rows that no tier in sight uses are hidden, and so is what does not match the search.
    const ladder = useMemo((): Ladder => {
        const folded = new Set(
            showRetired ? [] : whole.tiers.filter((t) => t.status === 'retired').map((t) => t.key),
        );
        const wanted = find.trim().toLowerCase();
        return {
            ...whole,
            rows: whole.rows.filter(
                (r) =>
                    (allRows ||
                        r.cells.some(
                            (c) =>
                                !folded.has(c.tier) &&
                                (c.dropped || (c.clause && c.status !== 'not_offered')),
                        )) &&
                    (wanted === '' ||
                        `${r.label} ${r.group} ${r.cells.map((c) => `${c.clause?.id ?? ''} ${c.says ?? ''}`).join(' ')}`
                            .toLowerCase()
                            .includes(wanted)),
            ),
        };
    }, [whole, showRetired, allRows, find]);
    const [at, setAt] = useState<At>({ row: 0, col: 1 });
    // Keys come faster than the page is drawn: where we are is known at once.
    const here = useRef(at);
    const [edit, setEdit] = useState<Clause | null>(null);
    // What the cell said when the change of it began.
    const [was, setWas] = useState<Clause | null>(null);
    const [adding, setAdding] = useState<NewRow | 'choose' | null>(null);
    const [head, setHead] = useState<{ tier: TierFrame | null } | null>(null);
    const [sculpt, setSculpt] = useState(trialFigure(ladder));
    const [publishing, setPublishing] = useState(false);
    const panel = useRef<HTMLElement>(null);
    const drafting = ladder.version.status === 'draft';
    const writes = drafting && ladder.editable;
    const row: Row | undefined = ladder.rows[Math.min(at.row, ladder.rows.length - 1)];
    const tier: TierHead | undefined = ladder.tiers[at.col];
    const cell: Cell | undefined = adding ? undefined : row?.cells[at.col];

    const template = useMemo((): Clause | null => {
        if (!row || !tier) return null;
        const like = cell?.clause ?? row.cells.find((c) => c.clause)?.clause ?? null;
        return (
            like && { ...like, id: cell?.own && cell.clause ? cell.clause.id : `${tier.key}.${row.suffix}` }
        );
    }, [row, tier, cell]);
    const clause = edit ?? (adding ? null : template);
    const changed = edit !== null;
    const now = (to: Clause | null, place = tier, where = cell): Change => ({
        what: 'clause',
        tier: place?.key ?? null,
        before: where?.own && where.clause ? { ...where.clause } : null,
        after: to && { ...to },
    });
    const trying: Change[] = edit ? [now(edit)] : [];
    // Somebody else may change the cell while it is being changed here: both are shown, and neither is lost.
    const overtaken = edit !== null && !adding && JSON.stringify(own(cell)) !== JSON.stringify(was);
    const clash = draft.clash ?? (overtaken ? { mine: trying, at: 0, theirs: own(cell) } : null);

    const tried = useQuery({
        queryKey: [
            'try',
            tier?.key,
            sculpt,
            JSON.stringify(trying),
            ladder.version.number,
            ladder.version.revision,
        ],
        queryFn: () => api.post<Attempt>('standard/draft/try', { tier: tier?.key, sculpt, changes: trying }),
        enabled: ladder.editable && !!tier && sculpt !== '',
        placeholderData: (before) => before,
        retry: false,
    });
    // The whole lint and the open orders follow a moment after the figures of the one that is looked at.
    const settled = useSettled(JSON.stringify(trying), 350);
    const after = useQuery({
        queryKey: ['consequences', settled, ladder.version.number, ladder.version.revision],
        queryFn: () =>
            api.post<Consequences>('standard/draft/consequences', {
                changes: JSON.parse(settled) as Change[],
            }),
        enabled: ladder.editable,
        placeholderData: (before) => before,
        retry: false,
    });
    const open = useMutation({
        mutationFn: () => api.post('standard/draft'),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['standard'] }),
        onError: (e) => say(saysWhy(e)),
    });

    // What is being typed survives a reload.
    useEffect(() => {
        const kept = sessionStorage.getItem(KEEP);
        if (kept) {
            const found = JSON.parse(kept) as Kept;
            here.current = found.at;
            setAt(found.at);
            setWas(found.was);
            setEdit(found.clause);
        }
    }, []);
    const change = (to: Clause) => {
        const began = edit ? was : own(cell);
        setWas(began);
        setEdit(to);
        sessionStorage.setItem(KEEP, JSON.stringify({ at, was: began, clause: to } satisfies Kept));
    };
    const leave = () => {
        setEdit(null);
        setAdding(null);
        draft.forget();
        sessionStorage.removeItem(KEEP);
    };
    const pick = (to: At) => {
        here.current = to;
        setAt(to);
        setHead(null);
        leave();
    };
    const save = async () => {
        const to = edit ?? template;
        if (!to || !tier || overtaken) return;
        const changes = [
            now(
                adding && adding !== 'choose' && edit
                    ? { ...edit, ...(edit.label ? {} : { label: adding.label }) }
                    : to,
            ),
        ];
        // A row that was not asked here comes back by its own clause, so the drop goes with it.
        if (cell?.dropped && tier.head.drop)
            changes.push(
                heads(
                    tier,
                    tier.head.drop.filter((s) => s !== cell.clause?.id && s !== row?.suffix),
                ),
            );
        if (await draft.make(changes)) leave();
    };
    const heads = (t: TierHead, drop: string[]): Change => {
        const { drop: _, ...rest } = t.head;
        return {
            what: 'tier',
            tier: null,
            before: { ...t.head },
            after: drop.length > 0 ? { ...rest, drop } : rest,
        };
    };
    const notAsked = () => {
        if (!tier || !row || !cell?.clause) return;
        const below =
            tier.extends &&
            ladder.tiers.find((t) => t.key === tier.extends) &&
            row.cells[ladder.tiers.findIndex((t) => t.key === tier.extends)]?.clause;
        void draft.make([
            ...(cell.own ? [now(null)] : []),
            ...(below ? [heads(tier, [...(tier.head.drop ?? []), row.suffix])] : []),
        ]);
    };
    const copyRight = () => {
        const next = ladder.tiers[at.col + 1];
        const there = row?.cells[at.col + 1];
        if (next && there && row && cell?.clause)
            void draft.make([
                now(
                    {
                        ...cell.clause,
                        id: there.own && there.clause ? there.clause.id : `${next.key}.${row.suffix}`,
                    },
                    next,
                    there,
                ),
            ]);
    };

    const press = (e: React.KeyboardEvent) => {
        const move = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[e.key];
        if (move) {
            e.preventDefault();
            const to = {
                row: Math.max(0, Math.min(ladder.rows.length - 1, here.current.row + (move[0] ?? 0))),
                col: Math.max(0, Math.min(ladder.tiers.length - 1, here.current.col + (move[1] ?? 0))),
            };
            pick(to);
            requestAnimationFrame(() => document.getElementById(`cell-${to.row}-${to.col}`)?.focus());
        } else if (e.key === 'Enter' && writes) {
            e.preventDefault();
            panel.current?.querySelector<HTMLElement>('select, input')?.focus();
        } else if (e.key === 'c' && writes && !draft.busy) copyRight();
        else if (e.key === 'u' && writes && !draft.busy) void draft.undo();
        else if (e.key === 'r' && writes && !draft.busy) void draft.redo();
        else if (e.key === 'f') {
            e.preventDefault();
            finder.current?.focus();
        }
    };
    const columns = useMemo(
        () => ladder.tiers.map((t) => ({ t, spine: t.status === 'retired' && !showRetired })),
        [ladder.tiers, showRetired],
    );
    const pickRef = useRef(pick);
    pickRef.current = pick;
    const stablePick = useMemo(() => (to: At) => pickRef.current(to), []);
    // Figures of a draft that is no longer the one on the screen are not shown: the ladder is read again, and they with it.
    const stale = [tried.error, after.error].some((e) => e instanceof Problem && e.status === 409);
    useEffect(() => {
        if (stale) void queries.invalidateQueries({ queryKey: ['standard'] });
    }, [stale, queries]);
    const result = tried.isError ? undefined : tried.data;
    const says = after.isError ? undefined : after.data;
    return (
        <>
            <Top>
                <h1>Standard</h1>
                <span className="pill">
                    v{ladder.version.number}, {ladder.version.status}
                    {drafting && ladder.published ? ` · last published v${ladder.published.number}` : ''}
                </span>
                <span className="room" />
                {ladder.sculpts.length > 0 && (
                    <label className="small soft">
                        Try it on{' '}
                        <select
                            className="btn"
                            value={sculpt}
                            onChange={(e) => setSculpt(e.target.value)}
                            aria-label="Try it on"
                        >
                            {ladder.sculpts.map((s) => (
                                <option key={s.slug} value={s.slug}>
                                    {s.name}
                                </option>
                            ))}
                        </select>
                    </label>
                )}
                {ladder.editable &&
                    (drafting ? (
                        <button className="btn main" onClick={() => setPublishing(true)}>
                            Publish v{ladder.version.number}
                        </button>
                    ) : (
                        <button className="btn main" onClick={() => open.mutate()} disabled={open.isPending}>
                            Open a draft
                        </button>
                    ))}
            </Top>
            <StandardTabs />
            <div className="ladder-page">
                <div
                    style={{ display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)', gap: 8, minHeight: 0 }}
                >
                    <div style={{ display: 'flex', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
                        <input
                            ref={finder}
                            className="input"
                            style={{ width: 210, minHeight: 30 }}
                            type="search"
                            placeholder="Find a clause (f)"
                            aria-label="Find a clause"
                            disabled={edit !== null}
                            value={find}
                            onChange={(e) => {
                                setFind(e.target.value);
                                pick({ row: 0, col: at.col });
                            }}
                        />
                        <label className="small soft">
                            <input
                                type="checkbox"
                                checked={allRows}
                                onChange={(e) => setAllRows(e.target.checked)}
                            />{' '}
                            also rows that no tier uses ({whole.rows.length})
                        </label>
                        <span className="room" style={{ flex: 1 }} />
                        {writes && (
                            <>
                                <button
                                    className="btn"
                                    disabled={draft.busy || !draft.canUndo()}
                                    onClick={() => void draft.undo()}
                                >
                                    Undo <kbd>u</kbd>
                                </button>
                                <button
                                    className="btn"
                                    disabled={draft.busy || !draft.canRedo()}
                                    onClick={() => void draft.redo()}
                                >
                                    Redo <kbd>r</kbd>
                                </button>
                                <button
                                    className="btn"
                                    onClick={() => {
                                        leave();
                                        setHead(null);
                                        setAdding('choose');
                                    }}
                                >
                                    Add a row
                                </button>
                                <button
                                    className="btn"
                                    onClick={() => {
                                        leave();
                                        setHead({ tier: null });
                                    }}
                                >
                                    Add a rung
                                </button>
                            </>
                        )}
                    </div>
                    <div className="ladder-wrap" tabIndex={-1}>
                        <table className="ladder" role="grid" aria-label="The ladder" onKeyDown={press}>
                            <thead>
                                <tr>
                                    <th className="first">
                                        <span className="eyebrow" style={{ color: 'var(--soft)' }}>
                                            What the tier says
                                        </span>
                                    </th>
                                    {columns.map(({ t, spine }) =>
                                        spine ? (
                                            <th key={t.key} className="spine">
                                                <button
                                                    className="btn quiet"
                                                    style={{ padding: 0, height: 96 }}
                                                    onClick={() => setShowRetired(true)}
                                                    aria-label={`Unfold ${t.name}, retired`}
                                                >
                                                    <span>{t.name} · retired</span>
                                                </button>
                                            </th>
                                        ) : (
                                            <th key={t.key} className="rung">
                                                <button
                                                    className="plainly"
                                                    onClick={() => {
                                                        leave();
                                                        setHead({ tier: t.head });
                                                    }}
                                                >
                                                    <span
                                                        style={{
                                                            display: 'flex',
                                                            gap: 7,
                                                            alignItems: 'center',
                                                        }}
                                                    >
                                                        <TierMark order={t.order} status={t.status} />
                                                        <span style={{ font: '700 15px var(--head)' }}>
                                                            {t.name}
                                                        </span>
                                                    </span>
                                                    <span className="small soft">
                                                        {t.intent.split('.')[0]}
                                                    </span>
                                                    <span className="small strong">
                                                        {t.status === 'open'
                                                            ? 'always quoted'
                                                            : `${t.distance_cm} cm · ${t.pace}`}
                                                    </span>
                                                </button>
                                            </th>
                                        ),
                                    )}
                                </tr>
                            </thead>
                            <tbody>
                                {ladder.rows.map((r, i) => (
                                    <LadderRow
                                        key={r.suffix}
                                        row={r}
                                        index={i}
                                        first={i === 0 || ladder.rows[i - 1]?.group !== r.group}
                                        columns={columns}
                                        at={at.row === i ? at.col : null}
                                        pick={stablePick}
                                    />
                                ))}
                            </tbody>
                        </table>
                        {ladder.rows.length === 0 && (
                            <Empty title="No clause says that">
                                <p>Look for other words, or show the rows that no tier uses.</p>
                            </Empty>
                        )}
                    </div>
                </div>
                <aside
                    className="side"
                    ref={panel}
                    aria-label="The cell"
                    onKeyDown={(e) => {
                        if (e.key === 'Enter' && (e.ctrlKey || e.metaKey) && changed && !draft.busy) {
                            e.preventDefault();
                            void save();
                        }
                        if (e.key === 'Escape') {
                            leave();
                            document.getElementById(`cell-${at.row}-${at.col}`)?.focus();
                        }
                    }}
                >
                    {head && (
                        <TierForm
                            key={head.tier?.key ?? 'new'}
                            frame={head.tier}
                            ladder={ladder}
                            readOnly={!writes}
                            busy={draft.busy}
                            make={async (c) => {
                                if (await draft.make(c)) setHead(null);
                            }}
                            close={() => setHead(null)}
                        />
                    )}
                    {!head && adding === 'choose' && tier && (
                        <section className="card pad">
                            <div className="eyebrow">A new row, at {tier.name}</div>
                            <p className="small soft">What does it say?</p>
                            {KINDS.map((k) => (
                                <button
                                    key={k.kind}
                                    className="btn"
                                    style={{
                                        width: '100%',
                                        justifyContent: 'flex-start',
                                        marginBottom: 6,
                                        whiteSpace: 'normal',
                                        textAlign: 'left',
                                    }}
                                    onClick={() => {
                                        const taken = new Set(whole.rows.map((r) => r.suffix));
                                        let suffix: string = k.kind;
                                        for (let n = 2; taken.has(suffix); n++) suffix = `${k.kind}_${n}`;
                                        setAdding({ suffix, label: k.words.split(':')[0] ?? k.words });
                                        setEdit({ id: `${tier.key}.${suffix}`, kind: k.kind, ...k.starts });
                                    }}
                                >
                                    {k.words}
                                </button>
                            ))}
                        </section>
                    )}
                    {!head && adding !== 'choose' && tier && (row ?? adding) && (
                        <section className="card pad">
                            <div className="eyebrow">
                                {tier.name} · {adding ? 'a new row' : row?.label}
                            </div>
                            {clause ? (
                                <Sentence
                                    clause={clause}
                                    ladder={ladder}
                                    onChange={change}
                                    readOnly={!writes}
                                />
                            ) : (
                                <p className="soft">Nothing is said here.</p>
                            )}
                            {cell?.dropped && (
                                <p className="small soft">
                                    {tier.name} takes the clauses of the rung below, and leaves this one out
                                    on purpose.
                                </p>
                            )}
                            {!adding && cell && !cell.clause && !cell.dropped && clause && (
                                <p className="small soft">
                                    {tier.name} says nothing here yet; this is how another rung puts it.
                                </p>
                            )}
                            {!drafting && ladder.editable && (
                                <p className="small soft">
                                    This version is published and stays as it is. Open a draft to change it.
                                </p>
                            )}
                            {clash && (
                                <ClashNote
                                    clash={clash}
                                    make={draft.make}
                                    leave={() => {
                                        leave();
                                        void queries.invalidateQueries({ queryKey: ['standard'] });
                                    }}
                                />
                            )}
                            {writes && (
                                <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', marginTop: 8 }}>
                                    <button
                                        className="btn main"
                                        disabled={draft.busy || overtaken || (!changed && !!cell?.clause)}
                                        onClick={() => void save()}
                                    >
                                        {cell?.clause ? 'Keep' : 'Ask this here'}
                                    </button>
                                    {changed && <kbd style={{ alignSelf: 'center' }}>Ctrl ↵</kbd>}
                                    {(changed || adding) && (
                                        <button className="btn" onClick={leave}>
                                            Leave as it was
                                        </button>
                                    )}
                                    {!changed && cell?.clause && (
                                        <button className="btn quiet" onClick={notAsked}>
                                            Not asked here
                                        </button>
                                    )}
                                    {!changed && cell?.own && cell.clause && tier.extends && (
                                        <button
                                            className="btn quiet"
                                            onClick={() => void draft.make([now(null)])}
                                        >
                                            As the rung below
                                        </button>
                                    )}
                                    {cell?.dropped && (
                                        <button
                                            className="btn quiet"
                                            onClick={() =>
                                                void draft.make([
                                                    heads(
                                                        tier,
                                                        (tier.head.drop ?? []).filter(
                                                            (s) => s !== row?.suffix,
                                                        ),
                                                    ),
                                                ])
                                            }
                                        >
                                            Ask as the rung below
                                        </button>
                                    )}
                                </div>
                            )}
                        </section>
                    )}
                    {tried.isError && (
                        <p className="says bad small" role="alert">
                            {saysWhy(tried.error)}
                        </p>
                    )}
                    {after.isError && !tried.isError && (
                        <p className="says bad small" role="alert">
                            What it does to the ladder and to open orders is not known: {saysWhy(after.error)}
                        </p>
                    )}
                    {result && (
                        <section className="card pad" aria-live="polite">
                            <div className="eyebrow">
                                {changed ? 'This edit, on' : 'On'} the {result.sculpt}
                            </div>
                            <h2 style={{ margin: '2px 0 8px' }} className="num">
                                {result.tier}:{' '}
                                {changed && Math.round(result.before) !== Math.round(result.after)
                                    ? `${minutes(result.before)} → `
                                    : ''}
                                {minutes(result.after)}
                            </h2>
                            <p className="small num" style={{ margin: '0 0 6px' }}>
                                {changed && result.steps_before !== result.steps_after
                                    ? `${result.steps_before} → `
                                    : ''}
                                {result.steps_after} steps a model
                            </p>
                            {result.ceiling !== null && (
                                <>
                                    <div className="bar" style={{ height: 9 }}>
                                        <i
                                            style={{
                                                width: `${Math.min(100, (100 * result.after) / result.ceiling)}%`,
                                                background:
                                                    result.after > result.ceiling
                                                        ? 'var(--fault)'
                                                        : undefined,
                                            }}
                                        />
                                    </div>
                                    <p className="small soft" style={{ margin: '4px 0' }}>
                                        {Math.round(result.after)} of {result.ceiling} minutes allowed
                                        {result.price
                                            ? ` · ${result.price.currency} ${result.price.low}${result.price.high ? `–${result.price.high}` : ' and up'}`
                                            : ''}
                                    </p>
                                </>
                            )}
                            {changed && result.changes.length === 0 && (
                                <p className="small soft">This figure has no area it would change.</p>
                            )}
                            {result.changes.slice(0, 6).map((c, i) => (
                                <div key={i} className="small">
                                    <b>{c.change === 'added' ? '+' : c.change === 'dropped' ? '−' : '~'}</b>{' '}
                                    {c.what} <span className="soft">{c.area ?? 'whole model'}</span>
                                </div>
                            ))}
                            {result.changes.length > 6 && (
                                <div className="small soft">and {result.changes.length - 6} more</div>
                            )}
                            {result.conflicts.map((c) => (
                                <p key={c.area} className="says bad small">
                                    {c.area}: {c.reason}
                                </p>
                            ))}
                        </section>
                    )}
                    {says && (
                        <Holds
                            says={says}
                            ladder={ladder}
                            writes={writes && !changed}
                            busy={draft.busy}
                            make={(c) => void draft.make(c)}
                        />
                    )}
                    <details className="small soft">
                        <summary style={{ cursor: 'pointer' }}>What the marks mean</summary>
                        <div style={{ display: 'grid', gap: 6, padding: '8px 0' }}>
                            <span>
                                <ExtentMark extent="spot" /> in a spot
                            </span>
                            <span>
                                <ExtentMark extent="prominent" /> where it stands out most
                            </span>
                            <span>
                                <ExtentMark extent="full" passes={2} /> everywhere, two passes
                            </span>
                            <span>
                                <b>+</b> on request
                            </span>
                            <span>· says nothing, or not offered</span>
                        </div>
                    </details>
                </aside>
            </div>
            <Publish open={publishing} ladder={ladder} onClose={() => setPublishing(false)} />
        </>
    );
}

function useSettled<T>(value: T, ms: number): T {
    const [settled, setSettled] = useState(value);
    useEffect(() => {
        const timer = setTimeout(() => setSettled(value), ms);
        return () => clearTimeout(timer);
    }, [value, ms]);
    return settled;
}

function ClashNote({ clash, make, leave }: { clash: Clash; make: Draft['make']; leave: () => void }) {
    const theirs = clash.theirs as (Clause & Partial<TierFrame>) | null;
    return (
        <div className="says warn" role="alert" style={{ margin: '8px 0' }}>
            <b>Somebody else changed this first.</b>
            <br />
            <span className="small">
                Theirs:{' '}
                {theirs
                    ? [
                          theirs.effect,
                          theirs.status,
                          theirs.extent,
                          theirs.passes && `${theirs.passes} passes`,
                          theirs.min,
                          theirs.max,
                          theirs.limit,
                      ]
                          .flat()
                          .filter((w) => w !== undefined && w !== null)
                          .join(', ')
                    : 'taken out'}
                . Yours is kept above.
            </span>
            <br />
            <button
                className="btn quiet"
                onClick={() =>
                    void make(
                        clash.mine.map((c, i) =>
                            i === clash.at ? { ...c, before: clash.theirs as Change['before'] } : c,
                        ),
                    ).then((kept) => {
                        if (kept) leave();
                    })
                }
            >
                Put mine in its place
            </button>
            <button className="btn quiet" onClick={leave}>
                Take theirs
            </button>
        </div>
    );
}

const KIND_WORDS: Record<string, string> = {
    asks_less: 'A higher rung asks for less',
    same_as: 'Two rungs are the same',
    matches_nothing: 'Matches nothing',
    nobody_may: 'Nobody may do it',
    nobody_sees: 'No check can see it',
    floor_above_ceiling: 'Floor above ceiling',
    lowers_bar: 'Lowers the bar',
    cannot_be_met: 'Cannot be met',
    over_minutes: 'Over its minutes',
    below_cost: 'Priced below cost',
};

function Holds({
    says,
    ladder,
    writes,
    busy,
    make,
}: {
    says: Consequences;
    ladder: Ladder;
    writes: boolean;
    busy: boolean;
    make: (c: Change[]) => void;
}) {
    const moved = says.units.filter((u) => Math.round(u.before) !== Math.round(u.after));
    return (
        <>
            <section className="card pad" aria-label="Does the ladder hold?">
                <div className="eyebrow">Does the ladder hold?</div>
                {says.lint.length === 0 ? (
                    <p className="says good small" style={{ margin: '6px 0 0' }}>
                        Nothing contradicts itself, no rung asks for less than the one below, and the figures
                        fit their minutes and prices.
                    </p>
                ) : (
                    says.lint.map((f: Finding) => (
                        <div key={f.why} className="says warn small" style={{ marginTop: 8 }}>
                            <span className="eyebrow">
                                {KIND_WORDS[f.kind] ?? f.kind} ·{' '}
                                {ladder.tiers.find((t) => t.key === f.tier)?.name}
                            </span>
                            <br />
                            <b>{f.why}</b>
                            <br />
                            {f.change}
                            {writes && f.changes.length > 0 && (
                                <>
                                    <br />
                                    <button
                                        className="btn"
                                        style={{ marginTop: 4 }}
                                        disabled={busy}
                                        onClick={() => make(f.changes)}
                                    >
                                        Do that
                                    </button>
                                </>
                            )}
                        </div>
                    ))
                )}
                <Rate currency={ladder.currency} writes={ladder.editable} />
            </section>
            <section className="card pad">
                <div className="eyebrow">Open orders</div>
                <p className="small soft" style={{ margin: '4px 0' }}>
                    {says.on_bench} {says.on_bench === 1 ? 'unit is' : 'units are'} on the bench and{' '}
                    {says.units.length} {says.units.length === 1 ? 'is' : 'are'} to be released: all keep
                    their version. Moved on, these would take:
                </p>
                {moved.length === 0 ? (
                    <p className="small soft" style={{ margin: 0 }}>
                        the same minutes as now.
                    </p>
                ) : (
                    moved.map((u) => (
                        <div key={u.unit} className="small num">
                            <Link style={{ textDecoration: 'underline' }} to={`/units/${u.unit}/plan`}>
                                {u.order}
                            </Link>{' '}
                            {u.label}, {u.tier}: {minutes(u.before)} → <b>{minutes(u.after)}</b>
                        </div>
                    ))
                )}
            </section>
        </>
    );
}

function Rate({ currency, writes }: { currency: string; writes: boolean }) {
    const queries = useQueryClient();
    const rate = useQuery({
        queryKey: ['studio'],
        queryFn: () => api.get<{ hourly_rate: string }>('studio'),
    });
    const set = useMutation({
        mutationFn: (hourly_rate: string) => api.put('studio', { hourly_rate }),
        onSuccess: () =>
            Promise.all([
                queries.invalidateQueries({ queryKey: ['studio'] }),
                queries.invalidateQueries({ queryKey: ['consequences'] }),
            ]),
    });
    if (!rate.data) return null;
    return (
        <p className="small soft" style={{ margin: '8px 0 0' }}>
            Costs are held against{' '}
            <input
                key={rate.data.hourly_rate}
                className="slot num"
                style={{ width: 58 }}
                aria-label="What an hour at the bench costs"
                disabled={!writes}
                defaultValue={rate.data.hourly_rate}
                onBlur={(e) => {
                    if (e.target.value !== rate.data.hourly_rate) set.mutate(e.target.value);
                }}
            />{' '}
            {currency} an hour at the bench.
            {set.isError && (
                <span className="says bad" role="alert">
                    {saysWhy(set.error)}
                </span>
            )}
        </p>
    );
}

/** What the cell's own tier says there; null where it says nothing or takes it from the rung below. */
const own = (cell: Cell | undefined): Clause | null => (cell?.own ? cell.clause : null);

/** A hero shows most of what a tier asks. */
export const trialFigure = (ladder: Ladder): string =>
    (ladder.sculpts.find((s) => s.role === 'hero') ?? ladder.sculpts[0])?.slug ?? '';

export function ChangeList({ changes }: { changes: StandardChange[] }) {
    const sign = { added: '+', dropped: '−', tightened: '▲', loosened: '▼', changed: '~' };
    return (
        <>
            {changes.map((c, i) => (
                <p key={i} className="says small" style={{ margin: '6px 0' }}>
                    <b>
                        {sign[c.kind]} {c.label}
                    </b>{' '}
                    <span className="soft">
                        {c.kind}
                        {c.what !== 'clause' ? ` · ${c.what}` : ''}
                        {c.tiers.length > 0 ? ` · ${c.tiers.join(', ')}` : ''}
                    </span>
                    <br />
                    {c.before !== null && <span className="soft">{c.before}</span>}
                    {c.before !== null && c.after !== null && ' → '}
                    {c.after}
                </p>
            ))}
        </>
    );
}

function Publish({ open, ladder, onClose }: { open: boolean; ladder: Ladder; onClose: () => void }) {
    const queries = useQueryClient();
    const [note, setNote] = useState('');
    const from = ladder.published?.number;
    const compared = useQuery({
        queryKey: ['compare', from, ladder.version.number, ladder.version.revision],
        queryFn: () =>
            api.get<{ changes: StandardChange[] }>(
                `standard/compare?from=${from ?? 0}&to=${ladder.version.number}`,
            ),
        enabled: open && from !== undefined,
    });
    const publish = useMutation({
        mutationFn: () => api.post('standard/draft/publish', { revision: ladder.version.revision, note }),
        onSuccess: async () => {
            setNote('');
            onClose();
            await queries.invalidateQueries();
        },
    });
    const changes = compared.data?.changes ?? [];
    return (
        <Modal
            open={open}
            title={`Publish version ${ladder.version.number}`}
            onCancel={onClose}
            footer={null}
            width={620}
        >
            {compared.isLoading ? (
                <p>Comparing with v{from} …</p>
            ) : (
                <>
                    <p className="soft">
                        {from === undefined
                            ? 'This is the first version.'
                            : changes.length === 0
                              ? 'Nothing differs from what is published.'
                              : `${changes.length} ${changes.length === 1 ? 'thing changes' : 'things change'}. Open orders keep their version until they are moved on purpose.`}
                    </p>
                    <div style={{ maxHeight: 280, overflow: 'auto' }}>
                        <ChangeList changes={changes} />
                    </div>
                </>
            )}
            <label className="field">
                <span>What changes, and why (kept with the version)</span>
                <textarea className="input" rows={3} value={note} onChange={(e) => setNote(e.target.value)} />
            </label>
            {publish.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(publish.error)}
                </p>
            )}
            <div style={{ display: 'flex', justifyContent: 'flex-end', gap: 8, marginTop: 12 }}>
                <button className="btn" onClick={onClose}>
                    Not yet
                </button>
                <button
                    className="btn main"
                    disabled={note.trim() === '' || publish.isPending}
                    onClick={() => publish.mutate()}
                >
                    Publish v{ladder.version.number} for good
                </button>
            </div>
        </Modal>
    );
}
