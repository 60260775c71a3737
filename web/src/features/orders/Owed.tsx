import { useQuery } from '@tanstack/react-query';
import { Flex } from 'antd';
import { owedQuery } from '../../api/orders';
import type { Order } from '../../api/types';
import { minutes } from '../../ui/marks';
import { money } from '../../ui/money';

/** What is owed, line by line, if it ends now. */
export function Owed({ order }: { order: Order }) {
    const query = useQuery(owedQuery(order.id, order.revision));
    if (!query.data) return <p className="soft m-0">Reading what is owed…</p>;
    return (
        <div>
            {query.data.lines
                .filter((l) => l.signed > 0 || l.minutes > 0)
                .map((l) => (
                    <Flex key={l.unit} justify="space-between" gap={12} className="small">
                        <span>
                            {l.unit}:{' '}
                            {l.signed > 0 && `${l.signed} signed at ${money(l.price, order.currency)}`}
                            {l.signed > 0 && l.minutes > 0 && ', '}
                            {l.minutes > 0 && `${minutes(l.minutes)} spent on what was begun`}
                        </span>
                        <b className="num">{money(l.sum, order.currency)}</b>
                    </Flex>
                ))}
            <p className="m-0">
                {order.status === 'cancelled' ? 'Owed' : 'Owed if it ends now'}:{' '}
                <b className="num">{money(query.data.total, order.currency)}</b>. It stays in sight until the
                client’s models are sent back.
            </p>
        </div>
    );
}
