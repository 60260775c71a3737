import type { FigureArea } from '../api/types';

/**
 * The schematic figure, drawn from the outlines of its areas in the order of their layers; areas that are
 * lit stand out.
 */
export function Figure({
    areas,
    view,
    frame,
    lit,
    numbers = false,
    onPick,
}: {
    areas: FigureArea[];
    view: 'front' | 'back';
    frame: number[];
    lit?: readonly string[] | null;
    numbers?: boolean;
    onPick?: (key: string) => void;
}) {
    const [w = 60, h = 80] = frame;
    const drawn = [...areas]
        .sort((a, b) => a.layer - b.layer)
        .filter((a) => (a.outline[view]?.length ?? 0) > 0);
    if (drawn.length === 0) return <p className="soft small">No outlines for the {view}.</p>;
    const dims = lit != null && lit.length > 0;
    return (
        <svg className="figure" viewBox={`0 0 ${w} ${h}`} role="img" aria-label={`${view} of the figure`}>
            {drawn.map((area) => {
                const isLit = lit?.includes(area.key) ?? false;
                return (
                    <g
                        key={area.key}
                        className={dims ? (isLit ? 'lit' : 'dim') : undefined}
                        onClick={onPick && (() => onPick(area.key))}
                        style={onPick && { cursor: 'pointer' }}
                    >
                        <title>{area.name}</title>
                        {area.outline[view]?.map((ring, i) => (
                            <polygon
                                key={i}
                                points={ring
                                    .map(([x = 0, y = 0]) => `${(x * w).toFixed(2)},${(y * h).toFixed(2)}`)
                                    .join(' ')}
                                fill={area.colour ?? 'var(--rule)'}
                            />
                        ))}
                    </g>
                );
            })}
            {numbers &&
                drawn.map((area) => {
                    const ring = area.outline[view]?.[0];
                    if (!ring || (dims && !lit.includes(area.key))) return null;
                    const xs = ring.map(([x = 0]) => x),
                        ys = ring.map(([, y = 0]) => y);
                    const x = ((Math.min(...xs) + Math.max(...xs)) / 2) * w,
                        y = ((Math.min(...ys) + Math.max(...ys)) / 2) * h;
                    return (
                        <g key={`n${area.key}`} pointerEvents="none">
                            <circle cx={x} cy={y} r={1.7} />
                            <text x={x} y={y + 0.75}>
                                {area.no}
                            </text>
                        </g>
                    );
                })}
        </svg>
    );
}
