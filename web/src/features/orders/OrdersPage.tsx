import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Modal } from 'antd';
import { type FormEvent, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Order, OrderBrief } from '../../api/types';
import { Top } from '../../app/Frame';
import { StageStrip } from '../../ui/marks';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from './OrdersTabs';

export const due = (order: { due_on: string | null; late: boolean }) =>
    order.due_on ? (
        <span
            className={order.late ? 'strong' : 'soft'}
            style={order.late ? { color: 'var(--fault)' } : undefined}
        >
            {order.late ? 'late, was due ' : 'due '}
            {new Date(order.due_on).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}
        </span>
    ) : (
        <span className="soft">no date</span>
    );

export default function OrdersPage() {
    const [making, setMaking] = useState(false);
    const query = useQuery({
        queryKey: ['orders'],
        queryFn: () => api.get<{ data: OrderBrief[] }>('orders'),
    });
    return (
        <>
            <Top>
                <h1>Orders</h1>
                <span className="room" />
                <button className="btn main" onClick={() => setMaking(true)}>
                    New order
                </button>
            </Top>
            <OrdersTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the orders" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="No orders yet">
                        <p>An order says what a client wants: figures, how many, at which tier.</p>
                        <button className="btn main" onClick={() => setMaking(true)}>
                            Open the first one
                        </button>
                    </Empty>
                ) : (
                    <div className="card" style={{ overflow: 'hidden' }}>
                        <table className="plain">
                            <thead>
                                <tr>
                                    <th>Order</th>
                                    <th>Due</th>
                                    <th>Stands</th>
                                    <th>Units and models</th>
                                </tr>
                            </thead>
                            <tbody>
                                {query.data.data.map((o) => (
                                    <tr key={o.id}>
                                        <td style={{ width: 280 }}>
                                            <Link
                                                to={`/orders/${o.id}`}
                                                className="strong"
                                                style={{ fontSize: 15 }}
                                            >
                                                {o.title}
                                            </Link>
                                            <div className="soft small">
                                                {o.number} · {o.client} · standard v{o.standard_version}
                                            </div>
                                        </td>
                                        <td style={{ width: 150 }}>{due(o)}</td>
                                        <td style={{ width: 100 }}>{o.status.replace('_', ' ')}</td>
                                        <td>
                                            <div style={{ display: 'grid', gap: 6 }}>
                                                {o.units.map((u) => (
                                                    <div
                                                        key={u.id}
                                                        style={{
                                                            display: 'grid',
                                                            gridTemplateColumns: '190px 1fr',
                                                            gap: 10,
                                                            alignItems: 'center',
                                                        }}
                                                    >
                                                        <span className="small">
                                                            {u.pieces.length} × {u.sculpt}
                                                            <br />
                                                            <span className="soft">{u.tier_name}</span>
                                                        </span>
                                                        <StageStrip pieces={u.pieces} />
                                                    </div>
                                                ))}
                                            </div>
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
            </div>
            <NewOrder open={making} onClose={() => setMaking(false)} />
        </>
    );
}

function NewOrder({ open, onClose }: { open: boolean; onClose: () => void }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const [form, setForm] = useState({ client: '', title: '', brief: '', due_on: '' });
    const make = useMutation({
        mutationFn: () =>
            api.post<Order>('orders', { ...form, due_on: form.due_on || null, brief: form.brief || null }),
        onSuccess: async (order) => {
            await queries.invalidateQueries({ queryKey: ['orders'] });
            onClose();
            await go(`/orders/${order.id}`);
        },
    });
    const text = (key: 'client' | 'title' | 'due_on', label: string, type = 'text') => (
        <label className="field">
            <span>{label}</span>
            <input
                className="input"
                type={type}
                required={key !== 'due_on'}
                value={form[key]}
                onChange={(e) => setForm({ ...form, [key]: e.target.value })}
            />
        </label>
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        make.mutate();
    };
    return (
        <Modal open={open} title="New order" footer={null} onCancel={onClose}>
            <form style={{ display: 'grid', gap: 12 }} onSubmit={submit}>
                {text('client', 'Client')}
                {text('title', 'What it is called')}
                {text('due_on', 'Due on', 'date')}
                <label className="field">
                    <span>Brief: what it is for, what the client expects</span>
                    <textarea
                        className="input"
                        rows={3}
                        value={form.brief}
                        onChange={(e) => setForm({ ...form, brief: e.target.value })}
                    />
                </label>
                {make.isError && (
                    <p className="says bad" role="alert">
                        {saysWhy(make.error)}
                    </p>
                )}
                <button className="btn main" disabled={make.isPending}>
                    Open the order
                </button>
            </form>
        </Modal>
    );
}
