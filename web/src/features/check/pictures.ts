import { pictureOf } from '../../api/drawings';
import type { Photograph } from '../../api/photographs';
import type { components } from '../../api/schema';
import { boxOf, matrixOf, type Box, type Point, type Three } from '../photographs/placing';

type Marks = components['schemas']['PlacementMarks'] | undefined;

/** A picture as it lies in the figure's frame, so that any two of them lie over each other. */
export interface Laid {
    href: string;
    width: number;
    height: number;
    /** From pixels to millimetres of the frame. */
    matrix: string;
    /** Millimetres. */
    box: Box;
    drawn: boolean;
    /** Whether the outlines of the figure lie where they lie in it. */
    placed: boolean;
    /** By area key: millimetres by which its outlines lie elsewhere in it. */
    shifts: Record<string, Point>;
}

const point = (p: number[] | undefined): Point => [p?.[0] ?? 0, p?.[1] ?? 0];

export function photographIn(p: Photograph, marks: Marks, frame: [number, number]): Laid {
    const made = { href: `/api/v1/pictures/${p.sha256}`, width: p.width, height: p.height, drawn: p.drawn };
    // What was only proposed is not laid: nobody has looked at it yet.
    if (p.placement === null || p.state === 'kept' || !marks) {
        const scale = frame[0] / p.width;
        return {
            ...made,
            matrix: `scale(${scale})`,
            box: [0, 0, frame[0], p.height * scale],
            placed: false,
            shifts: {},
        };
    }
    const pixels: Three = [
        point(p.placement.base_left),
        point(p.placement.base_right),
        point(p.placement.top),
    ];
    const mm = [marks.base_left, marks.base_right, marks.top].map((m): Point => {
        const [x, y] = point(m);
        return [x * frame[0], y * frame[1]];
    }) as Three;
    const perPixel = frame[0] === 0 || p.width_mm === null ? 0 : p.width_mm / p.width;
    return {
        ...made,
        matrix: matrixOf(pixels, mm),
        box: boxOf([p.width, p.height], pixels, mm),
        placed: true,
        shifts: Object.fromEntries(
            Object.entries(p.placement.shifts ?? {}).map(([key, by]) => {
                const [x, y] = point(by);
                return [key, [x * perPixel, y * perPixel]];
            }),
        ),
    };
}

/** A drawing shows the frame and nothing else. */
export function drawingIn(address: string, frame: [number, number]): Laid {
    return {
        href: pictureOf(address),
        width: frame[0],
        height: frame[1],
        matrix: '',
        box: [0, 0, frame[0], frame[1]],
        drawn: true,
        placed: true,
        shifts: {},
    };
}
