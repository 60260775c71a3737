import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, Problem, saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { Top } from '../../app/Frame';
import { Figure } from '../../ui/Figure';
import { minutes, Swatch, TierMark } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { word } from '../standard/words';
import { Areas } from './Areas';
import { Arrange } from './Arrange';
import { areaName, colourWords, longName, useBend, usesOn, fewMinutes } from './bend';
import { Compare } from './Compare';
import { Models } from './Models';
import { OrderOfWork } from './Order';
import { Report } from './Report';
import { Time } from './Time';
import { Why } from './Why';

const TABS = {
    areas: 'Areas',
    passes: 'Passes',
    order: 'Order of work',
    paints: 'Paints',
    time: 'Time',
    models: 'Models',
} as const;
type Tab = keyof typeof TABS;

export default function PlanPage() {
    const { id } = useParams();
    const [search] = useSearchParams();
    const piece = search.get('piece');
    const key = ['plan', id ?? '', piece] as const;
    const query = useQuery({
        queryKey: key,
        queryFn: () => api.get<UnitPlan>(`units/${id ?? ''}/plan${piece ? `?piece=${piece}` : ''}`),
    });
    if (query.isPending) return <Loading what="the plan" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Plan data={query.data} queryKey={key} />;
}

function Plan({ data, queryKey }: { data: UnitPlan; queryKey: readonly unknown[] }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const [search, setSearch] = useSearchParams();
    const asked = search.get('tab');
    const tab: Tab = asked !== null && asked in TABS ? (asked as Tab) : 'areas';
    const go = (patch: Record<string, string | null>) => {
        const next = new URLSearchParams(search);
        for (const [k, v] of Object.entries(patch)) {
            if (v === null) next.delete(k);
            else next.set(k, v);
        }
        setSearch(next, { replace: true });
    };
    const [lit, setLit] = useState<string | null>(null);
    const [picked, setPicked] = useState<string | null>(null);
    const [view, setView] = useState<'front' | 'back' | 'picture'>('front');
    const [names, setNames] = useState<'techniques' | 'paints'>('techniques');
    const [comparing, setComparing] = useState(false);
    const bend = useBend(data, queryKey);
    const { plan, unit } = data;
    const [missing, setMissing] = useState<string[] | null>(null);
    const release = useMutation({
        mutationFn: (despite?: string) =>
            api.post<UnitPlan>(`units/${unit.id}/release`, {
                revision: unit.revision,
                ...(despite ? { despite } : {}),
            }),
        onSuccess: (next) => {
            setMissing(null);
            bend.put(next);
            void queries.invalidateQueries({ queryKey: ['order'] });
            void message.success('On the bench: painters see it now.');
        },
        onError: (e) => {
            const gaps = e instanceof Problem && e.status === 409 ? e.body.current?.['missing'] : undefined;
            if (Array.isArray(gaps)) setMissing(gaps.map(String));
            else void message.error(saysWhy(e));
        },
    });
    const step = plan.steps.find((s) => s.key === picked) ?? null;
    const shown = data.figure.find((f) => f.key === lit) ?? null;
    const conflicts = data.kinds.reduce((n, k) => n + k.conflicts, 0);
    useEffect(() => {
        const press = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName)) return;
            if (e.key === 'Escape') setPicked(null);
            if (e.key === 'u') bend.undo?.();
            if (e.key === 'Delete' && step?.area && data.editable) {
                const rest = usesOn(data, step.area).filter((u) => u.technique !== step.technique);
                if (rest.length > 0) bend.edit(step.area, rest);
            }
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
    return (
        <>
            <Top>
                <Link to={`/orders/${unit.order}`} className="soft">
                    {unit.order_number}
                </Link>
                <TierMark order={unit.tier.order} status={unit.tier.status} />
                {data.piece === null ? (
                    <h1>
                        {unit.count} × {unit.sculpt}
                    </h1>
                ) : (
                    <h1>
                        Model {data.piece} of {unit.count}, {unit.sculpt}
                    </h1>
                )}
                <span className="pill">
                    {unit.tier.name} v{unit.standard_version}
                </span>
                {data.scheme && (
                    <Link className="pill" to={`/schemes/${data.scheme.slug}?order=${unit.order}`}>
                        {data.scheme.name} v{data.scheme.number}
                    </Link>
                )}
                {data.piece !== null && (
                    <button className="btn" onClick={() => go({ piece: null, tab: 'models' })}>
                        Back to the unit
                    </button>
                )}
                <span className="room" />
                {data.editable && (
                    <button
                        className="btn"
                        disabled={bend.undo === null || bend.busy}
                        onClick={() => bend.undo?.()}
                    >
                        Undo
                    </button>
                )}
                <button className="btn" onClick={() => setComparing(true)}>
                    Compare
                </button>
                <Link
                    className="btn"
                    to={`/units/${unit.id}/card${data.piece === null ? '' : `?piece=${data.piece}`}`}
                >
                    Bench card
                </Link>
                {unit.released ? (
                    <Link className="btn main" to={`/bench/${unit.id}`}>
                        To the bench
                    </Link>
                ) : (
                    data.editable && (
                        <button
                            className="btn main"
                            disabled={conflicts > 0 || release.isPending}
                            title={conflicts > 0 ? 'Conflicts want an amendment first' : undefined}
                            onClick={() => release.mutate(undefined)}
                        >
                            Release to bench
                        </button>
                    )
                )}
            </Top>
            {missing && (
                <Missing
                    missing={missing}
                    busy={release.isPending}
                    go={(why) => release.mutate(why)}
                    close={() => setMissing(null)}
                />
            )}
            <div className="tabs">
                <div className="tab-list" role="tablist">
                    {(Object.keys(TABS) as Tab[]).map((t) => (
                        <button key={t} role="tab" aria-selected={tab === t} onClick={() => go({ tab: t })}>
                            {TABS[t]}
                            {t === 'models' && data.kinds.length > 1 ? ` ${data.kinds.length} kinds` : ''}
                        </button>
                    ))}
                </div>
                <span style={{ flex: 1 }} />
                <span className="chips aims" role="group" aria-label="What it is planned for">
                    {(['quickest', 'best'] as const).map((a) => (
                        <button
                            key={a}
                            className="chip num"
                            aria-pressed={data.aims.chosen === a}
                            disabled={!data.editable || bend.busy}
                            title={
                                a === 'quickest'
                                    ? 'The least time that meets the tier'
                                    : 'The most to be noticed within the tier’s minutes'
                            }
                            onClick={() => {
                                if (data.aims.chosen !== a)
                                    bend.change('aim', { aim: a }, { aim: data.aims.chosen });
                            }}
                        >
                            {a} {minutes(data.aims[a])}
                        </button>
                    ))}
                </span>
                <span className="num totals">
                    <b style={{ font: '700 18px var(--head)' }}>{minutes(plan.totals.by_passes)}</b>{' '}
                    <span className="soft">a model ·</span>{' '}
                    <b>{minutes(data.whole.minutes + data.whole.setup)}</b>{' '}
                    <span className="soft">
                        the unit ·{' '}
                        {data.whole.waiting >= 1
                            ? `${minutes(data.whole.waiting)} waiting for paint`
                            : 'no waiting'}
                    </span>
                </span>
            </div>
            <div className="plan-page">
                <section className="card pad plan-figure">
                    <div className="chips" style={{ marginBottom: 8 }}>
                        {(['front', 'back', ...(data.reference ? ['picture' as const] : [])] as const).map(
                            (v) => (
                                <button
                                    key={v}
                                    className="chip"
                                    aria-pressed={view === v}
                                    onClick={() => setView(v)}
                                >
                                    {v === 'picture' ? 'client’s picture' : v}
                                </button>
                            ),
                        )}
                    </div>
                    {view === 'picture' && data.reference ? (
                        <a href={`/api/v1/pictures/${data.reference}`} target="_blank" rel="noreferrer">
                            <img
                                src={`/api/v1/pictures/${data.reference}`}
                                alt="The client’s reference picture"
                                style={{ width: '100%', borderRadius: 6 }}
                            />
                        </a>
                    ) : (
                        <Figure
                            areas={data.figure}
                            view={view === 'back' ? 'back' : 'front'}
                            frame={unit.frame_mm}
                            numbers
                            lit={lit ? [lit] : null}
                            onPick={(k) => setLit(k === lit ? null : k)}
                        />
                    )}
                    {shown ? (
                        <p className="small" style={{ margin: '10px 0 0' }}>
                            <b>
                                {shown.no} {shown.name}
                            </b>
                            <br />
                            <span className="soft">
                                {word('material', shown.material)},{' '}
                                {shown.relief.map((r) => word('relief', r)).join(', ')}
                            </span>
                            {shown.paint && (
                                <>
                                    <br />
                                    <Swatch hex={shown.colour} /> {shown.paint}
                                </>
                            )}
                        </p>
                    ) : (
                        <p className="small soft" style={{ margin: '10px 0 0' }}>
                            Point at an area or a row.
                        </p>
                    )}
                    {tab === 'areas' && (
                        <div
                            className="chips"
                            style={{ marginTop: 10 }}
                            role="group"
                            aria-label="What stands on the steps"
                        >
                            {(['techniques', 'paints'] as const).map((n) => (
                                <button
                                    key={n}
                                    className="chip"
                                    aria-pressed={names === n}
                                    onClick={() => setNames(n)}
                                >
                                    {n}
                                </button>
                            ))}
                        </div>
                    )}
                </section>
                <section className="card" style={{ overflow: 'hidden' }}>
                    {tab === 'areas' && (
                        <Areas
                            data={data}
                            bend={bend}
                            lit={lit}
                            setLit={setLit}
                            picked={picked}
                            pick={setPicked}
                            names={names}
                        />
                    )}
                    {tab === 'passes' && <Passes data={data} setLit={setLit} />}
                    {tab === 'order' && (
                        <OrderOfWork data={data} bend={bend} setLit={setLit} pick={setPicked} />
                    )}
                    {tab === 'paints' && <Paints data={data} />}
                    {tab === 'time' && <Time data={data} />}
                    {tab === 'models' && <Models data={data} bend={bend} />}
                </section>
                <aside className="report" style={{ display: 'grid', gap: 12 }}>
                    {step && <Why data={data} bend={bend} step={step} close={() => setPicked(null)} />}
                    <Report data={data} bend={bend} pick={setPicked} />
                    <Arrange data={data} bend={bend} />
                </aside>
            </div>
            <Modal
                open={comparing}
                title="Two plans side by side"
                footer={null}
                width={860}
                onCancel={() => setComparing(false)}
                destroyOnHidden
            >
                <Compare data={data} />
            </Modal>
        </>
    );
}

