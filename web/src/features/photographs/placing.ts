/** An area as far as its lines are laid over a photograph. */
export interface Outlined {
    key: string;
    name: string;
    outline?: { front?: number[][][]; back?: number[][][] };
}

export type Point = [number, number];
export type Three = [Point, Point, Point];

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

/** How a photograph's pixels lie in the figure's frame of millimetres, as an SVG matrix. */
export function matrixOf(pixels: Three, mm: Three): string {
    const o = laidOver([0, 0], pixels, mm);
    const x = laidOver([1, 0], pixels, mm);
    const y = laidOver([0, 1], pixels, mm);
    return `matrix(${x[0] - o[0]} ${x[1] - o[1]} ${y[0] - o[0]} ${y[1] - o[1]} ${o[0]} ${o[1]})`;
}

/** The box, in millimetres, that holds all of a photograph laid into the frame. */
export function boxOf(size: Point, pixels: Three, mm: Three): Box {
    const corners = [[0, 0] as Point, [size[0], 0] as Point, [0, size[1]] as Point, size].map((p) =>
        laidOver(p, pixels, mm),
    );
    return around(corners);
}

/** Left, top, width and height. */
export type Box = [number, number, number, number];

export function around(points: Point[]): Box {
    const xs = points.map((p) => p[0]);
    const ys = points.map((p) => p[1]);
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    return [x, y, Math.max(...xs) - x, Math.max(...ys) - y];
}
