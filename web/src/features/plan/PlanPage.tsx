import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Edits, Extent, PlanStep, UnitPlan } from '../../api/types';
import { Top } from '../../app/Frame';
import { Figure } from '../../ui/Figure';
import { ExtentMark, extentWords, minutes, Swatch, TierMark } from '../../ui/marks';
import { Caution, Failed, Loading } from '../../ui/states';
import { effectWords, plain } from '../standard/words';
import { Arrange } from './Arrange';

const COLUMNS: [string, string[]][] = [['Base', ['spray', 'base']], ['Shade', ['shade']], ['Light', ['highlight', 'blend']], ['Lines, detail', ['line', 'detail']], ['Marks, wear', ['mark', 'wear', 'protect', 'ground']]];
const colourWords = (s: PlanStep) => (s.colour ? (s.colour.mixed_with ? `${s.colour.paint} and ${s.colour.mixed_with}, one to one` : s.colour.paint) : null);

export default function PlanPage() {
    const { id } = useParams();
    const query = useQuery({ queryKey: ['plan', id], queryFn: () => api.get<UnitPlan>(`units/${id ?? ''}/plan`) });
    if (query.isPending) return <Loading what="the plan" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Plan data={query.data} />;
}

function Plan({ data }: { data: UnitPlan }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const [tab, setTab] = useState<'areas' | 'passes' | 'order' | 'paints'>('areas');
    const [lit, setLit] = useState<string | null>(null);
    const [picked, setPicked] = useState<number | null>(null);
    const [view, setView] = useState<'front' | 'back'>('front');
    const [undo, setUndo] = useState<Edits[]>([]);
    const { plan, unit } = data;
    const put = (next: UnitPlan) => { queries.setQueryData(['plan', String(unit.id)], next); setPicked(null); };
    const edit = useMutation({ mutationFn: (edits: Edits) => api.put<UnitPlan>(`units/${unit.id}/plan`, { revision: unit.revision, edits }), onSuccess: put, onError: (e) => void message.error(saysWhy(e)) });
    const release = useMutation({ mutationFn: () => api.post<UnitPlan>(`units/${unit.id}/release`, { revision: unit.revision }), onSuccess: (next) => { put(next); void queries.invalidateQueries({ queryKey: ['order'] }); void message.success('On the bench: painters see it now.'); }, onError: (e) => void message.error(saysWhy(e)) });
    const name = (key: string) => data.techniques.find((t) => t.key === key)?.name ?? plain(key);
    const areaName = (key: string | null) => (key === null ? 'whole model' : (data.figure.find((a) => a.key === key)?.name ?? key));
    const family = (key: string) => data.techniques.find((t) => t.key === key)?.family ?? '';
    const step = plan.steps.find((s) => s.no === picked) ?? null;
    const used = (area: string) => plan.areas.find((a) => a.area === area)?.techniques.map(({ technique, passes, extent }) => ({ technique, passes, extent })) ?? [];
    const change = (area: string, list: { technique: string; passes: number; extent: Extent }[]) => { setUndo([...undo, unit.edits]); edit.mutate({ ...unit.edits, [area]: list }); };
    const states = plan.requirements.filter((r) => r.state !== null);
    const count = (s: string) => states.filter((r) => r.state === s).length;
    const surplus = new Map(plan.surplus.map((s) => [s.step, s]));
    const because = (id: string) => (id === 'base' ? 'every area needs one base colour' : id === 'tidy' ? 'a wash under light is tidied' : id.startsWith('method.') ? `the method: ${plain(id.slice(7))}` : id.startsWith('amend.') ? `amendment ${id.slice(6)}` : (data.clauses[id] ?? id));
    const last = undo[undo.length - 1];
    return (
        <>
            <Top>
                <Link to={`/orders/${unit.order}`} className="soft">{unit.order_number}</Link>
                <TierMark order={unit.tier.order} status={unit.tier.status} />
                <h1>{unit.count} × {unit.sculpt}</h1>
                <span className="pill">{unit.tier.name} v{unit.standard_version}</span>
                <span className="room" />
                {data.editable && <button className="btn" disabled={!last || edit.isPending} onClick={() => { if (last) { setUndo(undo.slice(0, -1)); edit.mutate(last); } }}>Undo</button>}
                {unit.released ? <Link className="btn main" to={`/bench/${unit.id}`}>To the bench</Link>
                    : data.editable && <button className="btn main" disabled={plan.conflicts.length > 0 || release.isPending} onClick={() => release.mutate()}>Release to bench</button>}
            </Top>
            <div className="tabs" role="tablist">
                {(['areas', 'passes', 'order', 'paints'] as const).map((t) => <button key={t} role="tab" aria-selected={tab === t} onClick={() => setTab(t)}>{{ areas: 'Areas', passes: 'Passes', order: 'Order of work', paints: 'Paints' }[t]}</button>)}
                <span style={{ flex: 1 }} />
                <span className="num"><b style={{ font: '700 18px var(--head)' }}>{minutes(plan.totals.by_passes)}</b> <span className="soft">a model ·</span> <b>{minutes(plan.totals.by_passes * unit.count + plan.totals.setup)}</b> <span className="soft">the unit, {minutes(plan.totals.setup)} of it setting up · {plan.totals.waiting >= 1 ? `${minutes(plan.totals.waiting)} waiting for paint` : 'no waiting'}</span></span>
            </div>
            <div className="plan-page">
                <section className="card pad" style={{ position: 'sticky', top: 74 }}>
                    <div className="chips" style={{ marginBottom: 8 }}>{(['front', 'back'] as const).map((v) => <button key={v} className="chip" aria-pressed={view === v} onClick={() => setView(v)}>{v}</button>)}</div>
                    <Figure areas={data.figure} view={view} frame={unit.frame_mm} numbers lit={lit ? [lit] : null} onPick={(k) => setLit(k === lit ? null : k)} />
                    {lit && <p className="small" style={{ margin: '10px 0 0' }}><b>{areaName(lit)}</b><br /><span className="soft">{plain(data.figure.find((a) => a.key === lit)?.material ?? '')}, {data.figure.find((a) => a.key === lit)?.relief.map(plain).join(', ')}</span><br />{data.figure.find((a) => a.key === lit)?.paint && <><Swatch hex={data.figure.find((a) => a.key === lit)?.colour ?? null} /> {data.figure.find((a) => a.key === lit)?.paint}</>}</p>}
                </section>
                <section className="card" style={{ overflow: 'hidden' }}>
                    {tab === 'areas' && (
                        <div className="strips">
                            <div className="h name">Area</div>{COLUMNS.map(([t]) => <div key={t} className="h">{t}</div>)}<div className="h min">Min</div>
                            <div className="name" style={{ gridColumn: '1 / 2' }}><span className="soft">Whole model</span></div>
                            <div style={{ gridColumn: '2 / 7', display: 'flex', gap: 4, flexWrap: 'wrap' }}>{plan.steps.filter((s) => s.area === null).map((s) => <button key={s.no} className="step" style={{ width: 'auto', paddingLeft: 7 }} aria-pressed={picked === s.no} onClick={() => setPicked(s.no)}><span className="t">{name(s.technique)}</span><span className="m num">{Math.round(s.minutes)}</span></button>)}</div>
                            <div className="min num">{Math.round(plan.whole.reduce((m, w) => m + w.minutes, 0))}</div>
                            {data.figure.map((a) => {
                                const planned = plan.areas.find((p) => p.area === a.key);
                                const steps = plan.steps.filter((s) => s.area === a.key);
                                const conflict = plan.conflicts.find((c) => c.area === a.key);
                                const on = lit === a.key ? 'lit' : '';
                                return [
                                    <div key={`${a.key}n`} className={`name ${on}`} onMouseEnter={() => setLit(a.key)}><button className="btn quiet" style={{ padding: 0, minHeight: 0, color: 'inherit', fontWeight: 400, whiteSpace: 'normal', textAlign: 'left' }} onClick={() => setLit(a.key)}><span><b>{a.no}</b> {a.name}</span></button></div>,
                                    ...(conflict ? [<div key={`${a.key}c`} style={{ gridColumn: '2 / 7' }} className={on}><span className="says bad small" style={{ display: 'block' }}>Cannot be planned: {conflict.reason}</span></div>]
                                        : COLUMNS.map(([t, families]) => (
                                            <div key={`${a.key}${t}`} className={on}>
                                                {steps.filter((s) => s.pass === 1 && families.includes(family(s.technique))).map((s) => {
                                                    const all = steps.filter((x) => x.technique === s.technique);
                                                    return (
                                                        <button key={s.no} className={`step ${surplus.get(s.no)?.beyond ? 'beyond' : ''}`} aria-pressed={picked === s.no} title={`${name(s.technique)}, ${extentWords(s.extent)}`} data-area={a.key} onClick={() => { setPicked(s.no); setLit(a.key); }}>
                                                            <span className="ink" style={{ background: s.colour?.hex ?? 'var(--rule)' }} /><span className="t">{name(s.technique)}</span>{(s.extent !== 'full' || all.length > 1) && <ExtentMark extent={s.extent} passes={all.length} />}<span className="m num">{Math.max(1, Math.round(all.reduce((m, x) => m + x.minutes, 0)))}</span>
                                                        </button>
                                                    );
                                                })}
                                            </div>
                                        ))),
                                    <div key={`${a.key}m`} className={`min num ${on}`}>{planned?.minutes == null ? '–' : Math.max(planned.minutes > 0 ? 1 : 0, Math.round(planned.minutes))}</div>,
                                ];
                            })}
                        </div>
                    )}
                    {tab === 'passes' && (
                        <table className="plain"><thead><tr><th>No</th><th>Pass</th><th>Areas</th><th>Paint</th><th className="right">Min</th><th className="right">Dries</th></tr></thead>
                            <tbody>{plan.passes.map((p) => { const s = plan.steps.find((x) => x.no === p.steps[0]); return <tr key={p.no} onMouseEnter={() => setLit(p.areas[0] ?? null)}><td className="num">{p.no}</td><td className="strong">{name(p.technique)}</td><td>{p.areas.length === 0 ? 'whole model' : p.areas.map(areaName).join(', ')}</td><td>{p.paint && <><Swatch hex={s?.colour?.hex ?? null} /> {p.paint}</>}</td><td className="right num">{Math.max(1, Math.round(p.minutes))}</td><td className="right num soft">{p.dry > 0 ? `${p.dry} min` : ''}</td></tr>; })}</tbody></table>
                    )}
                    {tab === 'order' && (
                        <ol style={{ margin: 0, padding: '8px 12px 12px 44px' }}>{plan.steps.map((s) => <li key={s.no} style={{ padding: '5px 0', borderBottom: '1px solid var(--rule)' }} onMouseEnter={() => setLit(s.area)}><button className="btn quiet" style={{ padding: 0, minHeight: 0, color: 'inherit' }} onClick={() => setPicked(s.no)}>{name(s.technique)}{s.pass > 1 ? `, pass ${s.pass}` : ''}</button> <span className="soft">on {areaName(s.area).toLowerCase()}{colourWords(s) ? `, ${colourWords(s) ?? ''}` : ''}</span><div className="small soft">{s.order_because.map((r) => data.rules[r] ?? r).join(' · ') || 'first of all'}</div></li>)}</ol>
                    )}
                    {tab === 'paints' && (
                        <table className="plain"><thead><tr><th>Paint</th><th>Used for</th></tr></thead><tbody>{[...new Map(plan.steps.filter((s) => s.colour).map((s) => [colourWords(s) ?? '', s])).entries()].map(([paint, s]) => <tr key={paint}><td className="strong" style={{ width: 240 }}><Swatch hex={s.colour?.hex ?? null} /> {paint}</td><td className="small">{[...new Set(plan.steps.filter((x) => colourWords(x) === paint).map((x) => `${name(x.technique).toLowerCase()} on ${areaName(x.area).toLowerCase()}`))].join(', ')}</td></tr>)}</tbody></table>
                    )}
                </section>
                <aside className="report" style={{ display: 'grid', gap: 14 }}>
                    {step ? (
                        <section className="card pad">
                            <div className="eyebrow">Why is this here?</div>
                            <h2 style={{ margin: '2px 0 6px' }}>{name(step.technique)} on {areaName(step.area).toLowerCase()}</h2>
                            <p className="small" style={{ margin: '0 0 6px' }}>Asked by {step.because.map(because).join('; ')}.</p>
                            <p className="small soft" style={{ margin: '0 0 6px' }}>In this place because {step.order_because.map((r) => data.rules[r] ?? r).join('; ') || 'nothing comes before it'}.</p>
                            {step.colour && <p className="small"><Swatch hex={step.colour.hex} /> {colourWords(step)}</p>}
                            <p className="small">{data.techniques.find((t) => t.key === step.technique)?.how}</p>
                            <Caution text={data.techniques.find((t) => t.key === step.technique)?.caution} />
                            {data.editable && step.area !== null && <EditStep data={data} step={step} used={used(step.area)} change={(list) => change(step.area ?? '', list)} back={() => { setUndo([...undo, unit.edits]); const rest = { ...unit.edits }; delete rest[step.area ?? '']; edit.mutate(rest); }} />}
                            <button className="btn quiet" onClick={() => setPicked(null)}>Close</button>
                        </section>
                    ) : null}
                    <Arrange data={data} put={(next) => { put(next); void queries.invalidateQueries({ queryKey: ['order'] }); }} edit={(edits) => { setUndo([...undo, unit.edits]); edit.mutate(edits); }} />
                    <section className="card pad">
                        <div className="eyebrow">Against {unit.tier.name}, v{unit.standard_version}</div>
                        <h2 style={{ margin: '2px 0 8px' }}>{count('short') + count('conflict') === 0 ? 'Meets the tier' : `${count('short') + count('conflict')} short`}{count('over') > 0 ? ` · ${count('over')} over` : ''}</h2>
                        <p className="small soft" style={{ margin: 0 }}>{count('met')} met{plan.surplus.length > 0 ? ` · ${plan.surplus.length} steps to spare` : ''} · {plan.requirements.length - states.length} judged on the finished work</p>
                        {states.filter((r) => r.state !== 'met').map((r, i) => <div key={i} className={`says small ${r.state === 'over' ? 'warn' : 'bad'}`} style={{ marginTop: 8 }}><b>{r.state === 'over' ? 'Over' : 'Short'}: {areaName(r.area)}</b><br />{r.kind === 'steps' ? 'colour steps' : effectWords(r.subject)}, {r.state === 'over' ? `${Math.round(r.off_by)} too many` : `${Math.round(r.off_by)} lacking`}</div>)}
                        {plan.surplus.filter((s) => s.beyond).map((s) => { const it = plan.steps.find((x) => x.no === s.step); return it && <div key={s.step} className="says warn small" style={{ marginTop: 8 }}><b>Beyond: {name(it.technique)} on {areaName(it.area).toLowerCase()}</b><br />{Math.round(s.minutes)} min a model, {Math.round(s.minutes * unit.count)} min the unit, that nobody pays for.</div>; })}
                        {plan.warnings.filter((w) => w.kind !== 'hardly_seen').map((w, i) => <div key={i} className="says small" style={{ marginTop: 8 }}>{w.text}</div>)}
                        {plan.warnings.some((w) => w.kind === 'hardly_seen') && <details className="small" style={{ marginTop: 8 }}><summary>{plan.warnings.filter((w) => w.kind === 'hardly_seen').length} steps that will hardly be seen</summary>{plan.warnings.filter((w) => w.kind === 'hardly_seen').map((w, i) => <p key={i} style={{ margin: '4px 0' }}>{w.text}</p>)}</details>}
                        {plan.not_applicable.length > 0 && <details className="small" style={{ marginTop: 8 }}><summary>{plan.not_applicable.length} asked for what cannot be there</summary>{plan.not_applicable.map((n, i) => <p key={i} style={{ margin: '4px 0' }}>{areaName(n.area)}: {effectWords(n.subject)}, {n.reason}</p>)}</details>}
                    </section>
                </aside>
            </div>
        </>
    );
}

