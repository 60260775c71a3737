import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Modal } from 'antd';
import { type FormEvent, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Order, PieceBrief, Stage } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { minutes, StageStrip, stageWords, TierMark } from '../../ui/marks';
import { Empty, Failed, Loading } from '../../ui/states';
import { word } from '../standard/words';
import { due } from './OrdersPage';

export default function OrderPage() {
    const { id } = useParams();
    const person = usePerson();
    const [piece, setPiece] = useState<number | null>(null);
    const query = useQuery({ queryKey: ['order', id], queryFn: () => api.get<Order>(`orders/${id ?? ''}`) });
    if (query.isPending) return <Loading what="the order" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    const order = query.data;
    return (
        <>
            <Top>
                <Link to="/orders" className="soft">
                    Orders
                </Link>
                <h1>{order.title}</h1>
                <span className="pill">
                    {order.number} · {order.client}
                </span>
                <span className="pill">{order.status.replace('_', ' ')}</span>
                <span className="room" />
                {due(order)}
            </Top>
            <div
                className="page"
                style={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(0, 1fr) 300px',
                    gap: 16,
                    alignItems: 'start',
                }}
            >
                <div style={{ display: 'grid', gap: 14 }}>
                    {order.units.length === 0 && (
                        <div className="card">
                            <Empty title="No units yet">
                                <p>
                                    A unit is a number of models of one figure at one tier. Add the first one
                                    on the right.
                                </p>
                            </Empty>
                        </div>
                    )}
                    {order.units.map((u) => {
                        const tier = order.tiers.find((t) => t.key === u.tier);
                        const plan = order.unit_plans.find((p) => p.unit === u.id);
                        return (
                            <section
                                key={u.id}
                                className="card pad"
                                aria-label={`${u.pieces.length} × ${u.sculpt}`}
                            >
                                <div style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
                                    {tier && <TierMark order={tier.order} status={tier.status} />}
                                    <div style={{ flex: 1 }}>
                                        <h2>
                                            {u.pieces.length} × {u.sculpt}
                                            {u.label ? `, ${u.label}` : ''}
                                        </h2>
                                        <span className="soft">
                                            {tier?.name} · standard v{order.standard_version} ·{' '}
                                            {u.released ? 'on the bench' : 'not released yet'}
                                        </span>
                                    </div>
                                    <Link
                                        className={`btn ${u.released ? '' : 'main'}`}
                                        to={`/units/${u.id}/plan`}
                                    >
                                        {u.released ? 'Plan' : 'Plan and release'}
                                    </Link>
                                </div>
                                <div style={{ margin: '12px 0' }}>
                                    <StageStrip
                                        pieces={u.pieces}
                                        {...(can(person, 'orders.edit')
                                            ? { pick: (id: number) => setPiece(id) }
                                            : {})}
                                    />
                                </div>
                                {plan && (
                                    <p className="small num" style={{ margin: 0 }}>
                                        <b>{minutes(plan.minutes)}</b> a model,{' '}
                                        <b>{minutes(plan.minutes * u.pieces.length + plan.setup)}</b> the unit
                                        with setting up ·{' '}
                                        {plan.planned_done > 0 &&
                                            `planned for what is done ${minutes(plan.planned_done)}, `}
                                        {plan.spent === null
                                            ? 'no time noted yet'
                                            : `${minutes(plan.spent)} spent`}
                                        {plan.price && (
                                            <>
                                                {' '}
                                                · {order.currency} {plan.price.low}
                                                {plan.price.high ? `–${plan.price.high}` : ' and up'} each
                                            </>
                                        )}
                                        {plan.agreed.map((a, i) => (
                                            <span key={i} title={a.reason}>
                                                {' '}
                                                + {order.currency} {a.price} agreed
                                            </span>
                                        ))}
                                        {plan.conflicts > 0 && (
                                            <span style={{ color: 'var(--fault)' }}>
                                                {' '}
                                                · {plan.conflicts} conflicts
                                            </span>
                                        )}
                                    </p>
                                )}
                            </section>
                        );
                    })}
                </div>
                <div style={{ display: 'grid', gap: 14 }}>
                    <section className="card pad">
                        <div className="eyebrow">Brief</div>
                        <p style={{ margin: '6px 0' }}>{order.brief ?? 'Nothing was written down.'}</p>
                        <Colours order={order} editable={can(person, 'orders.edit')} />
                        <p className="small soft" style={{ margin: 0 }}>
                            {order.method && (
                                <>
                                    Method:{' '}
                                    {Object.entries(order.method)
                                        .filter(([k]) => k !== 'format')
                                        .map(
                                            ([k, v]) =>
                                                `${word('school', k)}: ${typeof v === 'string' ? word('answer', `${k}:${v}`) : 'by area'}`,
                                        )
                                        .join(', ')}
                                </>
                            )}
                        </p>
                    </section>
                    {can(person, 'orders.edit') && <AddUnit order={order} />}
                </div>
            </div>
            <Model
                key={piece}
                piece={order.units.flatMap((u) => u.pieces).find((p) => p.id === piece) ?? null}
                close={() => setPiece(null)}
            />
        </>
    );
}

