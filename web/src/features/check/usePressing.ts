import { type PointerEvent, type RefObject, useState } from 'react';

/** What was pressed: where in parts of the frame, on which area, and how far it was dragged. */
export interface Pressed {
    view: 'front' | 'back';
    x: number;
    y: number;
    area: string | null;
    mm: number | null;
}

/** Shorter than this a drag is a press, mm. */
const STILL = 0.3;

/** Presses and drags on a picture, in parts of the figure's frame; a drag measures. */
export function usePressing({
    svg,
    view,
    frame,
    press,
    hover,
}: {
    svg: RefObject<SVGSVGElement | null>;
    view: 'front' | 'back';
    frame: [number, number];
    press: ((at: Pressed) => void) | null;
    hover: (area: string | null) => void;
}) {
    const [from, setFrom] = useState<{ x: number; y: number; area: string | null } | null>(null);
    const [to, setTo] = useState<{ x: number; y: number } | null>(null);
    const at = (e: PointerEvent) => {
        const inverse = svg.current?.getScreenCTM()?.inverse();
        return inverse ? new DOMPoint(e.clientX, e.clientY).matrixTransform(inverse) : null;
    };
    const areaOf = (e: PointerEvent) => (e.target as SVGElement).getAttribute('data-area');
    const mm = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0;
    const handlers = {
        onPointerDown: (e: PointerEvent) => {
            const p = at(e);
            if (!press || !p) return;
            e.currentTarget.setPointerCapture(e.pointerId);
            setFrom({ x: p.x, y: p.y, area: areaOf(e) });
            setTo(null);
        },
        onPointerMove: (e: PointerEvent) => {
            if (!from) hover(areaOf(e));
            const p = from && at(e);
            if (p) setTo({ x: p.x, y: p.y });
        },
        onPointerLeave: () => hover(null),
        onPointerUp: () => {
            if (from && press)
                press({
                    view,
                    x: from.x / frame[0],
                    y: from.y / frame[1],
                    area: from.area,
                    mm: mm > STILL ? Math.round(mm * 100) / 100 : null,
                });
            setFrom(null);
            setTo(null);
        },
    };
    return { handlers, measured: from && to && mm > STILL ? { from, to, mm } : null };
}
