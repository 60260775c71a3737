import type {
    Announcements,
    CollisionDetection,
    KeyboardCoordinateGetter,
    UniqueIdentifier,
} from '@dnd-kit/core';

/** A finger rests so long, in ms, before it drags, so that the page still scrolls under it. */
export const TOUCH = { delay: 200, tolerance: 8 };

/** What those hear who drag by keys: things by their names. */
export const tells = (name: (id: UniqueIdentifier) => string): { announcements: Announcements } => ({
    announcements: {
        onDragStart: ({ active }) => `Lifted: ${name(active.id)}.`,
        onDragOver: ({ over }) => (over ? `Over ${name(over.id)}.` : undefined),
        onDragEnd: ({ active, over }) =>
            over ? `Let go: ${name(active.id)}, on ${name(over.id)}.` : `Let go where it was.`,
        onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
    },
});

/** A row reaches from edge to edge: only the height says which one something is over. */
export const byRow: CollisionDetection = ({
    droppableContainers,
    droppableRects,
    pointerCoordinates,
    collisionRect,
}) => {
    const y = pointerCoordinates?.y ?? collisionRect.top + collisionRect.height / 2;
    return droppableContainers
        .filter(({ id }) => {
            const r = droppableRects.get(id);
            return r !== undefined && y >= r.top && y <= r.bottom;
        })
        .map(({ id }) => ({ id }));
};

/** The arrow keys go from row to row. */
export const rowByRow: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
    const way = { ArrowDown: 1, ArrowUp: -1 }[event.code];
    const at = context.collisionRect;
    if (way === undefined || at === null) return undefined;
    event.preventDefault();
    const middle = at.top + at.height / 2;
    const ahead = [...context.droppableRects.values()]
        .map((r) => r.top + r.height / 2 - middle)
        .filter((far) => far * way > 4)
        .sort((a, b) => Math.abs(a) - Math.abs(b));
    return ahead[0] === undefined ? undefined : { ...currentCoordinates, y: currentCoordinates.y + ahead[0] };
};
