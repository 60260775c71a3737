import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Quote, quoteQuery } from '../../api/quotes';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { LinkButton } from '../../ui/LinkButton';
import { Failed, Loading } from '../../ui/states';
import { word } from '../standard/words';
import { Beside } from './Beside';
import { BudgetDialog } from './BudgetDialog';
import { Contingencies } from './Contingencies';
import { Extras } from './Extras';
import { Letters } from './Letters';
import css from './Quote.module.css';
import { SendDialog } from './SendDialog';
import { Sums } from './Sums';
import { UnitsPriced } from './UnitsPriced';
import { useTyped } from './useQuote';
import { Versions } from './Versions';

/** What an order is to cost: the next version as it stands, those that went out, and words to the client. */
export default function QuotePage() {
    const { id } = useParams();
    const query = useQuery(quoteQuery(Number(id)));
    if (query.isPending) return <Loading what="the quote" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <QuoteView quote={query.data} />;
}

function QuoteView({ quote }: { quote: Quote }) {
    const person = usePerson();
    const typed = useTyped(quote);
    const [opened, open] = useState<'send' | 'budget' | null>(null);
    const { order } = quote;
    const isOver = ['delivered', 'closed', 'cancelled'].includes(order.status);
    const editable = can(person, 'orders.edit') && !isOver;
    return (
        <>
            <Top>
                <Link to={`/orders/${order.id}`} className="soft">
                    {order.number}
                </Link>
                <h1>Quote: {order.title}</h1>
                <span className="pill">{word('order_status', order.status)}</span>
                <span className="room" />
                {editable && can(person, 'plan.edit') && (
                    <Button onClick={() => open('budget')}>From a budget</Button>
                )}
                <LinkButton to={`/orders/${order.id}/for-the-client`}>As the client sees it</LinkButton>
                {editable && (
                    <Button type="primary" disabled={quote.faults.length > 0} onClick={() => open('send')}>
                        Send out version {quote.next}
                    </Button>
                )}
            </Top>
            <div className={`page ${css.page}`}>
                <Flex vertical gap={14}>
                    <UnitsPriced quote={quote} editable={editable} />
                    <Extras quote={quote} typed={typed} editable={editable} />
                    <Beside quote={quote} typed={typed} editable={editable} />
                    {!quote.is_fixed && <Contingencies quote={quote} typed={typed} editable={editable} />}
                </Flex>
                <Flex vertical gap={14}>
                    <Sums quote={quote} typed={typed} />
                    <Versions quote={quote} editable={editable} />
                    <Letters quote={quote} />
                </Flex>
            </div>
            {opened === 'send' && <SendDialog quote={quote} close={() => open(null)} />}
            {opened === 'budget' && <BudgetDialog quote={quote} close={() => open(null)} />}
        </>
    );
}