function EditStep({ data, step, used, change, back }: { data: UnitPlan; step: PlanStep; used: { technique: string; passes: number; extent: Extent }[]; change: (list: { technique: string; passes: number; extent: Extent }[]) => void; back: () => void }) {
    const area = step.area ?? '';
    const mine = used.find((u) => u.technique === step.technique);
    const fitting = data.techniques.filter((t) => t.areas[area] && t.key !== step.technique);
    const family = data.techniques.find((t) => t.key === step.technique)?.family;
    const label = (t: (typeof fitting)[number]) => `${t.name}, ${Math.max(1, Math.round(t.areas[area]?.minutes ?? 0))} min${t.areas[area]?.allowed ? '' : ' (tier does not offer it)'}`;
    if (!mine) return null;
    const others = used.filter((u) => u !== mine);
    return (
        <div style={{ display: 'grid', gap: 8, margin: '10px 0', borderTop: '1px solid var(--rule)', paddingTop: 10 }}>
            <div style={{ display: 'grid', gridTemplateColumns: '1fr 90px', gap: 8 }}>
                <label className="field"><span>How widely</span><select className="input" value={mine.extent} onChange={(e) => change([...others, { ...mine, extent: e.target.value as Extent }])}>{(['spot', 'prominent', 'full'] as Extent[]).map((x) => <option key={x} value={x}>{extentWords(x)}</option>)}</select></label>
                <label className="field"><span>Passes</span><input className="input" type="number" min={1} max={data.techniques.find((t) => t.key === step.technique)?.max_passes ?? 1} value={mine.passes} onChange={(e) => change([...others, { ...mine, passes: Number(e.target.value) || 1 }])} /></label>
            </div>
            <label className="field"><span>Instead</span><select className="input" value="" onChange={(e) => change([...others, { technique: e.target.value, passes: 1, extent: mine.extent }])}><option value="">choose another</option>{fitting.filter((t) => t.family === family).map((t) => <option key={t.key} value={t.key}>{label(t)}</option>)}</select></label>
            <label className="field"><span>Beside it</span><select className="input" value="" onChange={(e) => change([...used, { technique: e.target.value, passes: 1, extent: 'full' }])}><option value="">add a step to this area</option>{fitting.filter((t) => !used.some((u) => u.technique === t.key)).map((t) => <option key={t.key} value={t.key}>{label(t)}</option>)}</select></label>
            <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}><button className="btn danger" disabled={others.length === 0} onClick={() => change(others)}>Take out</button>{data.unit.edits[area] && <button className="btn" onClick={back}>As the planner had it</button>}</div>
        </div>
    );
}
