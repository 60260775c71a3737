import { day } from '../../ui/when';

/** The day that was promised, else the one that was asked for; late means promised. */
export function Due({
    order,
}: {
    order: { due_on: string | null; promised_on: string | null; late: boolean; on_hold: boolean };
}) {
    const on = order.promised_on ?? order.due_on;
    if (order.on_hold) return <span className="strong late">on hold</span>;
    if (!on) return <span className="soft">no date</span>;
    return (
        <span className={order.late ? 'strong late' : 'soft'}>
            {order.late ? 'late, promised ' : order.promised_on ? 'promised ' : 'asked for '}
            {day(on, false)}
        </span>
    );
}
