import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, InputNumber, Typography } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { orderLinksQuery, shareOrder } from '../../api/orders';
import { withdrawShare } from '../../api/standard';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';

/** Links by which the client sees what is painted, how it is meant to look and how far it is. */
export function ClientLinks({ order }: { order: number }) {
    const queries = useQueryClient();
    const [days, setDays] = useState(60);
    const links = useQuery(orderLinksQuery(order));
    const again = () => queries.invalidateQueries({ queryKey: orderLinksQuery(order).queryKey });
    const make = useMutation({ mutationFn: () => shareOrder(order, days), onSuccess: again });
    const withdraw = useMutation({ mutationFn: withdrawShare, onSuccess: again });
    return (
        <section className="card pad" aria-label="For the client">
            <div className="eyebrow">For the client</div>
            <p className="small soft mt-4 mb-8">
                A page with the figures drawn in the order’s colours, what their tier promises, and how many
                are finished. No prices, no sign-in.
            </p>
            <Flex gap={8} align="center" wrap>
                <span className="small soft">
                    Holds for{' '}
                    <InputNumber
                        min={1}
                        max={365}
                        precision={0}
                        value={days}
                        aria-label="days that the client’s link holds"
                        onChange={(n) => setDays(n ?? 1)}
                    />{' '}
                    days
                </span>
                <Button loading={make.isPending} onClick={() => make.mutate()}>
                    Make a link for the client
                </Button>
            </Flex>
            {make.data && (
                <Says kind="good" className="mt-8">
                    Copy it now, it is not shown again:{' '}
                    <Typography.Text strong copyable>
                        {window.location.origin + make.data.path}
                    </Typography.Text>
                </Says>
            )}
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            {withdraw.isError && <Says kind="bad">{saysWhy(withdraw.error)}</Says>}
            {links.data?.data.map((l) => (
                <Flex key={l.id} gap={8} align="center" justify="space-between" className="small mt-8">
                    <span>
                        {l.holds ? `A link until ${day(l.expires_at)}` : 'A link that shows nothing any more'}
                    </span>
                    {l.holds && (
                        <Button type="link" size="small" onClick={() => withdraw.mutate(l.id)}>
                            Withdraw
                        </Button>
                    )}
                </Flex>
            ))}
        </section>
    );
}
