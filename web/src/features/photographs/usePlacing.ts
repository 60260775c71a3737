import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { placePhotograph, type Photograph, type PhotographPlacement } from '../../api/photographs';
import type { components } from '../../api/schema';
import { laidOver, type Outlined, type Point } from './placing';

type Marks = components['schemas']['PlacementMarks'];
/** A photograph, where the points of its figure's outlines belong, and what is done once they lie there. */
export interface Placing {
    photograph: Photograph;
    marks: Marks | undefined;
    figure: Outlined[];
    done: () => void;
}
export type Handle = 'base_left' | 'base_right' | 'top' | 'card' | 'area';

const point = (p: number[]): Point => [p[0] ?? 0, p[1] ?? 0];

/** Where the points, the card and single areas lie on a photograph while they are dragged, in its pixels. */
export function usePlacing({ photograph: p, marks, figure, done }: Placing) {
    const fitted = (m: number[]): Point => [(m[0] ?? 0) * p.width, (m[1] ?? 0) * p.height];
    const was = p.placement;
    const [at, setAt] = useState<Record<Handle, Point>>({
        base_left: was ? point(was.base_left) : fitted(marks?.base_left ?? []),
        base_right: was ? point(was.base_right) : fitted(marks?.base_right ?? []),
        top: was ? point(was.top) : fitted(marks?.top ?? []),
        area: [0, 0],
        card: was?.card
            ? [((was.card[0] ?? 0) + (was.card[2] ?? 0)) / 2, ((was.card[1] ?? 0) + (was.card[3] ?? 0)) / 2]
            : [p.width * 0.07, p.height * 0.93],
    });
    const [hasCard, setHasCard] = useState(was ? was.card !== null : true);
    const [side, setSide] = useState(was?.card ? (was.card[2] ?? 0) - (was.card[0] ?? 0) : p.width * 0.03);
    const [shifts, setShifts] = useState<Record<string, Point>>(
        Object.fromEntries(Object.entries(was?.shifts ?? {}).map(([key, by]) => [key, point(by)])),
    );
    const [area, setArea] = useState('');
    const view: 'front' | 'back' = p.view === 'back' ? 'back' : 'front';
    const laid = (key: string, q: number[]): Point => {
        const [x, y] = marks
            ? laidOver(
                  point(q),
                  [point(marks.base_left), point(marks.base_right), point(marks.top)],
                  [at.base_left, at.base_right, at.top],
              )
            : point(q);
        const by = shifts[key] ?? [0, 0];
        return [x + by[0], y + by[1]];
    };
    const ringOf = figure.find((a) => a.key === area)?.outline?.[view]?.[0] ?? [];
    const middle = ringOf.reduce<Point>(
        (sum, q) => {
            const [x, y] = laid(area, q);
            return [sum[0] + x / ringOf.length, sum[1] + y / ringOf.length];
        },
        [0, 0],
    );
    const shift = (x: number, y: number) =>
        setShifts((now) => ({ ...now, [area]: [(now[area]?.[0] ?? 0) + x, (now[area]?.[1] ?? 0) + y] }));
    const stage = useRef<HTMLDivElement>(null);
    const held = useRef<Handle | null>(null);
    const keep = useMutation({
        mutationFn: () =>
            placePhotograph(p.id, { ...placement(at, hasCard ? side : null), shifts, revision: p.revision }),
        onSuccess: done,
    });
    const drag = (clientX: number, clientY: number) => {
        const box = stage.current?.getBoundingClientRect();
        const key = held.current;
        if (!box || !key) return;
        const to: Point = [
            ((clientX - box.left) / box.width) * p.width,
            ((clientY - box.top) / box.height) * p.height,
        ];
        if (key === 'area') shift(to[0] - middle[0], to[1] - middle[1]);
        else setAt((now) => ({ ...now, [key]: to }));
    };
    const hold = (key: Handle | null) => {
        held.current = key;
    };
    const nudge = (key: Handle, x: number, y: number) =>
        key === 'area'
            ? shift(x, y)
            : setAt((now) => ({ ...now, [key]: [now[key][0] + x, now[key][1] + y] }));
    return {
        was,
        view,
        at,
        hasCard,
        setHasCard,
        side,
        setSide,
        area,
        setArea,
        laid,
        ringOf,
        middle,
        stage,
        hold,
        drag,
        nudge,
        keep,
    };
}

function placement(at: Record<Handle, Point>, side: number | null): Omit<PhotographPlacement, 'shifts'> {
    const whole = (n: number) => Math.max(0, Math.round(n));
    const [x, y] = at.card;
    return {
        base_left: at.base_left,
        base_right: at.base_right,
        top: at.top,
        card:
            side === null
                ? null
                : [whole(x - side / 2), whole(y - side / 2), whole(x + side / 2), whole(y + side / 2)],
    };
}
