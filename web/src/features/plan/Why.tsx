import { useMutation } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { Extent, PlanStep, UnitPlan } from '../../api/types';
import { extentWords, Swatch } from '../../ui/marks';
import { Caution } from '../../ui/states';
import { areaName, becauseWords, type Bend, colourWords, longName, usesOn, fewMinutes } from './bend';

/** Why a step is here, what could be done instead, its paint and its note. */
export function Why({
    data,
    bend,
    step,
    close,
}: {
    data: UnitPlan;
    bend: Bend;
    step: PlanStep;
    close: () => void;
}) {
    const card = data.techniques.find((t) => t.key === step.technique);
    const surplus = data.plan.surplus.find((s) => s.step === step.no);
    return (
        <section className="card pad why" aria-label="Why is this here?">
            <div style={{ display: 'flex', justifyContent: 'space-between' }}>
                <span className="eyebrow">Why is this here?</span>
                <button
                    className="btn quiet"
                    style={{ minHeight: 0, padding: 0 }}
                    onClick={close}
                    aria-label="Close"
                >
                    ✕
                </button>
            </div>
            <h2 style={{ margin: '2px 0 6px' }}>
                {longName(data, step.technique)} on {areaName(data, step.area).toLowerCase()}
            </h2>
            <p className="small" style={{ margin: '0 0 6px' }}>
                Asked by{' '}
                {step.because.map((b) => becauseWords(data, b)).join('; ') || 'nobody: it was added by hand'}.
            </p>
            <p className="small soft" style={{ margin: '0 0 6px' }}>
                In this place because{' '}
                {step.order_because.map((r) => data.rules[r] ?? r).join('; ') || 'nothing comes before it'}.
            </p>
            {step.colour && (
                <p className="small" style={{ margin: '0 0 6px' }}>
                    <Swatch hex={step.colour.hex} /> {colourWords(step)}
                    {step.colour.mixed_with ? ': ten drops of each' : ''}
                </p>
            )}
            <p className="small" style={{ margin: '0 0 6px' }}>
                {card?.how}
            </p>
            <Caution text={card?.caution} />
            {surplus?.practice && <p className="says small">Done as practice: not counted as given away.</p>}
            {data.editable && step.area !== null && !step.key.endsWith(':joint') && (
                <Change
                    data={data}
                    bend={bend}
                    step={step}
                    area={step.area}
                    beyond={surplus?.beyond ?? false}
                />
            )}
            {data.editable && data.piece === null && (
                <PaintAndNote key={`${step.key} ${data.unit.revision}`} data={data} bend={bend} step={step} />
            )}
            {!data.editable && data.arranged.notes[step.key] && (
                <p className="says small">{data.arranged.notes[step.key]}</p>
            )}
        </section>
    );
}

