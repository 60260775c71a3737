import { useQuery } from '@tanstack/react-query';
import { Button, Input, Modal, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { schemesQuery } from '../../api/colours';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from '../orders/OrdersTabs';
import { NewScheme } from './NewScheme';
import { OUTCOME } from './scheme';

export default function SchemesPage() {
    const person = usePerson();
    const [making, setMaking] = useState(false);
    const [find, setFind] = useState('');
    const query = useQuery(schemesQuery());
    const found = (query.data?.data ?? []).filter((s) => s.name.toLowerCase().includes(find.toLowerCase()));
    const open = () => setMaking(true);
    return (
        <>
            <Top>
                <h1>Schemes</h1>
                <span className="room" />
                {can(person, 'schemes.edit') && (
                    <Button type="primary" onClick={open}>
                        New scheme
                    </Button>
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
                            <Button type="primary" onClick={open}>
                                Make the first one
                            </Button>
                        )}
                    </Empty>
                ) : (
                    <>
                        <Input
                            className="search mb-12"
                            allowClear
                            aria-label="Find a scheme"
                            placeholder="Find a scheme"
                            value={find}
                            onChange={(e) => setFind(e.target.value)}
                        />
                        <Table
                            size="small"
                            className="card"
                            pagination={false}
                            rowKey={(s) => s.slug}
                            dataSource={found}
                            columns={[
                                {
                                    key: '0',
                                    title: 'Scheme',
                                    render: (_, s) => (
                                        <Link className="strong" to={`/schemes/${s.slug}`}>
                                            {s.name}
                                        </Link>
                                    ),
                                },
                                {
                                    key: '1',
                                    title: 'Version',
                                    className: 'num',
                                    render: (_, s) => <>v{s.number}</>,
                                },
                                { key: '2', title: 'Test model', render: (_, s) => OUTCOME[s.outcome] },
                                {
                                    key: '3',
                                    title: 'Orders',
                                    align: 'right',
                                    className: 'num',
                                    render: (_, s) => s.orders,
                                },
                            ]}
                        />
                    </>
                )}
            </div>
            <Modal
                open={making}
                title="New scheme"
                footer={null}
                onCancel={() => setMaking(false)}
                destroyOnHidden
            >
                <NewScheme others={query.data?.data ?? []} />
            </Modal>
        </>
    );
}
