import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ORDERS, orderQuery } from '../../api/orders';
import type { Order } from '../../api/types';

/** Something done with an order: the page shows it as it stands then, and lists are read anew. */
export function useChange<T>(order: number, change: (given: T) => Promise<Order>, done?: () => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: change,
        onSuccess: async (now) => {
            queries.setQueryData(orderQuery(order).queryKey, now);
            done?.();
            await queries.invalidateQueries({ queryKey: ORDERS });
        },
    });
}
