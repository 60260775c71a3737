import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { orderQuery, ORDERS } from '../../api/orders';
import { type Quote, quoteQuery, type TypedQuote, typeQuote } from '../../api/quotes';

/** Something done with a quote: the page shows it as it stands then, and the order is read anew. */
export function useQuoteChange<T>(order: number, change: (given: T) => Promise<Quote>, done?: () => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: change,
        // One after the other: each is of the revision that the one before made.
        scope: { id: `quote ${order}` },
        onSuccess: async (now) => {
            queries.setQueryData(quoteQuery(order).queryKey, now);
            done?.();
            await queries.invalidateQueries({ queryKey: orderQuery(order).queryKey });
            await queries.invalidateQueries({ queryKey: ORDERS });
        },
    });
}

const typedOf = (quote: Quote): TypedQuote => ({
    extras: quote.extras
        .filter((e) => e.choice)
        .map((e) => ({ ...e, choice: undefined, amendment: e.amendment ?? null })),
    lines: quote.lines,
    discount: quote.discount,
    contingencies: quote.contingencies,
});

/** What is typed beside the units; each change is kept at once. */
export function useTyped(quote: Quote) {
    const queries = useQueryClient();
    const keep = useQuoteChange(quote.order.id, (patch: Partial<TypedQuote>) => {
        const now = queries.getQueryData(quoteQuery(quote.order.id).queryKey) ?? quote;
        return typeQuote(quote.order.id, { revision: now.order.revision, ...typedOf(now), ...patch });
    });
    return { typed: typedOf(quote), keep };
}

export type Typed = ReturnType<typeof useTyped>;

/** Names for what is new, none of which the quote has. */
export function useFresh(taken: string[]) {
    const last = useRef(0);
    return (kind: string): string => {
        let id = '';
        do id = `${kind}${++last.current}`;
        while (taken.includes(id));
        return id;
    };
}
