import type { OrderBrief } from '../../api/types';
import { day } from '../../ui/when';
import css from './Orders.module.css';

/** The day that was promised, else the one that was asked for; late means promised. */
export function Due({
    order,
}: {
    order: Pick<OrderBrief, 'due_on' | 'promised_on' | 'late' | 'on_hold' | 'status'>;
}) {
    const on = order.promised_on ?? order.due_on;
    if (order.status === 'closed' || order.status === 'cancelled') return null;
    if (order.on_hold) return <span className="strong late">on hold</span>;
    if (!on) return <span className="soft">no date</span>;
    return (
        <span className={`${css.due} ${order.late ? 'strong late' : 'soft'}`}>
            {order.late ? 'late: ' : order.promised_on ? 'promised ' : 'asked for '}
            {day(on, false)}
        </span>
    );
}
