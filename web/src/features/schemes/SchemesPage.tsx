import { useInfiniteQuery } from '@tanstack/react-query';
import { Button, Modal, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { schemesQuery } from '../../api/colours';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Find, Listed } from '../../ui/Listed';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { OrdersTabs } from '../orders/OrdersTabs';
import { NewScheme } from './NewScheme';
import { OUTCOME } from './scheme';

export default function SchemesPage() {
    const person = usePerson();
    const [making, setMaking] = useState(false);
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(schemesQuery(wanted));
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
                <Listed
                    what="the schemes"
                    query={query}
                    narrowed={wanted !== ''}
                    tools={<Find label="Find a scheme" value={find} onChange={setFind} />}
                    empty={
                        <Empty title="No scheme yet">
                            <p>
                                A scheme holds the colours of an army, slot by slot: main cloth, leather,
                                steel. It is shown on every figure of an order.
                            </p>
                            {can(person, 'schemes.edit') && (
                                <Button type="primary" onClick={open}>
                                    Make the first one
                                </Button>
                            )}
                        </Empty>
                    }
                >
                    {(schemes) => (
                        <Table
                            size="small"
                            className="card"
                            pagination={false}
                            rowKey={(s) => s.slug}
                            dataSource={schemes}
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
                    )}
                </Listed>
            </div>
            <Modal
                open={making}
                title="New scheme"
                footer={null}
                onCancel={() => setMaking(false)}
                destroyOnHidden
            >
                <NewScheme others={query.data?.pages.flatMap((p) => p.data) ?? []} />
            </Modal>
        </>
    );
}