/** The same work as one pot over many areas, the way it is painted. */
function Passes({ data, setLit }: { data: UnitPlan; setLit: (key: string | null) => void }) {
    const { plan } = data;
    return (
        <table className="plain">
            <thead>
                <tr>
                    <th>No</th>
                    <th>Pass</th>
                    <th>Areas</th>
                    <th>Paint</th>
                    <th>Brush and thinning</th>
                    <th className="right">Min</th>
                    <th className="right">Dries</th>
                </tr>
            </thead>
            <tbody>
                {plan.passes.map((p) => {
                    const s = plan.steps.find((x) => x.no === p.steps[0]);
                    const card = data.techniques.find((t) => t.key === p.technique);
                    return (
                        <tr key={p.no} onMouseEnter={() => setLit(p.areas[0] ?? null)}>
                            <td className="num">{p.no}</td>
                            <td className="strong">{longName(data, p.technique)}</td>
                            <td>
                                {p.areas.length === 0
                                    ? 'whole model'
                                    : p.areas.map((a) => areaName(data, a)).join(', ')}
                            </td>
                            <td>
                                {p.paint && (
                                    <>
                                        <Swatch hex={s?.colour?.hex ?? null} /> {p.paint}
                                    </>
                                )}
                            </td>
                            <td className="small soft">
                                {[card?.tools, card?.consistency].filter(Boolean).join('; ')}
                            </td>
                            <td className="right num">{fewMinutes(p.minutes)}</td>
                            <td className="right num soft">{p.dry > 0 ? `${p.dry} min` : ''}</td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
}

function Paints({ data }: { data: UnitPlan }) {
    const { plan } = data;
    const paints = [
        ...new Map(plan.steps.filter((s) => s.colour).map((s) => [colourWords(s) ?? '', s])).entries(),
    ];
    return (
        <table className="plain">
            <thead>
                <tr>
                    <th>Paint</th>
                    <th>Used for</th>
                </tr>
            </thead>
            <tbody>
                {paints.map(([paint, s]) => (
                    <tr key={paint}>
                        <td className="strong" style={{ width: 260 }}>
                            <Swatch hex={s.colour?.hex ?? null} /> {paint}
                        </td>
                        <td className="small">
                            {[
                                ...new Set(
                                    plan.steps
                                        .filter((x) => colourWords(x) === paint)
                                        .map(
                                            (x) =>
                                                `${longName(data, x.technique).toLowerCase()} on ${areaName(data, x.area).toLowerCase()}`,
                                        ),
                                ),
                            ].join(', ')}
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** What should be there before a unit goes to the bench, and the reason why it goes without. */
function Missing({
    missing,
    busy,
    go,
    close,
}: {
    missing: string[];
    busy: boolean;
    go: (why: string) => void;
    close: () => void;
}) {
    const [why, setWhy] = useState('');
    return (
        <Modal open title="Before it goes to the bench" footer={null} width={560} onCancel={close}>
            <form
                style={{ display: 'grid', gap: 12 }}
                onSubmit={(e) => {
                    e.preventDefault();
                    go(why.trim());
                }}
            >
                {missing.map((m) => (
                    <p key={m} className="says warn" style={{ margin: 0 }}>
                        {m}
                    </p>
                ))}
                <label className="field">
                    <span>Why it goes all the same (kept with the release)</span>
                    <input
                        className="input"
                        autoFocus
                        required
                        value={why}
                        onChange={(e) => setWhy(e.target.value)}
                    />
                </label>
                <div style={{ display: 'flex', justifyContent: 'flex-end', gap: 8 }}>
                    <button type="button" className="btn" onClick={close}>
                        Not yet
                    </button>
                    <button className="btn main" disabled={busy || why.trim() === ''}>
                        Release all the same
                    </button>
                </div>
            </form>
        </Modal>
    );
}
