import { day } from '../../ui/when';

export function Due({ order }: { order: { due_on: string | null; late: boolean } }) {
    if (!order.due_on) return <span className="soft">no date</span>;
    return (
        <span className={order.late ? 'strong late' : 'soft'}>
            {order.late ? 'late, was due ' : 'due '}
            {day(order.due_on, false)}
        </span>
    );
}
