import { useId, useRef, useState, type PointerEvent } from 'react';
import type { Check } from '../../api/types';
import type { Box } from '../photographs/placing';
import css from './Canvas.module.css';
import type { Laid } from './pictures';

type Area = Check['figure'][number];

/** What was pressed: where in parts of the frame, on which area, and how far it was dragged. */
export interface Pressed {
    view: 'front' | 'back';
    x: number;
    y: number;
    area: string | null;
    mm: number | null;
}

export interface Pin {
    id: number;
    x: number;
    y: number;
    mark: string;
}

/** More areas than this are outlined faintly. */
const MANY = 5;

/** Height of the rule below the picture, hundredths of its longer side. */
const RULE = 5;

/** Shorter than this a drag is a press, mm. */
const STILL = 0.3;

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
    const clip = useId();
    const [from, setFrom] = useState<{ x: number; y: number; area: string | null } | null>(null);
    const [to, setTo] = useState<{ x: number; y: number } | null>(null);
    const [x0, y0, w, h] = shown;
    const unit = (Math.max(w, h) / 100) * (small ? 3 : 1);
    const rule = small ? 0 : unit * RULE;
    const at = (e: PointerEvent) => {
        const inverse = svg.current?.getScreenCTM()?.inverse();
        return inverse ? new DOMPoint(e.clientX, e.clientY).matrixTransform(inverse) : null;
    };
    const areaOf = (e: PointerEvent) => (e.target as SVGElement).getAttribute('data-area');
    const classOf = (key: string) =>
        lit.includes(key) ? (lit.length > MANY ? css.lit : `${css.lit} ${css.strong}`) : css.area;
    const drawn = [...areas].sort((a, b) => a.layer - b.layer);
    const mm = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0;
    return (
        <svg
            ref={svg}
            className={css.canvas}
            viewBox={[x0, y0, w, h + rule].join(' ')}
            role="img"
            aria-label={`The ${view} of the model`}
            onPointerDown={(e) => {
                const p = at(e);
                if (!press || !p) return;
                e.currentTarget.setPointerCapture(e.pointerId);
                setFrom({ x: p.x, y: p.y, area: areaOf(e) });
                setTo(null);
            }}
            onPointerMove={(e) => {
                if (!from) hover(areaOf(e));
                const p = from && at(e);
                if (p) setTo({ x: p.x, y: p.y });
            }}
            onPointerLeave={() => hover(null)}
            onPointerUp={() => {
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
            }}
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
            {(picture === null || picture.placed) &&
                drawn.flatMap((area) =>
                    (area.outline[view] ?? []).map((ring, i) => {
                        const [dx, dy] = picture?.shifts[area.key] ?? [0, 0];
                        return (
                            <polygon
                                key={`${area.key} ${i}`}
                                data-area={area.key}
                                className={classOf(area.key)}
                                style={picture === null ? { fill: area.colour ?? 'var(--rule)' } : undefined}
                                points={ring
                                    .map(([x = 0, y = 0]) => [x * frame[0] + dx, y * frame[1] + dy].join())
                                    .join(' ')}
                            />
                        );
                    }),
                )}
            {!small &&
                (picture === null || picture.placed) &&
                lit.length < areas.length &&
                drawn.map((area) => (
                    <Number key={area.key} area={area} view={view} frame={frame} lit={lit} unit={unit} />
                ))}
            {pins.map((p) => (
                <g key={p.id} className={css.pin}>
                    <circle cx={p.x * frame[0]} cy={p.y * frame[1]} r={unit * 2.1} />
                    <text x={p.x * frame[0]} y={p.y * frame[1] + unit} fontSize={unit * 2.8}>
                        {p.mark}
                    </text>
                </g>
            ))}
            {from && to && mm > STILL && (
                <g className={css.measure}>
                    <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
                    <text x={(from.x + to.x) / 2} y={Math.min(from.y, to.y) - unit} fontSize={unit * 3}>
                        {mm.toFixed(1)} mm
                    </text>
                </g>
            )}
            {!small && <Rule shown={shown} unit={unit} />}
        </svg>
    );
}

function Picture({ of: p }: { of: Laid }) {
    return (
        <image
            href={p.href}
            width={p.width}
            height={p.height}
            preserveAspectRatio="none"
            {...(p.matrix && { transform: p.matrix })}
        />
    );
}

/** The number of an area that is spoken of, in the middle of its largest ring. */
function Number({
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

/** Steps of a rule that can be read, mm. */
const STEPS = [1, 2, 5, 10, 20, 50, 100];
const MOST_MARKS = 7;

/** A rule along the lower edge, in real millimetres. */
function Rule({ shown: [x0, y0, w, h], unit }: { shown: Box; unit: number }) {
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
