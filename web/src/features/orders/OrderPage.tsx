import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { orderQuery } from '../../api/orders';
import type { Order } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Empty, Failed, Loading } from '../../ui/states';
import { word } from '../standard/words';
import { AddUnit } from './AddUnit';
import { ClientLinks } from './ClientLinks';
import { Due } from './Due';
import { Facts } from './Facts';
import { MoveModel } from './MoveModel';
import css from './Orders.module.css';
import { UnitCard } from './UnitCard';

export default function OrderPage() {
    const { id } = useParams();
    const query = useQuery(orderQuery(Number(id)));
    if (query.isPending) return <Loading what="the order" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <OrderView order={query.data} />;
}

function OrderView({ order }: { order: Order }) {
    const person = usePerson();
    const editable = can(person, 'orders.edit');
    const shares = can(person, 'share');
    const [piece, setPiece] = useState<number | null>(null);
    // An order without units wants one first.
    const [adding, setAdding] = useState(editable && order.units.length === 0);
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
                <span className="pill">{word('order_status', order.status)}</span>
                <Due order={order} />
                <span className="room" />
                {editable && (
                    <Button
                        type={order.units.length === 0 ? 'primary' : 'default'}
                        onClick={() => setAdding(true)}
                    >
                        Add a unit
                    </Button>
                )}
            </Top>
            <div className={`page ${css.page}`}>
                <Flex vertical gap={14}>
                    {order.units.length === 0 && (
                        <div className="card">
                            <Empty title="No units yet">
                                <p>A unit is a number of models of one figure at one tier.</p>
                            </Empty>
                        </div>
                    )}
                    {order.units.map((u) => (
                        <UnitCard key={u.id} unit={u} order={order} pick={editable ? setPiece : undefined} />
                    ))}
                </Flex>
                <Flex vertical gap={14}>
                    <Facts order={order} editable={editable} />
                    {shares && <ClientLinks order={order.id} />}
                </Flex>
            </div>
            <AddUnit order={order} open={adding} close={() => setAdding(false)} />
            <MoveModel
                key={piece}
                piece={order.units.flatMap((u) => u.pieces).find((p) => p.id === piece) ?? null}
                close={() => setPiece(null)}
            />
        </>
    );
}
