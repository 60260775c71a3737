import { useInfiniteQuery } from '@tanstack/react-query';
import { Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { clientsQuery } from '../../api/clients';
import { Top } from '../../app/Top';
import { Find, Listed } from '../../ui/Listed';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { OrdersTabs } from './OrdersTabs';

/** Who orders here. */
export default function ClientsPage() {
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(clientsQuery(wanted));
    return (
        <>
            <Top>
                <h1>Clients</h1>
            </Top>
            <OrdersTabs />
            <div className="page">
                <Listed
                    what="the clients"
                    query={query}
                    narrowed={wanted !== ''}
                    tools={<Find label="Find a client" value={find} onChange={setFind} />}
                    empty={
                        <Empty title="No client yet">
                            <p>A client has a record from their first order on.</p>
                        </Empty>
                    }
                >
                    {(clients) => (
                        <Table
                            size="small"
                            className="card"
                            pagination={false}
                            rowKey={(c) => c.id}
                            dataSource={clients}
                            columns={[
                                {
                                    key: 'name',
                                    title: 'Client',
                                    render: (_, c) => (
                                        <Link className="strong" to={`/clients/${c.id}`}>
                                            {c.name}
                                        </Link>
                                    ),
                                },
                                {
                                    key: 'reach',
                                    responsive: ['md'],
                                    title: 'How to reach them',
                                    dataIndex: 'reach',
                                },
                                {
                                    key: 'open',
                                    title: 'Open orders',
                                    align: 'right',
                                    className: 'num',
                                    render: (_, c) =>
                                        c.open === 0 ? <span className="soft">none</span> : c.open,
                                },
                                {
                                    key: 'orders',
                                    title: 'Orders in all',
                                    align: 'right',
                                    className: 'num',
                                    dataIndex: 'orders',
                                },
                            ]}
                        />
                    )}
                </Listed>
            </div>
        </>
    );
}
