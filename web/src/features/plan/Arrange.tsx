import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { Amendment, Edits, Raised, SchoolChoice, Spare, TierMove, UnitPlan, Use } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { minutes, TierMark } from '../../ui/marks';
import { Loading } from '../../ui/states';
import { word } from '../standard/words';
import { type Bend, longName } from './bend';
import { Copy } from './Compare';

const change = (from: number, to: number) =>
    Math.round(to) === Math.round(from)
        ? 'the same minutes'
        : `${to > from ? '+' : '−'}${minutes(Math.abs(to - from))}`;

/** What can be arranged before a unit goes to the bench: tier, method, amendments, spare minutes; each says what it does first. */
export function Arrange({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const { put, edits: edit } = bend;
    const [open, setOpen] = useState<'tier' | 'method' | 'amend' | 'spare' | 'copy' | null>(null);
    const person = usePerson();
    if (!data.editable) {
        return (
            <>
                {data.amendments.length > 0 && (
                    <section className="card pad">
                        <div className="eyebrow">Amendments</div>
                        <Made data={data} />
                    </section>
                )}
                {data.unit.released && can(person, 'plan.edit') && (
                    <section className="card pad">
                        <div className="eyebrow">Finished work, raised</div>
                        <p className="small soft" style={{ margin: '4px 0 8px' }}>
                            What is painted counts; only the rest is added.
                        </p>
                        <button className="btn" onClick={() => setOpen('tier')}>
                            Raise to a higher tier
                        </button>
                        <Modal
                            open={open === 'tier'}
                            title="Raise finished work"
                            footer={null}
                            width={760}
                            onCancel={() => setOpen(null)}
                            destroyOnHidden
                        >
                            <Raise
                                data={data}
                                done={(next) => {
                                    put(next);
                                    setOpen(null);
                                }}
                            />
                        </Modal>
                    </section>
                )}
            </>
        );
    }
    return (
        <section className="card pad">
            <div className="eyebrow">Arrange</div>
            <div style={{ display: 'flex', flexWrap: 'wrap', gap: 6, marginTop: 6 }}>
                <button className="btn" onClick={() => setOpen('tier')}>
                    Tier
                </button>
                <button className="btn" onClick={() => setOpen('method')}>
                    Method
                </button>
                <button className="btn" onClick={() => setOpen('amend')}>
                    Amend
                </button>
                <button className="btn" onClick={() => setOpen('spare')}>
                    Spare minutes
                </button>
                <button className="btn" onClick={() => setOpen('copy')}>
                    Copy changes
                </button>
            </div>
            <Made data={data} put={put} />
            <Modal
                open={open === 'tier'}
                title="Move to another tier"
                footer={null}
                width={680}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Tiers data={data} close={() => setOpen(null)} />
            </Modal>
            <Modal
                open={open === 'method'}
                title="Method of the order"
                footer={null}
                width={720}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Schools data={data} put={put} />
            </Modal>
            <Modal
                open={open === 'amend'}
                title="Amend"
                footer={null}
                width={560}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Amend
                    data={data}
                    put={(next) => {
                        put(next);
                        setOpen(null);
                    }}
                />
            </Modal>
            <Modal
                open={open === 'copy'}
                title="Copy what was changed by hand"
                footer={null}
                width={520}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Copy data={data} close={() => setOpen(null)} />
            </Modal>
            <Modal
                open={open === 'spare'}
                title="Spare minutes"
                footer={null}
                width={620}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <SpareMinutes
                    data={data}
                    edit={(edits) => {
                        edit(edits);
                        setOpen(null);
                    }}
                />
            </Modal>
        </section>
    );
}

function Made({ data, put }: { data: UnitPlan; put?: (next: UnitPlan) => void }) {
    const { message } = App.useApp();
    const back = useMutation({
        mutationFn: (id: number) =>
            api.remove<UnitPlan>(`units/${data.unit.id}/amendments/${id}`, { revision: data.unit.revision }),
        onSuccess: (next) => put?.(next),
        onError: (e) => void message.error(saysWhy(e)),
    });
    const what = (a: Amendment) =>
        `${{ add: 'adds', omit: 'leaves out', set: 'changes' }[a.do]} ${a.technique ? longName(data, a.technique).toLowerCase() : typeof a.clause === 'string' ? (data.clauses[a.clause] ?? a.clause) : 'a clause'}`;
    const where = (a: Amendment) =>
        (a.scope.area ?? []).map((k) => data.figure.find((f) => f.key === k)?.name ?? k).join(', ');
    const onSome = (a: Amendment) => {
        const on = a.on as { pieces?: number; share?: number } | null;
        return on === null
            ? ''
            : on.pieces
              ? `, on ${on.pieces} models`
              : `, on ${Math.round((on.share ?? 0) * 100)} % of the models`;
    };
    return (
        <>
            {data.amendments.map((m) => (
                <p key={m.id} className="says small" style={{ margin: '8px 0 0' }}>
                    <b>
                        {m.no}. {m.of === 'piece' ? `Model ${m.piece ?? ''}` : `The ${m.of}`}{' '}
                        {what(m.amendment)}
                    </b>
                    {where(m.amendment) ? ` on ${where(m.amendment).toLowerCase()}` : ''}
                    {onSome(m.amendment)}
                    {m.amendment.price ? `, at ${m.amendment.price}` : ''}
                    <br />
                    <span className="soft">
                        {m.amendment.reason}
                        {m.by ? ` (${m.by})` : ''}
                    </span>
                    {put && (
                        <>
                            {' '}
                            <button
                                className="btn quiet"
                                disabled={back.isPending}
                                onClick={() => back.mutate(m.id)}
                            >
                                Take back
                            </button>
                        </>
                    )}
                </p>
            ))}
        </>
    );
}

function Raise({ data, done }: { data: UnitPlan; done: (next: UnitPlan) => void }) {
    const { message } = App.useApp();
    const [chosen, setChosen] = useState<string | null>(null);
    const [from, setFrom] = useState<'finished' | 'stands'>('finished');
    const tiers = useQuery({
        queryKey: ['tiers', data.unit.id, data.unit.revision],
        queryFn: () => api.get<{ currency: string; data: TierMove[] }>(`units/${data.unit.id}/tiers`),
    });
    const higher = tiers.data?.data.filter((t) => t.raise !== null) ?? [];
    const tier = chosen ?? higher[0]?.key ?? null;
    const query = useQuery({
        queryKey: ['raise', data.unit.id, data.unit.revision, tier, from],
        queryFn: () => api.get<Raised>(`units/${data.unit.id}/raise?tier=${tier ?? ''}&from=${from}`),
        enabled: tier !== null,
        placeholderData: (b) => b,
    });
    const raise = useMutation({
        mutationFn: () =>
            api.post<UnitPlan>(`units/${data.unit.id}/raise`, { revision: data.unit.revision, tier, from }),
        onSuccess: (next) => {
            done(next);
            void message.success('Raised: the bench shows what is added.');
        },
        onError: (e) => void message.error(saysWhy(e), 6),
    });
    if (tiers.isPending) return <Loading what="what is there and what is wanting" />;
    if (tiers.isError) return <p className="says bad">{saysWhy(tiers.error)}</p>;
    if (higher.length === 0) return <p className="soft">There is no higher tier to raise it to.</p>;
    const r = query.data;
    const words = (list: Use[]) =>
        list
            .map(
                (u) =>
                    `${u.name.toLowerCase()}${u.extent === 'full' ? '' : ' in part'}${u.passes > 1 ? ` ×${u.passes}` : ''}`,
            )
            .join(', ');
    const name = higher.find((t) => t.key === tier)?.name ?? '';
    return (
        <>
            <div style={{ display: 'flex', gap: 16, flexWrap: 'wrap' }}>
                <div className="chips" role="group" aria-label="Tier">
                    {higher.map((t) => (
                        <button
                            key={t.key}
                            className="chip"
                            aria-pressed={tier === t.key}
                            onClick={() => setChosen(t.key)}
                        >
                            {t.name}
                        </button>
                    ))}
                </div>
                <div className="chips" role="group" aria-label="From what is there">
                    {(
                        [
                            ['finished', 'when this plan is finished'],
                            ['stands', 'as every model stands now'],
                        ] as const
                    ).map(([k, w]) => (
                        <button key={k} className="chip" aria-pressed={from === k} onClick={() => setFrom(k)}>
                            {w}
                        </button>
                    ))}
                </div>
            </div>
            {query.isError && <p className="says bad">{saysWhy(query.error)}</p>}
            {r && (
                <>
                    <p style={{ margin: '12px 0' }} className="num">
                        <b style={{ font: '700 18px var(--head)' }}>{minutes(r.minutes)}</b> to add on each
                        model; {minutes(r.anew)} from the start.
                    </p>
                    <div style={{ maxHeight: '54vh', overflow: 'auto' }}>
                        <table className="plain small">
                            <thead>
                                <tr>
                                    <th>Area</th>
                                    <th>Add</th>
                                    <th>Painted over, or not counted any more</th>
                                    <th className="right">Min</th>
                                </tr>
                            </thead>
                            <tbody>
                                {r.areas.map((a) => (
                                    <tr key={a.area}>
                                        <td className="strong">
                                            {a.name}
                                            {a.repainted && (
                                                <div className="soft">painted anew, by brush</div>
                                            )}
                                        </td>
                                        <td>
                                            {a.conflict ? (
                                                <span style={{ color: 'var(--fault)' }}>{a.conflict}</span>
                                            ) : (
                                                words(a.added)
                                            )}
                                            {a.over > 0 && (
                                                <div className="soft">{a.over} colour steps over</div>
                                            )}
                                        </td>
                                        <td className="soft">{words(a.lost)}</td>
                                        <td className="right num">
                                            {Math.max(a.added.length > 0 ? 1 : 0, Math.round(a.minutes))}
                                        </td>
                                    </tr>
                                ))}
                                {r.whole.length > 0 && (
                                    <tr>
                                        <td className="strong">Whole model</td>
                                        <td colSpan={2}>{words(r.whole)}</td>
                                        <td className="right num">
                                            {Math.round(r.whole.reduce((m, w) => m + w.minutes, 0))}
                                        </td>
                                    </tr>
                                )}
                            </tbody>
                        </table>
                    </div>
                    {r.varnished && (
                        <p className="says warn small">
                            It is varnished: new paint goes over the varnish, and it is varnished again at the
                            end.
                        </p>
                    )}
                    {r.concerns.length > 0 && (
                        <p className="says warn small">
                            Already on it: {r.concerns.join(', ').toLowerCase()}. Work around it, or do it
                            again after what would cover it.
                        </p>
                    )}
                    <button
                        className="btn main"
                        disabled={raise.isPending || r.conflicts > 0}
                        onClick={() => raise.mutate()}
                    >
                        Raise to {name}
                    </button>
                </>
            )}
        </>
    );
}

function Tiers({ data, close }: { data: UnitPlan; close: () => void }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const query = useQuery({
        queryKey: ['tiers', data.unit.id, data.unit.revision],
        queryFn: () => api.get<{ currency: string; data: TierMove[] }>(`units/${data.unit.id}/tiers`),
    });
    const move = useMutation({
        mutationFn: (tier: string) =>
            api.put<{ edits_gone: string[] }>(`units/${data.unit.id}/tier`, {
                revision: data.unit.revision,
                tier,
            }),
        onSuccess: async (moved) => {
            await queries.invalidateQueries();
            close();
            void message.info(
                moved.edits_gone.length === 0
                    ? 'Moved. What was changed by hand is kept.'
                    : `Moved. What was changed by hand on ${moved.edits_gone.join(', ')} does not go with this tier and is gone.`,
                6,
            );
        },
        onError: (e) => void message.error(saysWhy(e)),
    });
    if (query.isPending) return <Loading what="every tier" />;
    if (query.isError) return <p className="says bad">{saysWhy(query.error)}</p>;
    const now = query.data.data.find((t) => t.key === data.unit.tier.key)?.minutes ?? 0;
    return (
        <div style={{ display: 'grid', gap: 10, maxHeight: '65vh', overflow: 'auto' }}>
            {query.data.data.map((t) => (
                <div
                    key={t.key}
                    style={{
                        display: 'grid',
                        gridTemplateColumns: '26px 1fr auto',
                        gap: 10,
                        alignItems: 'start',
                        borderBottom: '1px solid var(--rule)',
                        paddingBottom: 10,
                    }}
                >
                    <TierMark order={t.order} status={t.status as 'offered'} />
                    <div>
                        <b>{t.name}</b>{' '}
                        <span className="num">
                            {t.minutes === null
                                ? 'quoted by hand: agree it with the client in an order of its own'
                                : `${minutes(t.minutes)} a model${t.key === data.unit.tier.key ? ', as it is' : `, ${change(now, t.minutes)}`}`}
                            {t.price
                                ? ` · ${query.data.currency} ${t.price.low}${t.price.high ? `–${t.price.high}` : ' and up'} each`
                                : ''}
                        </span>
                        {t.gains.length > 0 && (
                            <div className="small">
                                + {t.gains.slice(0, 5).join(' ')}
                                {t.gains.length > 5 ? ` and ${t.gains.length - 5} more` : ''}
                            </div>
                        )}
                        {t.losses.length > 0 && (
                            <div className="small soft">
                                − {t.losses.slice(0, 5).join(' ')}
                                {t.losses.length > 5 ? ` and ${t.losses.length - 5} more` : ''}
                            </div>
                        )}
                        {t.conflicts > 0 && (
                            <div className="says bad small">
                                {t.conflicts} {t.conflicts === 1 ? 'area' : 'areas'} cannot be planned there
                                without an amendment.
                            </div>
                        )}
                        {t.amendments_unfit && (
                            <div className="says warn small">
                                An amendment of this unit names what this tier does not ask: take it back
                                first.
                            </div>
                        )}
                    </div>
                    {t.key !== data.unit.tier.key && t.minutes !== null && (
                        <button
                            className="btn"
                            disabled={move.isPending || t.amendments_unfit}
                            onClick={() => move.mutate(t.key)}
                        >
                            Move
                        </button>
                    )}
                </div>
            ))}
        </div>
    );
}

function Schools({ data, put }: { data: UnitPlan; put: (next: UnitPlan) => void }) {
    const { message } = App.useApp();
    const query = useQuery({
        queryKey: ['schools', data.unit.id, data.unit.revision],
        queryFn: () => api.get<{ now: number; schools: SchoolChoice[] }>(`units/${data.unit.id}/schools`),
        placeholderData: (b) => b,
    });
    const [area, setArea] = useState('');
    const set = useMutation({
        mutationFn: (method: Record<string, unknown>) =>
            api.put<UnitPlan>(`units/${data.unit.id}/method`, { revision: data.unit.revision, method }),
        onSuccess: put,
        onError: (e) => void message.error(saysWhy(e)),
    });
    if (query.isPending) return <Loading what="what each school takes" />;
    if (query.isError) return <p className="says bad">{saysWhy(query.error)}</p>;
    const { now, schools } = query.data;
    type Scoped = { scope: { area?: string[] }; value: string }[];
    const scoped = (school: string): Scoped =>
        Array.isArray(data.method[school]) ? (data.method[school] as Scoped) : [];
    const whole = (school: string): string | null =>
        typeof data.method[school] === 'string'
            ? (data.method[school] as string)
            : (scoped(school).find((c) => Object.keys(c.scope).length === 0)?.value ?? null);
    const chosen = (school: string) =>
        area === ''
            ? whole(school)
            : (scoped(school).find((c) => c.scope.area?.includes(area))?.value ?? null);
    const answer = (school: string, value: string | null) => {
        const { [school]: _, ...rest } = data.method;
        const others = scoped(school).filter(
            (c) => Object.keys(c.scope).length > 0 && !(area !== '' && c.scope.area?.includes(area)),
        );
        const some = area !== '' && value !== null ? [{ scope: { area: [area] }, value }, ...others] : others;
        const all = area === '' ? value : whole(school);
        set.mutate(
            some.length > 0
                ? { ...rest, [school]: all === null ? some : [...some, { scope: {}, value: all }] }
                : all === null
                  ? rest
                  : { ...rest, [school]: all },
        );
    };
    const BY_AREA = [
        'build',
        'skin_wash',
        'metal_ground',
        'gold_light',
        'edges',
        'decals',
        'backs',
        'weathering',
    ];
    return (
        <>
            <p className="soft" style={{ marginTop: 0 }}>
                It holds for the whole order: <b className="num">{minutes(now)}</b> a model as it is. Beside
                each answer stands what it would change: minutes a model, what would be short, and whether the
                order of work changes.
            </p>
            <label className="field" style={{ maxWidth: 320, marginBottom: 8 }}>
                <span>For</span>
                <select className="input" value={area} onChange={(e) => setArea(e.target.value)}>
                    <option value="">the whole model</option>
                    {data.figure.map((f) => (
                        <option key={f.key} value={f.key}>
                            {f.name} only
                        </option>
                    ))}
                </select>
            </label>
            <table className="plain">
                <tbody>
                    {schools
                        .filter((s) => area === '' || BY_AREA.includes(s.school))
                        .map((s) => (
                            <tr key={s.school}>
                                <th scope="row" style={{ width: 150 }}>
                                    {word('school', s.school)}
                                </th>
                                <td>
                                    <div className="chips">
                                        {s.answers.map((a) => (
                                            <button
                                                key={a.answer}
                                                className="chip"
                                                aria-pressed={chosen(s.school) === a.answer}
                                                disabled={set.isPending}
                                                onClick={() =>
                                                    answer(
                                                        s.school,
                                                        chosen(s.school) === a.answer ? null : a.answer,
                                                    )
                                                }
                                            >
                                                {word('answer', `${s.school}:${a.answer}`)}{' '}
                                                <span className="num" style={{ opacity: 0.75 }}>
                                                    {area !== '' || s.answer === a.answer
                                                        ? ''
                                                        : `${change(now, a.minutes) === 'the same minutes' ? '=' : change(now, a.minutes)}${a.short > 0 ? `, ${a.short} short` : ''}${a.moved ? ', order' : ''}`}
                                                </span>
                                            </button>
                                        ))}
                                    </div>
                                    {area === '' &&
                                        scoped(s.school)
                                            .filter((c) => c.scope.area)
                                            .map((c) => (
                                                <div key={c.scope.area?.join()} className="small soft">
                                                    {c.scope.area
                                                        ?.map(
                                                            (k) =>
                                                                data.figure.find((f) => f.key === k)?.name ??
                                                                k,
                                                        )
                                                        .join(', ')}
                                                    : {word('answer', `${s.school}:${c.value}`)}
                                                </div>
                                            ))}
                                </td>
                            </tr>
                        ))}
                </tbody>
            </table>
        </>
    );
}

function Amend({ data, put }: { data: UnitPlan; put: (next: UnitPlan) => void }) {
    const conflict = data.plan.conflicts[0];
    const [form, setForm] = useState({
        level: (data.piece === null ? 'unit' : 'piece') as Amendment['level'],
        on: '',
        piece: data.piece ?? data.pieces[0]?.number ?? 1,
        do: 'omit' as Amendment['do'],
        clause: conflict?.clauses[0] ?? Object.keys(data.clauses)[0] ?? '',
        technique: '',
        areas: conflict?.area ? [conflict.area] : ([] as string[]),
        field: 'passes',
        value: '1',
        reason: '',
        price: '',
    });
    const set = (patch: Partial<typeof form>) => setForm({ ...form, ...patch });
    const amendment = (): Amendment => ({
        level: form.level,
        do: form.do,
        clause: form.do === 'add' || form.technique !== '' ? null : form.clause,
        technique: form.technique === '' ? null : form.technique,
        scope: form.areas.length > 0 ? { area: form.areas } : {},
        values:
            form.do === 'set'
                ? { [form.field]: form.field === 'extent' ? form.value : Number(form.value) }
                : {},
        reason: form.reason,
        price: form.price === '' ? null : form.price,
        on:
            form.on === '' || form.level === 'piece'
                ? null
                : form.on.endsWith('%')
                  ? { share: Number(form.on.slice(0, -1)) / 100 }
                  : { pieces: Number(form.on) },
    });
    const make = useMutation({
        mutationFn: () =>
            api.post<UnitPlan>(`units/${data.unit.id}/amendments`, {
                revision: data.unit.revision,
                ...(form.level === 'piece' ? { piece: form.piece } : {}),
                amendment: amendment(),
            }),
        onSuccess: put,
    });
    const select = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <label className="field">
            <span>{label}</span>
            <select className="input" value={value} onChange={(e) => pick(e.target.value)}>
                {options.map(([v, w]) => (
                    <option key={v} value={v}>
                        {w}
                    </option>
                ))}
            </select>
        </label>
    );
    const clauses = Object.entries(data.clauses).map(([id, label]): [string, string] => [
        id,
        `${label} (${id})`,
    ]);
    return (
        <form
            style={{ display: 'grid', gap: 10 }}
            onSubmit={(e) => {
                e.preventDefault();
                make.mutate();
            }}
        >
            {conflict && (
                <p className="says bad small" style={{ margin: 0 }}>
                    To be settled: {conflict.reason}.
                </p>
            )}
            <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10 }}>
                {select(
                    'Holds for',
                    form.level,
                    [
                        ['unit', 'this unit'],
                        ['piece', 'one model'],
                        ['order', 'the whole order'],
                        ['studio', 'the studio, from now on'],
                    ],
                    (v) => set({ level: v as Amendment['level'] }),
                )}
                {select(
                    'It',
                    form.do,
                    [
                        ['omit', 'leaves out what a clause asks'],
                        ['set', 'changes what a clause asks'],
                        ['add', 'adds a technique'],
                    ],
                    (v) =>
                        set({
                            do: v as Amendment['do'],
                            technique: v === 'add' ? (data.techniques[0]?.key ?? '') : '',
                        }),
                )}
            </div>
            {form.do === 'add'
                ? select(
                      'Technique',
                      form.technique,
                      data.techniques.map((t): [string, string] => [t.key, t.name]),
                      (v) => set({ technique: v }),
                  )
                : select('Clause', form.clause, clauses, (v) => set({ clause: v }))}
            {form.do === 'set' && (
                <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10 }}>
                    {select(
                        'What of it',
                        form.field,
                        [
                            ['passes', 'passes'],
                            ['extent', 'extent'],
                            ['min', 'at least'],
                            ['max', 'at most'],
                            ['limit', 'limit'],
                        ],
                        (v) => set({ field: v, value: v === 'extent' ? 'full' : '1' }),
                    )}
                    {form.field === 'extent' ? (
                        select(
                            'becomes',
                            form.value,
                            [
                                ['spot', 'in a spot'],
                                ['prominent', 'where it stands out'],
                                ['full', 'everywhere'],
                            ],
                            (v) => set({ value: v }),
                        )
                    ) : (
                        <label className="field">
                            <span>becomes</span>
                            <input
                                className="input"
                                type="number"
                                step="any"
                                value={form.value}
                                onChange={(e) => set({ value: e.target.value })}
                            />
                        </label>
                    )}
                </div>
            )}
            {form.level === 'piece' ? (
                select(
                    'Which model',
                    String(form.piece),
                    data.pieces.map((p): [string, string] => [
                        String(p.number),
                        `model ${p.number}, ${p.code}`,
                    ]),
                    (v) => set({ piece: Number(v) }),
                )
            ) : (
                <label className="field">
                    <span>On how many models: a number, a share such as 25%, or nothing for all</span>
                    <input
                        className="input num"
                        pattern="\d+%?"
                        placeholder="all"
                        value={form.on}
                        onChange={(e) => set({ on: e.target.value.trim() })}
                    />
                </label>
            )}
            <fieldset style={{ border: 0, padding: 0, margin: 0, minWidth: 0 }}>
                <legend className="small soft">On these areas (none chosen: on all)</legend>
                <div className="chips">
                    {data.figure.map((a) => (
                        <button
                            key={a.key}
                            type="button"
                            className="chip"
                            aria-pressed={form.areas.includes(a.key)}
                            onClick={() =>
                                set({
                                    areas: form.areas.includes(a.key)
                                        ? form.areas.filter((x) => x !== a.key)
                                        : [...form.areas, a.key],
                                })
                            }
                        >
                            {a.name}
                        </button>
                    ))}
                </div>
            </fieldset>
            <label className="field">
                <span>Why</span>
                <input
                    className="input"
                    required
                    value={form.reason}
                    onChange={(e) => set({ reason: e.target.value })}
                />
            </label>
            <label className="field">
                <span>Price each, if any</span>
                <input
                    className="input"
                    placeholder="0.00"
                    pattern="\d+\.\d\d"
                    value={form.price}
                    onChange={(e) => set({ price: e.target.value })}
                />
            </label>
            {make.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(make.error)}
                </p>
            )}
            <button
                className="btn main"
                disabled={make.isPending || form.reason.trim() === ''}
                style={{ justifySelf: 'end' }}
            >
                Amend
            </button>
        </form>
    );
}

