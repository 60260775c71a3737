import type { Box } from '../photographs/placing';
import css from './Canvas.module.css';

/** Height of the rule below the picture, hundredths of its longer side. */
export const RULE = 5;

/** Steps of a rule that can be read, mm. */
const STEPS = [1, 2, 5, 10, 20, 50, 100];

const MOST_MARKS = 7;

/** A rule along the lower edge, in real millimetres. */
export function Rule({ shown: [x0, y0, w, h], unit }: { shown: Box; unit: number }) {
    const step = STEPS.find((s) => w / s <= MOST_MARKS) ?? 100;
    const marks = Array.from({ length: Math.floor(w / step) + 1 }, (_, i) => i * step).filter(
        (mm) => mm + unit * 8 < w,
    );
    const bottom = y0 + h;
    return (
        <g className={css.rule} pointerEvents="none">
            <rect x={x0} y={bottom} width={w} height={unit * RULE} />
            {marks.map((mm) => (
                <g key={mm}>
                    <line x1={x0 + unit + mm} x2={x0 + unit + mm} y1={bottom} y2={bottom + unit * 1.4} />
                    <text x={x0 + unit + mm} y={bottom + unit * 3.8} fontSize={unit * 2}>
                        {mm} mm
                    </text>
                </g>
            ))}
        </g>
    );
}
