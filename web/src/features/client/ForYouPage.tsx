import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { clientPageQuery, type OrderForClient, type PageOf } from '../../api/quotes';
import { BehindLink } from '../../ui/BehindLink';
import css from './Client.module.css';
import { Asked } from './Asked';
import { Came } from './Came';
import { Leaf } from './Leaf';
import { PriceOf } from './PriceOf';
import { Side } from './Side';
import { TestModels } from './TestModels';

/** What a client sees of their order by its address, for its whole life, and no way anywhere else. */
export default function ForYouPage() {
    const { secret, id } = useParams();
    const of: PageOf = secret === undefined ? { order: Number(id) } : { secret };
    const [ticks, setTicks] = useState<string[]>([]);
    const query = useQuery(clientPageQuery(of, ticks));
    return (
        <BehindLink query={query} what="your order">
            {(order) => <Page order={order} of={of} ticks={ticks} setTicks={setTicks} />}
        </BehindLink>
    );
}

export type PageProps = {
    order: OrderForClient;
    /** Of a page that is only looked at, by the studio: nothing can be said on it. */
    secret: string | null;
};

function Page({
    order,
    of,
    ticks,
    setTicks,
}: {
    order: OrderForClient;
    of: PageOf;
    ticks: string[];
    setTicks: (ticks: string[]) => void;
}) {
    const secret = 'secret' in of ? of.secret : null;
    const quote = order.quote;
    const isOpen = quote?.state === 'open' && !quote.run_out;
    return (
        <main className={`page shared ${css.page} ${quote ? '' : (css.plain ?? '')}`}>
            <Side order={order} secret={secret} />
            <div className={css.leaves}>
                {order.units.map((u) => (
                    <Leaf
                        key={u.id}
                        unit={u}
                        order={order}
                        secret={secret}
                        ticks={ticks}
                        tick={isOpen ? setTicks : null}
                    />
                ))}
                <TestModels order={order} secret={secret} />
                <Asked order={order} secret={secret} />
                <Came order={order} secret={secret} />
            </div>
            {quote && <PriceOf order={order} quote={quote} secret={secret} ticks={ticks} />}
        </main>
    );
}
