import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Modal } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Scheme } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from '../orders/OrdersTabs';

export const OUTCOME: Record<string, string> = {
    untried: 'no test model yet',
    accepted: 'test model accepted',
    rejected: 'test model rejected',
};

export default function SchemesPage() {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const [name, setName] = useState<string | null>(null);
    const query = useQuery({
        queryKey: ['schemes'],
        queryFn: () =>
            api.get<{
                data: { slug: string; name: string; number: number; orders: number; outcome: string }[];
            }>('schemes'),
    });
    const make = useMutation({
        mutationFn: (n: string) =>
            api.post<Scheme>('schemes', { document: { name: n, slots: {}, areas: {} } }),
        onSuccess: async (s) => {
            await queries.invalidateQueries({ queryKey: ['schemes'] });
            await go(`/schemes/${s.slug}`);
        },
    });
    const open = () => setName('');
    return (
        <>
            <Top>
                <h1>Schemes</h1>
                <span className="room" />
                {can(person, 'schemes.edit') && (
                    <button className="btn main" onClick={open}>
                        New scheme
                    </button>
                )}
            </Top>
            <OrdersTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the schemes" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="No scheme yet">
                        <p>
                            A scheme holds the colours of an army, slot by slot: main cloth, leather, steel.
                            It is shown on every figure of an order.
                        </p>
                        {can(person, 'schemes.edit') && (
                            <button className="btn main" onClick={open}>
                                Make the first one
                            </button>
                        )}
                    </Empty>
                ) : (
                    <div className="card" style={{ overflow: 'hidden' }}>
                        <table className="plain">
                            <thead>
                                <tr>
                                    <th>Scheme</th>
                                    <th>Version</th>
                                    <th>Test model</th>
                                    <th className="right">Orders</th>
                                </tr>
                            </thead>
                            <tbody>
                                {query.data.data.map((s) => (
                                    <tr key={s.slug}>
                                        <td>
                                            <Link className="strong" to={`/schemes/${s.slug}`}>
                                                {s.name}
                                            </Link>
                                        </td>
                                        <td className="num">v{s.number}</td>
                                        <td>{OUTCOME[s.outcome]}</td>
                                        <td className="right num">{s.orders}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
            </div>
            <Modal
                open={name !== null}
                title="New scheme"
                footer={null}
                onCancel={() => setName(null)}
                destroyOnHidden
            >
                <form
                    style={{ display: 'grid', gap: 12 }}
                    onSubmit={(e) => {
                        e.preventDefault();
                        make.mutate(name ?? '');
                    }}
                >
                    <label className="field">
                        <span>What it is called</span>
                        <input
                            className="input"
                            autoFocus
                            required
                            value={name ?? ''}
                            onChange={(e) => setName(e.target.value)}
                        />
                    </label>
                    {make.isError && (
                        <p className="says bad" role="alert">
                            {saysWhy(make.error)}
                        </p>
                    )}
                    <button className="btn main" disabled={make.isPending}>
                        Make it
                    </button>
                </form>
            </Modal>
        </>
    );
}