/** The army's scheme, and the picture the client wants it to look like. */
function Colours({ order, editable }: { order: Order; editable: boolean }) {
    const queries = useQueryClient();
    const set = useMutation({
        mutationFn: (patch: { scheme?: string | null; reference?: string | null }) =>
            api.put(`orders/${order.id}/scheme`, patch),
        onSuccess: () => queries.invalidateQueries(),
    });
    const take = useMutation({
        mutationFn: async (file: File) => {
            const form = new FormData();
            form.set('picture', file);
            const { sha256 } = await api.form<{ sha256: string }>('pictures', form);
            await set.mutateAsync({ reference: sha256 });
        },
    });
    return (
        <div style={{ display: 'grid', gap: 8, margin: '10px 0' }}>
            <label className="field">
                <span>Scheme</span>
                <select
                    className="input"
                    disabled={!editable || set.isPending}
                    value={order.scheme_slug ?? ''}
                    onChange={(e) => set.mutate({ scheme: e.target.value || null })}
                >
                    <option value="">none yet</option>
                    {order.schemes.map((s) => (
                        <option key={s.slug} value={s.slug}>
                            {s.name}
                        </option>
                    ))}
                </select>
            </label>
            {order.scheme_slug && (
                <Link className="small" to={`/schemes/${order.scheme_slug}?order=${order.id}`}>
                    Its colours on these figures
                </Link>
            )}
            {order.reference && (
                <a href={`/api/v1/pictures/${order.reference}`} target="_blank" rel="noreferrer">
                    <img
                        src={`/api/v1/pictures/${order.reference}`}
                        alt="The client’s reference picture"
                        style={{ maxWidth: '100%', maxHeight: 200, borderRadius: 8 }}
                    />
                </a>
            )}
            {editable && (
                <label className="btn file" style={{ justifySelf: 'start' }}>
                    {take.isPending
                        ? 'Taking it in …'
                        : order.reference
                          ? 'Another reference picture'
                          : 'The client’s reference picture'}
                    <input
                        type="file"
                        accept="image/png,image/jpeg,image/webp"
                        disabled={take.isPending}
                        onChange={(e) => {
                            const f = e.target.files?.[0];
                            if (f) take.mutate(f);
                            e.target.value = '';
                        }}
                    />
                </label>
            )}
            {(set.isError || take.isError) && (
                <p className="says bad small" role="alert">
                    {saysWhy(set.error ?? take.error)}
                </p>
            )}
        </div>
    );
}

const MOVES: Partial<Record<Stage, [string, string][]>> = {
    on_hold: [
        ['resume', 'Take up again'],
        ['lose', 'It is lost'],
        ['cancel', 'Cancel it'],
    ],
    signed: [['deliver', 'Delivered']],
    delivered: [['claim', 'Came back with a claim']],
    lost: [],
    cancelled: [],
};
const UNDER_WAY: [string, string][] = [
    ['hold', 'Put on hold'],
    ['lose', 'It is lost'],
    ['cancel', 'Cancel it'],
];

/** What happens to one model outside bench and check. */
function Model({ piece, close }: { piece: PieceBrief | null; close: () => void }) {
    const queries = useQueryClient();
    const [reason, setReason] = useState('');
    const move = useMutation({
        mutationFn: (what: string) => api.post(`pieces/${piece?.id ?? 0}/move`, { move: what, reason }),
        onSuccess: async () => {
            await queries.invalidateQueries();
            close();
        },
    });
    const moves = piece ? (MOVES[piece.stage] ?? UNDER_WAY) : [];
    return (
        <Modal
            open={piece !== null}
            title={piece ? `Model ${piece.number}, ${piece.code}: ${stageWords(piece.stage)}` : ''}
            footer={null}
            onCancel={close}
        >
            {moves.length === 0 ? (
                <p className="soft">Nothing more happens to it.</p>
            ) : (
                <label className="field">
                    <span>
                        Why{moves.every(([m]) => m === 'deliver') ? ', if there is anything to say' : ''}
                    </span>
                    <input className="input" value={reason} onChange={(e) => setReason(e.target.value)} />
                </label>
            )}
            {move.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(move.error)}
                </p>
            )}
            <div style={{ display: 'flex', gap: 8, marginTop: 12, flexWrap: 'wrap' }}>
                {moves.map(([what, words]) => (
                    <button
                        key={what}
                        className="btn"
                        disabled={move.isPending}
                        onClick={() => move.mutate(what)}
                    >
                        {words}
                    </button>
                ))}
            </div>
        </Modal>
    );
}

function AddUnit({ order }: { order: Order }) {
    const queries = useQueryClient();
    const tiers = order.tiers.filter((t) => t.status !== 'retired');
    const [form, setForm] = useState({
        sculpt: order.sculpts[0]?.slug ?? '',
        tier: tiers[0]?.key ?? '',
        count: 5,
    });
    const add = useMutation({
        mutationFn: () => api.post(`orders/${order.id}/units`, form),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['order'] }),
    });
    const submit = (e: FormEvent) => {
        e.preventDefault();
        add.mutate();
    };
    return (
        <form className="card pad" style={{ display: 'grid', gap: 10 }} onSubmit={submit}>
            <div className="eyebrow">Add a unit</div>
            <label className="field">
                <span>Figure</span>
                <select
                    className="input"
                    value={form.sculpt}
                    onChange={(e) => setForm({ ...form, sculpt: e.target.value })}
                >
                    {order.sculpts.map((s) => (
                        <option key={s.slug} value={s.slug}>
                            {s.name}
                        </option>
                    ))}
                </select>
            </label>
            <label className="field">
                <span>Tier</span>
                <select
                    className="input"
                    value={form.tier}
                    onChange={(e) => setForm({ ...form, tier: e.target.value })}
                >
                    {tiers.map((t) => (
                        <option key={t.key} value={t.key}>
                            {t.name}
                        </option>
                    ))}
                </select>
            </label>
            <label className="field">
                <span>How many models</span>
                <input
                    className="input"
                    type="number"
                    min={1}
                    max={500}
                    value={form.count}
                    onChange={(e) => setForm({ ...form, count: Number(e.target.value) })}
                />
            </label>
            {add.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(add.error)}
                </p>
            )}
            <button className="btn" disabled={add.isPending}>
                Add the unit
            </button>
        </form>
    );
}
