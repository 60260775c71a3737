import { Says } from '../ui/Says';
import { can, usePerson, useSession } from './session';

/** Said above every page while nothing can be kept; that it soon will be so, to whoever can do something about it. */
export function RoomLeft() {
    const left = useSession().data?.room;
    const looksAfter = can(usePerson(), 'studio.edit');
    if (left === 'none')
        return (
            <Says kind="bad">
                The disk of the studio is full, or cannot be written to: everything can be read, nothing can
                be kept.
            </Says>
        );
    if (left === 'low' && looksAfter)
        return <Says kind="warn">The disk of the studio is nearly full. Soon nothing more can be kept.</Says>;
    return null;
}
