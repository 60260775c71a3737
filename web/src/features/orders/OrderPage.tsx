import { useQuery } from '@tanstack/react-query';
import { Flex } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { orderQuery } from '../../api/orders';
import type { Order } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Empty, Failed, Loading } from '../../ui/states';
import { day } from '../../ui/when';
import { word } from '../standard/words';
import { Act, type Opened } from './Act';
import { AddUnit } from './AddUnit';
import { Ask } from './Ask';
import { ClientLinks } from './ClientLinks';
import { Due } from './Due';
import { Facts } from './Facts';
import { MoveModel } from './MoveModel';
import css from './Orders.module.css';
import { CameIn, ParcelDialog } from './Parcels';
import { PasteLines } from './PasteLines';
import { Payments, PaymentsPlan } from './Payments';
import { Questions } from './Questions';
import { QuoteCard } from './QuoteCard';
import { Receive } from './Receive';
import { Road } from './Road';
import { UnitCard } from './UnitCard';
import { UnitEdit } from './UnitEdit';

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
    const [unit, setUnit] = useState<number | null>(null);
    // An order without units wants one first.
    const [opened, open] = useState<Opened>(editable && order.units.length === 0 ? 'unit' : null);
    const close = () => open(null);
    const edited = order.units.find((u) => u.id === unit);
    return (
        <>
            <Top>
                <Link to="/orders" className="soft">
                    Orders
                </Link>
                <h1>{order.title}</h1>
                <span className="pill">
                    <span>
                        {order.number} ·{' '}
                        {order.client_id ? (
                            <Link className={css.underlined} to={`/clients/${order.client_id}`}>
                                {order.client}
                            </Link>
                        ) : (
                            order.client
                        )}
                    </span>
                </span>
                <span className="pill">{word('order_status', order.status)}</span>
                <Due order={order} />
                <span className="room" />
                {editable && <Act order={order} open={open} />}
            </Top>
            <div className={`page ${css.page}`}>
                <Standing order={order} />
                <Flex vertical gap={14}>
                    {order.units.length === 0 && (
                        <div className="card">
                            <Empty title="No units yet">
                                <p>A unit is a number of models of one figure at one tier.</p>
                            </Empty>
                        </div>
                    )}
                    {order.units.map((u) => (
                        <UnitCard
                            key={u.id}
                            unit={u}
                            order={order}
                            pick={editable ? setPiece : undefined}
                            change={editable ? setUnit : undefined}
                        />
                    ))}
                </Flex>
                <Flex vertical gap={14}>
                    <Facts order={order} editable={editable} />
                    <QuoteCard order={order} />
                    <Questions order={order} editable={editable} ask={() => open('questions')} />
                    <Payments order={order} editable={editable} open={() => open('payments')} />
                    <CameIn order={order} editable={editable} receive={() => open('receive')} />
                    {shares && <ClientLinks order={order.id} />}
                </Flex>
            </div>
            <AddUnit order={order} open={opened === 'unit'} close={close} />
            {opened === 'lines' && <PasteLines order={order} close={close} />}
            {opened === 'payments' && <PaymentsPlan order={order} close={close} />}
            {opened === 'parcel' && <ParcelDialog order={order} close={close} />}
            {opened === 'questions' && <Ask order={order} close={close} />}
            {opened === 'receive' && <Receive order={order} close={close} />}
            {edited && (
                <UnitEdit key={edited.revision} order={order} unit={edited} close={() => setUnit(null)} />
            )}
            <MoveModel
                key={piece}
                piece={order.units.flatMap((u) => u.pieces).find((p) => p.id === piece) ?? null}
                close={() => setPiece(null)}
            />
        </>
    );
}

/** Its road, and in one sentence what it waits for. */
function Standing({ order }: { order: Order }) {
    const { held, waits } = order.life;
    return (
        <section className={`card pad ${css.whole}`} aria-label="How it stands">
            <Road order={order} />
            {held ? (
                <p className="m-0">
                    <b className="late">On hold since {day(held.since, false)}:</b> {held.reason}{' '}
                    <span className="soft">
                        {held.for === 'client' ? 'The wait is the client’s.' : 'The wait is ours.'}
                    </span>
                </p>
            ) : (
                waits && <p className="m-0 strong">{waits}</p>
            )}
        </section>
    );
}