function Change({
    data,
    bend,
    step,
    area,
    beyond,
}: {
    data: UnitPlan;
    bend: Bend;
    step: PlanStep;
    area: string;
    beyond: boolean;
}) {
    const { message } = App.useApp();
    const used = usesOn(data, area);
    const mine = used.find((u) => u.technique === step.technique);
    const leave = useMutation({
        mutationFn: (reason: string) =>
            api.post<UnitPlan>(`units/${data.unit.id}/amendments`, {
                revision: data.unit.revision,
                ...(data.piece === null ? {} : { piece: data.piece }),
                amendment: {
                    level: data.piece === null ? 'unit' : 'piece',
                    do: 'omit',
                    clause: null,
                    technique: step.technique,
                    scope: { area: [area] },
                    values: {},
                    reason,
                    price: null,
                    on: null,
                },
            }),
        onSuccess: bend.put,
        onError: (e) => void message.error(saysWhy(e)),
    });
    const [why, setWhy] = useState<string | null>(null);
    if (!mine) return null;
    const others = used.filter((u) => u !== mine);
    const card = data.techniques.find((t) => t.key === step.technique);
    const family = card?.family;
    const fitting = data.techniques
        .filter((t) => t.areas[area] && t.key !== step.technique)
        .sort((a, b) => (a.areas[area]?.minutes ?? 0) - (b.areas[area]?.minutes ?? 0));
    const minutes = (t: (typeof fitting)[number]) => fewMinutes(t.areas[area]?.minutes ?? 0);
    const instead = fitting.filter((t) => t.family === family && !used.some((u) => u.technique === t.key));
    return (
        <div className="change">
            <div style={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 76px', gap: 8 }}>
                <label className="field">
                    <span>How widely</span>
                    <select
                        className="input"
                        value={mine.extent}
                        onChange={(e) =>
                            bend.edit(area, [...others, { ...mine, extent: e.target.value as Extent }])
                        }
                    >
                        {(['spot', 'prominent', 'full'] as Extent[]).map((x) => (
                            <option key={x} value={x}>
                                {extentWords(x)}
                            </option>
                        ))}
                    </select>
                </label>
                <label className="field">
                    <span>Passes</span>
                    <input
                        className="input"
                        type="number"
                        min={1}
                        max={card?.max_passes ?? 1}
                        value={mine.passes}
                        onChange={(e) =>
                            bend.edit(area, [...others, { ...mine, passes: Number(e.target.value) || 1 }])
                        }
                    />
                </label>
            </div>
            {instead.length > 0 && (
                <div>
                    <span className="small soft">Instead</span>
                    <div className="instead">
                        {instead.slice(0, 6).map((t) => (
                            <button
                                key={t.key}
                                className="chip"
                                title={t.purpose}
                                disabled={bend.busy}
                                onClick={() =>
                                    bend.edit(area, [
                                        ...others,
                                        { technique: t.key, passes: 1, extent: mine.extent },
                                    ])
                                }
                            >
                                {t.name} <span className="num soft">{minutes(t)}</span>
                                {t.areas[area]?.allowed ? '' : ' +'}
                            </button>
                        ))}
                    </div>
                    {instead.some((t) => !t.areas[area]?.allowed) && (
                        <span className="small soft">+ {data.unit.tier.name} does not offer it</span>
                    )}
                </div>
            )}
            <label className="field">
                <span>Beside it</span>
                <select
                    className="input"
                    value=""
                    onChange={(e) =>
                        bend.edit(area, [...used, { technique: e.target.value, passes: 1, extent: 'full' }])
                    }
                >
                    <option value="">add a step to this area</option>
                    {fitting
                        .filter((t) => !used.some((u) => u.technique === t.key))
                        .map((t) => (
                            <option key={t.key} value={t.key}>
                                {t.name}, {minutes(t)} min{t.areas[area]?.allowed ? '' : ' (not offered)'}
                            </option>
                        ))}
                </select>
            </label>
            <div style={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
                <button
                    className="btn danger"
                    disabled={others.length === 0 || bend.busy}
                    onClick={() => bend.edit(area, others)}
                >
                    Take out
                </button>
                {data.unit.edits[area] && (
                    <button className="btn" onClick={() => bend.edit(area, null)}>
                        As planned
                    </button>
                )}
                {beyond && data.piece === null && (
                    <button
                        className="btn"
                        onClick={() =>
                            bend.change(
                                'practice',
                                { technique: step.technique },
                                { technique: data.arranged.practice },
                            )
                        }
                    >
                        It is practice
                    </button>
                )}
                {data.arranged.practice === step.technique && (
                    <button
                        className="btn"
                        onClick={() =>
                            bend.change('practice', { technique: null }, { technique: step.technique })
                        }
                    >
                        Not practice any more
                    </button>
                )}
            </div>
            {why === null ? (
                <button
                    className="btn quiet"
                    style={{ justifySelf: 'start', padding: 0 }}
                    onClick={() => setWhy('')}
                >
                    Leave it out {data.piece === null ? 'on all models' : 'on this model'}, and say why
                </button>
            ) : (
                <form
                    style={{ display: 'flex', gap: 6 }}
                    onSubmit={(e) => {
                        e.preventDefault();
                        leave.mutate(why);
                    }}
                >
                    <input
                        className="input"
                        autoFocus
                        required
                        aria-label="Why it is left out"
                        placeholder="It cannot be seen"
                        value={why}
                        onChange={(e) => setWhy(e.target.value)}
                    />
                    <button className="btn" disabled={why.trim() === '' || leave.isPending}>
                        Leave out
                    </button>
                </form>
            )}
        </div>
    );
}

function PaintAndNote({ data, bend, step }: { data: UnitPlan; bend: Bend; step: PlanStep }) {
    const paint = data.arranged.paints[step.key] ?? '';
    const note = data.arranged.notes[step.key] ?? '';
    const [typed, setTyped] = useState(note);
    const keep = (next: { paint?: string; note?: string }) =>
        bend.change(
            'step',
            { step: step.key, paint: (next.paint ?? paint) || null, note: next.note ?? note },
            { step: step.key, paint: paint || null, note },
        );
    return (
        <div className="change">
            <label className="field">
                <span>Paint</span>
                <select className="input" value={paint} onChange={(e) => keep({ paint: e.target.value })}>
                    <option value="">
                        as the scheme has it{step.colour && !paint ? `: ${colourWords(step) ?? ''}` : ''}
                    </option>
                    {data.paints.map((p) => (
                        <option key={p.name} value={p.name}>
                            {p.name}
                        </option>
                    ))}
                </select>
            </label>
            <label className="field">
                <span>Note for the bench</span>
                <input
                    className="input"
                    value={typed}
                    onChange={(e) => setTyped(e.target.value)}
                    onBlur={() => {
                        if (typed !== note) keep({ note: typed });
                    }}
                />
            </label>
        </div>
    );
}