function SpareMinutes({ data, edit }: { data: UnitPlan; edit: (edits: Edits) => void }) {
    const now = data.plan.totals.by_passes;
    const [to, setTo] = useState(Math.round(now) + 15);
    const query = useQuery({
        queryKey: ['spare', data.unit.id, data.unit.revision, to],
        queryFn: () => api.post<Spare>(`units/${data.unit.id}/spare`, { minutes: to }),
        placeholderData: (b) => b,
    });
    const s = query.data;
    const take = () => {
        if (!s) return;
        const edits: Edits = { ...data.unit.edits };
        for (const b of s.buys)
            edits[b.area] = [
                ...(edits[b.area] ??
                    data.plan.areas
                        .find((a) => a.area === b.area)
                        ?.techniques.map(({ technique, passes, extent }) => ({
                            technique,
                            passes,
                            extent,
                        })) ??
                    []),
                { technique: b.technique, passes: 1, extent: 'full' },
            ];
        edit(edits);
    };
    return (
        <>
            <label className="field">
                <span>A model may take, in minutes</span>
                <input
                    className="input num"
                    type="number"
                    min={0}
                    value={to}
                    onChange={(e) => setTo(Number(e.target.value))}
                />
            </label>
            {s && (
                <p className="small soft num">
                    Now {minutes(s.now)}. The quickest that meets the tier: {minutes(s.quickest)}; the best
                    within the tier’s minutes: {minutes(s.best)}.
                </p>
            )}
            {query.isError && <p className="says bad">{saysWhy(query.error)}</p>}
            {s?.cuts && (
                <>
                    {s.cuts.go.length > 0 && (
                        <>
                            <p className="strong" style={{ margin: '8px 0 2px' }}>
                                These would go, least noticed first
                            </p>
                            {s.cuts.go.map((g, i) => (
                                <div key={i} className="small">
                                    −{' '}
                                    {g.amendment === null
                                        ? `${g.name} on ${g.area_name.toLowerCase()}`
                                        : g.name}
                                    , {minutes(g.minutes)}
                                </div>
                            ))}
                        </>
                    )}
                    <p className={`says small ${s.cuts.enough ? 'good' : 'warn'}`}>
                        {s.cuts.enough
                            ? `That brings it to ${minutes(s.cuts.left)}.`
                            : `The tier itself takes ${minutes(s.cuts.left)}, and its floor is never cut. ${s.cuts.tier ? `The highest tier that fits is ${s.cuts.tier.name}, with ${minutes(s.cuts.tier.minutes)}.` : 'No tier fits into that.'}`}
                    </p>
                </>
            )}
            {s &&
                !s.cuts &&
                (s.buys.length === 0 ? (
                    <p className="soft">Nothing the tier allows fits into that.</p>
                ) : (
                    <>
                        <p className="strong" style={{ margin: '8px 0 2px' }}>
                            The most to be noticed for {minutes(s.buys.reduce((m, b) => m + b.minutes, 0))}
                        </p>
                        <table className="plain">
                            <tbody>
                                {s.buys.map((b, i) => (
                                    <tr key={i}>
                                        <td>
                                            {b.name} on {b.area_name.toLowerCase()}
                                            {b.on_request && (
                                                <span className="pill" style={{ marginLeft: 6 }}>
                                                    + on request
                                                </span>
                                            )}
                                        </td>
                                        <td className="right num">{minutes(b.minutes)}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                        <button className="btn main" style={{ marginTop: 10 }} onClick={take}>
                            Put these into the plan
                        </button>
                    </>
                ))}
        </>
    );
}
