import { useId, useRef } from 'react';
import type { Check } from '../../api/types';
import type { Box } from '../photographs/placing';
import { AreaNumber } from './AreaNumber';
import css from './Canvas.module.css';
import type { Laid } from './pictures';
import { Outlines } from './Outlines';
import { Picture } from './Picture';
import { Rule, RULE } from './Rule';
import { type Pressed, usePressing } from './usePressing';

export type Area = Check['figure'][number];

export interface Pin {
    id: number;
    x: number;
    y: number;
    mark: string;
}

/** A picture of the model with its areas, pins and a rule, in millimetres of the figure's frame. */
export function Canvas({
    areas,
    view,
    frame,
    picture,
    beside,
    divide,
    shown,
    lit,
    pins,
    press,
    hover,
    small = false,
}: {
    areas: Area[];
    view: 'front' | 'back';
    frame: [number, number];
    picture: Laid | null;
    beside: Laid | null;
    /** Where the divide stands, 0 to 1; left of it is what it is compared with. */
    divide: number;
    shown: Box;
    lit: readonly string[];
    pins: Pin[];
    press: ((at: Pressed) => void) | null;
    hover: (area: string | null) => void;
    /** A little picture: its marks are larger for it, and it has no rule. */
    small?: boolean;
}) {
    const svg = useRef<SVGSVGElement>(null);
    const { handlers, measured } = usePressing({ svg, view, frame, press, hover });
    const clip = useId();
    const [x0, y0, w, h] = shown;
    const unit = (Math.max(w, h) / 100) * (small ? 3 : 1);
    const rule = small ? 0 : unit * RULE;
    const isLaid = picture === null || picture.placed;
    const drawn = [...areas].sort((a, b) => a.layer - b.layer);
    return (
        <svg
            ref={svg}
            className={css.canvas}
            viewBox={[x0, y0, w, h + rule].join(' ')}
            role="img"
            aria-label={`The ${view} of the model`}
            {...handlers}
        >
            {picture && <Picture of={picture} />}
            {beside && (
                <>
                    <clipPath id={clip}>
                        <rect x={x0} y={y0} width={w * divide} height={h} />
                    </clipPath>
                    <g clipPath={`url(#${clip})`}>
                        <Picture of={beside} />
                    </g>
                    <line
                        className={css.divide}
                        x1={x0 + w * divide}
                        x2={x0 + w * divide}
                        y1={y0}
                        y2={y0 + h}
                    />
                </>
            )}
            {isLaid && <Outlines areas={drawn} view={view} frame={frame} picture={picture} lit={lit} />}
            {!small &&
                isLaid &&
                lit.length < areas.length &&
                drawn.map((area) => (
                    <AreaNumber key={area.key} area={area} view={view} frame={frame} lit={lit} unit={unit} />
                ))}
            {pins.map((p) => (
                <g key={p.id} className={css.pin}>
                    <circle cx={p.x * frame[0]} cy={p.y * frame[1]} r={unit * 2.1} />
                    <text x={p.x * frame[0]} y={p.y * frame[1] + unit} fontSize={unit * 2.8}>
                        {p.mark}
                    </text>
                </g>
            ))}
            {measured && (
                <g className={css.measure}>
                    <line x1={measured.from.x} y1={measured.from.y} x2={measured.to.x} y2={measured.to.y} />
                    <text
                        x={(measured.from.x + measured.to.x) / 2}
                        y={Math.min(measured.from.y, measured.to.y) - unit}
                        fontSize={unit * 3}
                    >
                        {measured.mm.toFixed(1)} mm
                    </text>
                </g>
            )}
            {!small && <Rule shown={shown} unit={unit} />}
        </svg>
    );
}
