import { useQuery } from '@tanstack/react-query';
import { openUnitsQuery } from '../../api/standard';
import { Says } from '../../ui/Says';

/** Open units at a rung that is about to be retired. */
export function LeftStanding({ tier }: { tier: string }) {
    const { data: open } = useQuery(openUnitsQuery(tier));
    if (!open || open.units === 0) return null;
    return (
        <Says kind="warn">
            {open.units} open {open.units === 1 ? 'unit is' : 'units are'} at this tier, in{' '}
            {open.orders.join(', ')}
            {open.further_orders > 0 ? ` and ${open.further_orders} more` : ''}. They keep their version and
            are finished at it; no new unit can be given it.
        </Says>
    );
}
