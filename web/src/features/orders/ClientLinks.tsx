import { useQuery } from '@tanstack/react-query';
import { orderLinksQuery, shareOrder } from '../../api/orders';
import { MadeLinks, MakeLink } from '../../ui/Links';

/** Links by which the client sees what is painted, how it is meant to look and how far it is. */
export function ClientLinks({ order }: { order: number }) {
    const links = useQuery(orderLinksQuery(order));
    const kept = orderLinksQuery(order).queryKey;
    return (
        <section className="card pad" aria-label="For the client">
            <div className="eyebrow">For the client</div>
            <p className="small soft mt-4 mb-8">
                A page with the figures drawn in the order’s colours, what their tier promises, and how many
                are finished. No prices, no sign-in.
            </p>
            <MakeLink
                button="Make a link for the client"
                label="days that the client’s link holds"
                first={60}
                make={(days) => shareOrder(order, days)}
                kept={kept}
            />
            <MadeLinks links={(links.data?.data ?? []).map((l) => ({ ...l, says: 'A link' }))} kept={kept} />
        </section>
    );
}
