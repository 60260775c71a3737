import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import { orderLinksQuery, shareOrder } from '../../api/orders';
import { MadeLinks, NewLink } from '../../ui/Links';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';

/** The one page by which the client sees their order, for its whole life. */
export function ClientLinks({ order }: { order: number }) {
    const queries = useQueryClient();
    const links = useQuery(orderLinksQuery(order));
    const kept = orderLinksQuery(order).queryKey;
    const make = useMutation({
        mutationFn: () => shareOrder(order),
        onSuccess: () => queries.invalidateQueries({ queryKey: kept }),
    });
    const held = (links.data?.data ?? []).filter((l) => l.holds);
    return (
        <section className="card pad" aria-label="For the client">
            <div className="eyebrow">The client’s page</div>
            <p className="small soft mt-4 mb-8">
                One address for the whole order: the quote to say yes to, questions, how far it is,
                photographs, certificates. No sign-in, nobody’s name, no cost. It ends with the days for
                claims.
            </p>
            <Flex gap={8} wrap>
                <Button loading={make.isPending} onClick={() => make.mutate()}>
                    {held.length > 0 ? 'Make the address anew' : 'Make its address'}
                </Button>
                <Link to={`/orders/${order}/for-the-client`}>Look at it</Link>
            </Flex>
            {make.data && <NewLink path={make.data.path} />}
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            <MadeLinks
                links={held.map((l) => ({
                    ...l,
                    says: `Made ${l.made_at ? day(l.made_at) : ''}`,
                    ends: 'holds',
                }))}
                kept={kept}
            />
        </section>
    );
}
