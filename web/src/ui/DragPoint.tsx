import type { KeyboardEvent } from 'react';

/** A point on a picture that is dragged, or nudged by the arrow keys. */
export function DragPoint({
    label,
    mark,
    className,
    left,
    top,
    hold,
    nudge,
}: {
    label: string;
    mark: string;
    className: string;
    /** In percent of the picture. */
    left: number;
    top: number;
    hold: () => void;
    /** By so many pixels of the picture. */
    nudge: (x: number, y: number) => void;
}) {
    const key = (e: KeyboardEvent) => {
        const way = WAYS[e.key];
        if (!way) return;
        e.preventDefault();
        const far = e.shiftKey ? 10 : 1;
        nudge(way[0] * far, way[1] * far);
    };
    return (
        <button
            type="button"
            className={className}
            aria-label={label}
            style={{ left: `${left}%`, top: `${top}%` }}
            onPointerDown={(e) => {
                e.currentTarget.focus();
                hold();
            }}
            onKeyDown={key}
        >
            {mark}
        </button>
    );
}

const WAYS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};
