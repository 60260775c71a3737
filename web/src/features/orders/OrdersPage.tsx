import { useInfiniteQuery } from '@tanstack/react-query';
import { Button, Flex, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { type OrdersAsked, ordersQuery } from '../../api/orders';
import type { OrderBrief } from '../../api/types';
import { Top } from '../../app/Top';
import { Listed } from '../../ui/Listed';
import { StageStrip } from '../../ui/marks';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { FirstSteps } from '../settings/FirstSteps';
import { word } from '../standard/words';
import { Due } from './Due';
import { NewOrder } from './NewOrder';
import css from './Orders.module.css';
import { OrdersTabs } from './OrdersTabs';
import { OrdersTools } from './OrdersTools';

/** Typing rests so long, in ms, before the server is asked. */
const TYPED_MS = 200;

export default function OrdersPage() {
    const [making, setMaking] = useState(false);
    const [asked, setAsked] = useState<OrdersAsked>({});
    const settled = useSettled(asked, TYPED_MS);
    const query = useInfiniteQuery(ordersQuery(settled));
    const { sort: _, ...narrowing } = settled;
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
                <FirstSteps />
                <Listed
                    what="the orders"
                    query={query}
                    narrowed={Object.values(narrowing).some((v) => v !== '')}
                    tools={
                        <OrdersTools asked={asked} ask={setAsked} tiers={query.data?.pages[0]?.tiers ?? []} />
                    }
                    empty={
                        <Empty title="No orders yet">
                            <p>An order says what a client wants: figures, how many, at which tier.</p>
                            <Button type="primary" onClick={() => setMaking(true)}>
                                Open the first one
                            </Button>
                        </Empty>
                    }
                >
                    {(orders) => <Orders orders={orders} />}
                </Listed>
            </div>
            <NewOrder open={making} close={() => setMaking(false)} />
        </>
    );
}

function Orders({ orders }: { orders: OrderBrief[] }) {
    return (
        <Table
            className="card"
            rowKey="id"
            pagination={false}
            dataSource={orders}
            columns={[
                { title: 'Order', width: 280, render: (_, o) => <Title order={o} /> },
                { title: 'Due', width: 150, render: (_, o) => <Due order={o} /> },
                { title: 'Stands', width: 100, render: (_, o) => word('order_status', o.status) },
                { title: 'Units and models', render: (_, o) => <Units order={o} /> },
            ]}
        />
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
