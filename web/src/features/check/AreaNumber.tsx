import css from './Canvas.module.css';
import type { Area } from './Canvas';

/** The number of an area that is spoken of, in the middle of its largest ring. */
export function AreaNumber({
    area,
    view,
    frame,
    lit,
    unit,
}: {
    area: Area;
    view: 'front' | 'back';
    frame: [number, number];
    lit: readonly string[];
    unit: number;
}) {
    const ring = area.outline[view]?.[0];
    if (!ring || !lit.includes(area.key)) return null;
    const xs = ring.map(([x = 0]) => x);
    const ys = ring.map(([, y = 0]) => y);
    const x = ((Math.min(...xs) + Math.max(...xs)) / 2) * frame[0];
    const y = ((Math.min(...ys) + Math.max(...ys)) / 2) * frame[1];
    return (
        <g className={css.number} pointerEvents="none">
            <circle cx={x} cy={y} r={unit * 1.7} />
            <text x={x} y={y + unit * 0.8} fontSize={unit * 2.2}>
                {area.no}
            </text>
        </g>
    );
}
