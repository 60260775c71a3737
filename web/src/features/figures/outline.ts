// Points are fractions of the frame, x to the right and y down; distances are measured in millimetres of the frame.
export type Point = [number, number];
export type Ring = Point[];
export type View = 'front' | 'back';

const round = (v: number): number => Math.round(Math.min(1, Math.max(0, v)) * 1e4) / 1e4;
export const at = (x: number, y: number): Point => [round(x), round(y)];

const mm = (a: Point, b: Point, [w, h]: readonly [number, number]): number =>
    Math.hypot((a[0] - b[0]) * w, (a[1] - b[1]) * h);

/** The nearest point of the other rings within reach, or the point itself. */
export function snapped(
    p: Point,
    others: readonly Ring[],
    frame: readonly [number, number],
    reach: number,
): Point {
    let best = p;
    let least = reach;
    for (const ring of others)
        for (const q of ring) {
            const d = mm(p, q, frame);
            if (d < least) {
                least = d;
                best = q;
            }
        }
    return best;
}

/** The edge of a ring that lies nearest to a point, as the index of its first point. */
export function nearestEdge(p: Point, ring: Ring, frame: readonly [number, number]): number {
    let best = 0;
    let least = Infinity;
    for (let i = 0; i < ring.length; i++) {
        const a = ring[i] ?? p,
            b = ring[(i + 1) % ring.length] ?? p;
        const [ax, ay, bx, by, px, py] = [
            a[0] * frame[0],
            a[1] * frame[1],
            b[0] * frame[0],
            b[1] * frame[1],
            p[0] * frame[0],
            p[1] * frame[1],
        ];
        const length = (bx - ax) ** 2 + (by - ay) ** 2;
        const t =
            length === 0
                ? 0
                : Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / length));
        const d = Math.hypot(px - ax - t * (bx - ax), py - ay - t * (by - ay));
        if (d < least) {
            least = d;
            best = i;
        }
    }
    return best;
}

/** A ring cut in two between two of its points, which both halves keep; null where the two are neighbours. */
export function split(ring: Ring, i: number, j: number): [Ring, Ring] | null {
    const [a, b] = i < j ? [i, j] : [j, i];
    if (b - a < 2 || (a === 0 && b === ring.length - 1)) return null;
    return [ring.slice(a, b + 1), [...ring.slice(b), ...ring.slice(0, a + 1)]];
}

/** The same rings as seen from the other side. */
export const mirrored = (rings: readonly Ring[]): Ring[] =>
    rings.map((ring) => ring.map(([x, y]) => at(1 - x, y)).reverse());
