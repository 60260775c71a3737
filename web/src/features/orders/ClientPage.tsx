import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Popconfirm, Table } from 'antd';
import { Link, useNavigate, useParams } from 'react-router';
import { changeClient, clientQuery, type ClientRecord, eraseClient } from '../../api/clients';
import { saysWhy } from '../../api/client';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { InPlace } from '../../ui/InPlace';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';
import { day } from '../../ui/when';
import { word } from '../standard/words';
import css from './Orders.module.css';

const ERASED =
    'Name, brief, addresses and what they said are gone for good. ' +
    'Orders and signed records stay without a name.';

/** What is kept of a client, and everything they ordered. */
export default function ClientPage() {
    const { id } = useParams();
    const query = useQuery(clientQuery(Number(id)));
    if (query.isPending) return <Loading what="the client" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Record client={query.data} />;
}

function Record({ client }: { client: ClientRecord }) {
    return (
        <>
            <Top>
                <Link to="/clients" className="soft">
                    Clients
                </Link>
                <h1>{client.name}</h1>
            </Top>
            <div className={`page ${css.page}`}>
                <section className="card" aria-label="Orders">
                    <Table
                        size="small"
                        pagination={false}
                        rowKey={(o) => o.id}
                        dataSource={client.orders}
                        locale={{ emptyText: 'Nothing was ordered yet.' }}
                        columns={[
                            {
                                key: 'title',
                                title: 'Order',
                                render: (_, o) => (
                                    <Link className="strong" to={`/orders/${o.id}`}>
                                        {o.title}
                                    </Link>
                                ),
                            },
                            {
                                key: 'number',
                                responsive: ['md'],
                                title: 'Number',
                                dataIndex: 'number',
                                className: 'num',
                            },
                            {
                                key: 'status',
                                title: 'Stands',
                                render: (_, o) => word('order_status', o.status),
                            },
                            {
                                key: 'models',
                                responsive: ['md'],
                                title: 'Models',
                                dataIndex: 'models',
                                align: 'right',
                                className: 'num',
                            },
                            {
                                key: 'promised',
                                title: 'Promised',
                                render: (_, o) =>
                                    o.promised_on ? (
                                        day(o.promised_on)
                                    ) : (
                                        <span className="soft">not yet</span>
                                    ),
                            },
                        ]}
                    />
                </section>
                <Kept client={client} />
            </div>
        </>
    );
}

function Kept({ client }: { client: ClientRecord }) {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const keep = useMutation({
        scope: { id: `client ${client.id}` },
        mutationFn: (facts: { name?: string; reach?: string | null; notes?: string | null }) =>
            changeClient(client.id, {
                revision: queries.getQueryData(clientQuery(client.id).queryKey)?.revision ?? client.revision,
                ...facts,
            }),
        onSuccess: (now) => queries.setQueryData(clientQuery(client.id).queryKey, now),
    });
    const erase = useMutation({
        mutationFn: () => eraseClient(client.id, client.revision),
        onSuccess: async () => {
            await go('/clients');
            await queries.invalidateQueries();
        },
    });
    const line = (fact: 'reach' | 'notes', label: string) => (
        <InPlace
            label={label}
            rows={3}
            value={client[fact] ?? ''}
            save={(text) => keep.mutateAsync({ [fact]: text === '' ? null : text })}
        />
    );
    return (
        <section className="card pad stack" aria-label="What is kept">
            <InPlace label="Name" value={client.name} save={(name) => keep.mutateAsync({ name })} />
            {line('reach', 'How to reach them')}
            {line('notes', 'Notes')}
            {client.schemes.length > 0 && (
                <p className="m-0">
                    Their colours:{' '}
                    {client.schemes.map((s, n) => (
                        <span key={s.slug}>
                            {n > 0 && ', '}
                            <Link to={`/schemes/${s.slug}`}>{s.name}</Link>
                        </span>
                    ))}
                </p>
            )}
            <Flex gap={8} wrap>
                <Button href={`/api/v1/clients/${client.id}/export`} download>
                    All that is kept, as a file
                </Button>
                {can(person, 'studio.edit') && (
                    <Popconfirm
                        title="Erase this client?"
                        description={ERASED}
                        okText="Erase for good"
                        onConfirm={() => erase.mutate()}
                    >
                        <Button danger loading={erase.isPending}>
                            Erase this client
                        </Button>
                    </Popconfirm>
                )}
            </Flex>
            {erase.isError && <Says kind="bad">{saysWhy(erase.error)}</Says>}
        </section>
    );
}
