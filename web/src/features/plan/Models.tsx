import { useMutation } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Amendment, PieceKind, PlannedPiece, UnitPlan, Variant } from '../../api/types';
import { minutes, stageWords } from '../../ui/marks';
import { areaName, type Bend, longName } from './bend';

const numbers = (list: readonly number[]): string => {
    const runs: string[] = [];
    for (let i = 0; i < list.length; i++) {
        const from = list[i] ?? 0;
        while (list[i + 1] === (list[i] ?? 0) + 1) i++;
        runs.push(list[i] === from ? `${from}` : `${from}–${list[i] ?? 0}`);
    }
    return runs.join(', ');
};

/** Which models are alike, what each lacks or gets of its own, and the variants dealt over them. */
export function Models({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const [search, setSearch] = useSearchParams();
    const [chosen, setChosen] = useState<number | null>(data.piece);
    const piece = data.pieces.find((p) => p.number === chosen) ?? null;
    const open = (n: number | null) => {
        const next = new URLSearchParams(search);
        if (n === null) next.delete('piece');
        else next.set('piece', String(n));
        next.set('tab', 'areas');
        setSearch(next);
    };
    const words = (k: PieceKind) =>
        [
            k.variant,
            k.lacks.length > 0
                ? `without ${k.lacks.map((a) => areaName(data, a).toLowerCase()).join(', ')}`
                : null,
            k.amendments.length > 0 ? `amendment ${k.amendments.join(', ')}` : null,
            k.edited ? 'changed by hand' : null,
        ]
            .filter(Boolean)
            .join(' · ') || 'as the unit';
    return (
        <div style={{ padding: 16, display: 'grid', gap: 20 }}>
            <section>
                <div className="eyebrow">Painted alike</div>
                <table className="plain">
                    <thead>
                        <tr>
                            <th>Models</th>
                            <th>What is different</th>
                            <th className="right">A model</th>
                            <th className="right">Adds</th>
                            <th>Tier</th>
                        </tr>
                    </thead>
                    <tbody>
                        {data.kinds.map((k, i) => (
                            <tr key={i}>
                                <td className="strong num">
                                    {numbers(k.pieces)} <span className="soft">({k.pieces.length})</span>
                                </td>
                                <td>{words(k)}</td>
                                <td className="right num">{minutes(k.minutes)}</td>
                                <td className="right num">
                                    {Math.round(k.adds) === 0
                                        ? ''
                                        : `${k.adds > 0 ? '+' : '−'}${minutes(Math.abs(k.adds))}`}
                                </td>
                                <td>
                                    {k.conflicts > 0 ? (
                                        <span style={{ color: 'var(--fault)' }}>cannot be planned</span>
                                    ) : k.short > 0 ? (
                                        <span style={{ color: 'var(--fault)' }}>{k.short} short</span>
                                    ) : (
                                        <span className="soft">met</span>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                {data.kinds.length > 1 && (
                    <p className="small soft" style={{ margin: '8px 0 0' }}>
                        All of them are worked in one order; on the bench each model gets the steps it needs.
                    </p>
                )}
            </section>
            <section>
                <div className="eyebrow" style={{ marginBottom: 6 }}>
                    One model
                </div>
                <div className="cells">
                    {data.pieces.map((p) => {
                        const kind = data.kinds.find((k) => k.pieces.includes(p.number));
                        return (
                            <button
                                key={p.id}
                                className={`cell model ${kind?.plain ? '' : 'differs'}`}
                                aria-pressed={chosen === p.number}
                                title={`model ${p.number}, ${p.code}: ${stageWords(p.stage)}${kind?.plain ? '' : `, ${kind ? words(kind) : ''}`}`}
                                onClick={() => setChosen(chosen === p.number ? null : p.number)}
                            >
                                {p.number}
                            </button>
                        );
                    })}
                </div>
                {piece === null ? (
                    <p className="small soft">
                        Pick a model to say what it lacks, to give it something of its own, or to open its
                        plan. A sergeant or a banner bearer is such a model.
                    </p>
                ) : (
                    <One
                        key={`${piece.id} ${data.unit.revision}`}
                        data={data}
                        bend={bend}
                        piece={piece}
                        open={() => open(piece.number)}
                    />
                )}
            </section>
            <Variants key={data.unit.revision} data={data} bend={bend} />
        </div>
    );
}

function One({
    data,
    bend,
    piece,
    open,
}: {
    data: UnitPlan;
    bend: Bend;
    piece: PlannedPiece;
    open: () => void;
}) {
    const { message } = App.useApp();
    const [lacks, setLacks] = useState(piece.lacks);
    const [own, setOwn] = useState({ technique: '', area: data.areas[0]?.key ?? '', reason: '' });
    const refuse = (e: unknown) => void message.error(saysWhy(e));
    const keep = useMutation({
        mutationFn: (next: string[]) =>
            api.put<UnitPlan>(`pieces/${piece.id}/lacks`, { revision: data.unit.revision, lacks: next }),
        onSuccess: bend.put,
        onError: refuse,
    });
    const add = useMutation({
        mutationFn: () =>
            api.post<UnitPlan>(`units/${data.unit.id}/amendments`, {
                revision: data.unit.revision,
                piece: piece.number,
                amendment: {
                    level: 'piece',
                    do: 'add',
                    clause: null,
                    technique: own.technique,
                    scope: { area: [own.area] },
                    values: {},
                    reason: own.reason,
                    price: null,
                    on: null,
                } satisfies Amendment,
            }),
        onSuccess: bend.put,
        onError: refuse,
    });
    const toggle = (key: string) =>
        setLacks(lacks.includes(key) ? lacks.filter((k) => k !== key) : [...lacks, key]);
    const fits = data.techniques.filter((t) => t.areas[own.area]);
    return (
        <div className="card pad" style={{ marginTop: 10, display: 'grid', gap: 12 }}>
            <div style={{ display: 'flex', gap: 12, alignItems: 'baseline' }}>
                <h2>
                    Model {piece.number}, {piece.code}
                </h2>
                <span className="soft small">{stageWords(piece.stage)}</span>
                <span style={{ flex: 1 }} />
                <button className="btn" onClick={open}>
                    Its plan
                </button>
            </div>
            <div>
                <span className="small soft">What it does not have</span>
                <div className="chips" style={{ marginTop: 4 }}>
                    {data.areas.map((a) => (
                        <button
                            key={a.key}
                            type="button"
                            className="chip"
                            disabled={!data.editable}
                            aria-pressed={lacks.includes(a.key)}
                            onClick={() => toggle(a.key)}
                        >
                            {a.name}
                        </button>
                    ))}
                </div>
            </div>
            {data.editable && lacks.join() !== piece.lacks.join() && (
                <button
                    className="btn main"
                    style={{ justifySelf: 'start' }}
                    disabled={keep.isPending}
                    onClick={() => keep.mutate(lacks)}
                >
                    {lacks.length === 0
                        ? 'It has everything'
                        : `It lacks ${lacks.length} ${lacks.length === 1 ? 'area' : 'areas'}`}
                </button>
            )}
            {data.editable && (
                <form
                    style={{
                        display: 'grid',
                        gridTemplateColumns: '1fr 1fr 1.2fr auto',
                        gap: 8,
                        alignItems: 'end',
                    }}
                    onSubmit={(e) => {
                        e.preventDefault();
                        add.mutate();
                    }}
                >
                    <label className="field">
                        <span>Gets of its own, on</span>
                        <select
                            className="input"
                            value={own.area}
                            onChange={(e) => setOwn({ ...own, area: e.target.value, technique: '' })}
                        >
                            {data.areas.map((a) => (
                                <option key={a.key} value={a.key}>
                                    {a.name}
                                </option>
                            ))}
                        </select>
                    </label>
                    <label className="field">
                        <span>Technique</span>
                        <select
                            className="input"
                            value={own.technique}
                            onChange={(e) => setOwn({ ...own, technique: e.target.value })}
                        >
                            <option value="">choose one</option>
                            {fits.map((t) => (
                                <option key={t.key} value={t.key}>
                                    {t.name}, {minutes(t.areas[own.area]?.minutes ?? 0)}
                                </option>
                            ))}
                        </select>
                    </label>
                    <label className="field">
                        <span>Why</span>
                        <input
                            className="input"
                            value={own.reason}
                            placeholder="It is the sergeant"
                            onChange={(e) => setOwn({ ...own, reason: e.target.value })}
                        />
                    </label>
                    <button
                        className="btn"
                        disabled={own.technique === '' || own.reason.trim() === '' || add.isPending}
                    >
                        Add
                    </button>
                </form>
            )}
            {data.amendments
                .filter((a) => a.piece === piece.number)
                .map((a) => (
                    <p key={a.id} className="says small" style={{ margin: 0 }}>
                        {a.no}. {a.amendment.do === 'omit' ? 'leaves out' : 'gets'}{' '}
                        {a.amendment.technique
                            ? longName(data, a.amendment.technique).toLowerCase()
                            : 'something'}{' '}
                        on{' '}
                        {(a.amendment.scope.area ?? [])
                            .map((k) => areaName(data, k).toLowerCase())
                            .join(', ') || 'all areas'}
                        : {a.amendment.reason} ({a.by})
                    </p>
                ))}
        </div>
    );
}

interface Draft {
    name: string;
    percent: number;
    slot: string;
    base: string;
    technique: string;
    area: string;
    rest: Variant | null;
}

const slotsOf = (v: Variant | null): Record<string, { base?: string }> =>
    (v?.colours as { slots?: Record<string, { base?: string }> } | null | undefined)?.slots ?? {};

const draftOf = (v: Variant): Draft => {
    const slots = slotsOf(v);
    const [slot = ''] = Object.keys(slots);
    const extra = v.amendments?.[0];
    return {
        name: v.name,
        percent: Math.round(v.share * 100),
        slot,
        base: slots[slot]?.base ?? '',
        technique: extra?.technique ?? '',
        area: extra?.scope.area?.[0] ?? '',
        rest: v,
    };
};

/** Equal ones are spread out, so that no two neighbours look like clones. */
function Variants({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const [list, setList] = useState<Draft[]>(data.variants.map(draftOf));
    const slots = [...new Set(data.figure.map((f) => f.slot).filter((s): s is string => s !== null))];
    const set = (i: number, patch: Partial<Draft>) =>
        setList(list.map((v, k) => (k === i ? { ...v, ...patch } : v)));
    const document = (): Variant[] =>
        list.map((v) => ({
            name: v.name,
            share: v.percent / 100,
            colours:
                v.slot && v.base
                    ? {
                          slots: {
                              ...slotsOf(v.rest),
                              [v.slot]: { shades: [], lights: [], ...slotsOf(v.rest)[v.slot], base: v.base },
                          },
                          areas: {},
                      }
                    : null,
            amendments:
                v.technique && v.area
                    ? [
                          {
                              level: 'unit',
                              do: 'add',
                              clause: null,
                              technique: v.technique,
                              scope: { area: [v.area] },
                              values: {},
                              reason: `Variant ${v.name}.`,
                              price: null,
                              on: null,
                          },
                      ]
                    : [],
        }));
    const changed = JSON.stringify(list) !== JSON.stringify(data.variants.map(draftOf));
    const left = 100 - list.reduce((s, v) => s + v.percent, 0);
    return (
        <section>
            <div className="eyebrow">Variants</div>
            <p className="small soft" style={{ margin: '2px 0 8px' }}>
                A unit should not look like clones. Each variant is another colour in one slot, something
                extra on one area, or both; its models are spread over the unit
                {list.length > 0 ? `, and ${left} % stay as the unit` : ''}.
            </p>
            {list.map((v, i) => (
                <div key={i} className="variant">
                    <label className="field">
                        <span>Name</span>
                        <input
                            className="input"
                            disabled={!data.editable}
                            value={v.name}
                            onChange={(e) => set(i, { name: e.target.value })}
                        />
                    </label>
                    <label className="field">
                        <span>Share, %</span>
                        <input
                            className="input num"
                            disabled={!data.editable}
                            type="number"
                            min={1}
                            max={100}
                            value={v.percent}
                            onChange={(e) => set(i, { percent: Number(e.target.value) })}
                        />
                    </label>
                    <label className="field">
                        <span>In the slot</span>
                        <select
                            className="input"
                            disabled={!data.editable}
                            value={v.slot}
                            onChange={(e) => set(i, { slot: e.target.value })}
                        >
                            <option value="">no other colour</option>
                            {slots.map((s) => (
                                <option key={s}>{s}</option>
                            ))}
                        </select>
                    </label>
                    <label className="field">
                        <span>Base colour</span>
                        <select
                            className="input"
                            disabled={!data.editable || v.slot === ''}
                            value={v.base}
                            onChange={(e) => set(i, { base: e.target.value })}
                        >
                            <option value="">choose one</option>
                            {data.paints.map((p) => (
                                <option key={p.name}>{p.name}</option>
                            ))}
                        </select>
                    </label>
                    <label className="field">
                        <span>Extra on</span>
                        <select
                            className="input"
                            disabled={!data.editable}
                            value={v.area}
                            onChange={(e) => set(i, { area: e.target.value, technique: '' })}
                        >
                            <option value="">nothing extra</option>
                            {data.areas.map((a) => (
                                <option key={a.key} value={a.key}>
                                    {a.name}
                                </option>
                            ))}
                        </select>
                    </label>
                    <label className="field">
                        <span>Technique</span>
                        <select
                            className="input"
                            disabled={!data.editable || v.area === ''}
                            value={v.technique}
                            onChange={(e) => set(i, { technique: e.target.value })}
                        >
                            <option value="">choose one</option>
                            {data.techniques
                                .filter((t) => t.areas[v.area])
                                .map((t) => (
                                    <option key={t.key} value={t.key}>
                                        {t.name}
                                    </option>
                                ))}
                        </select>
                    </label>
                    {data.editable && (
                        <button
                            className="btn quiet"
                            aria-label={`Remove ${v.name}`}
                            onClick={() => setList(list.filter((_, k) => k !== i))}
                        >
                            ✕
                        </button>
                    )}
                </div>
            ))}
            {data.editable && (
                <div style={{ display: 'flex', gap: 8, marginTop: 8 }}>
                    <button
                        className="btn"
                        onClick={() =>
                            setList([
                                ...list,
                                {
                                    name: `Variant ${list.length + 1}`,
                                    percent: Math.min(25, Math.max(1, left)),
                                    slot: '',
                                    base: '',
                                    technique: '',
                                    area: '',
                                    rest: null,
                                },
                            ])
                        }
                    >
                        Add a variant
                    </button>
                    {changed && (
                        <button
                            className="btn main"
                            disabled={bend.busy || left < 0}
                            onClick={() =>
                                bend.change('variants', { variants: document() }, { variants: data.variants })
                            }
                        >
                            {left < 0 ? 'More than the whole unit' : 'Deal them out'}
                        </button>
                    )}
                </div>
            )}
        </section>
    );
}
