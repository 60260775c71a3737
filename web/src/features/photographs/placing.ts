/** An area as far as its lines are laid over a photograph. */
export interface Outlined {
    key: string;
    name: string;
    outline?: { front?: number[][][]; back?: number[][][] };
}

export type Point = [number, number];
type Three = [Point, Point, Point];

/** Where a point lies once three points of the figure are laid over three of the photograph. */
export function laidOver(point: Point, from: Three, to: Three): Point {
    const [a, b, c] = from;
    const det = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
    if (Math.abs(det) < 1e-9) return to[0];
    const u = ((point[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (point[1] - a[1])) / det;
    const v = ((b[0] - a[0]) * (point[1] - a[1]) - (point[0] - a[0]) * (b[1] - a[1])) / det;
    const along = (k: 0 | 1) => to[0][k] + u * (to[1][k] - to[0][k]) + v * (to[2][k] - to[0][k]);
    return [along(0), along(1)];
}
