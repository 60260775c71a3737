import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Input, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { ordersQuery } from '../../api/orders';
import type { OrderBrief } from '../../api/types';
import { Top } from '../../app/Top';
import { StageStrip } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Empty, Failed, Loading } from '../../ui/states';
import { plain } from '../standard/words';
import { Due } from './Due';
import { NewOrder } from './NewOrder';
import css from './Orders.module.css';
import { OrdersTabs } from './OrdersTabs';

export default function OrdersPage() {
    const [making, setMaking] = useState(false);
    const query = useQuery(ordersQuery());
    return (
        <>
            <Top>
                <h1>Orders</h1>
                <span className="room" />
                <Button type="primary" onClick={() => setMaking(true)}>
                    New order
                </Button>
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
                        <Button type="primary" onClick={() => setMaking(true)}>
                            Open the first one
                        </Button>
                    </Empty>
                ) : (
                    <Orders orders={query.data.data} />
                )}
            </div>
            <NewOrder open={making} close={() => setMaking(false)} />
        </>
    );
}

/** All of them, narrowed by what is typed and by how they stand. */
function Orders({ orders }: { orders: OrderBrief[] }) {
    const [find, setFind] = useState('');
    const [stands, setStands] = useState('');
    const wanted = find.trim().toLowerCase();
    const shown = orders.filter(
        (o) =>
            (stands === '' || o.status === stands) &&
            `${o.title} ${o.number} ${o.client} ${o.units.map((u) => u.sculpt).join(' ')}`
                .toLowerCase()
                .includes(wanted),
    );
    return (
        <>
            <Flex gap={8} className="mb-12">
                <Input
                    className="search"
                    allowClear
                    aria-label="Find an order"
                    placeholder="Order, client or figure"
                    value={find}
                    onChange={(e) => setFind(e.target.value)}
                />
                <Pick
                    aria-label="How they stand"
                    value={stands}
                    onChange={setStands}
                    options={[
                        { value: '', label: 'however they stand' },
                        ...[...new Set(orders.map((o) => o.status))].map((s) => ({
                            value: s,
                            label: plain(s),
                        })),
                    ]}
                />
            </Flex>
            <Table
                className="card"
                rowKey="id"
                pagination={false}
                dataSource={shown}
                locale={{ emptyText: 'No order is like that.' }}
                columns={[
                    { title: 'Order', width: 280, render: (_, o) => <Title order={o} /> },
                    { title: 'Due', width: 150, render: (_, o) => <Due order={o} /> },
                    { title: 'Stands', width: 100, render: (_, o) => plain(o.status) },
                    { title: 'Units and models', render: (_, o) => <Units order={o} /> },
                ]}
            />
        </>
    );
}

function Title({ order }: { order: OrderBrief }) {
    return (
        <>
            <Link to={`/orders/${order.id}`} className={`strong ${css.title}`}>
                {order.title}
            </Link>
            <div className="soft small">
                {order.number} · {order.client} · standard v{order.standard_version}
            </div>
        </>
    );
}

function Units({ order }: { order: OrderBrief }) {
    if (order.units.length === 0) return <span className="soft">no units yet</span>;
    return (
        <Flex vertical gap={6}>
            {order.units.map((u) => (
                <div key={u.id} className={css.unit}>
                    <span className="small">
                        {u.pieces.length} × {u.sculpt}
                        <span className="soft">, {u.tier_name}</span>
                    </span>
                    <StageStrip pieces={u.pieces} />
                </div>
            ))}
        </Flex>
    );
}
