import type { ComparedRung, Comparison as Sheet } from '../../api/types';
import { Figure } from '../../ui/Figure';
import css from './Comparison.module.css';

/**
 * The schematic figure with the marks of what is done at a rung: shade darkens, light brightens, lines and
 * edges are drawn.
 */
export function MarkedFigure({ sheet, rung }: { sheet: Sheet; rung: ComparedRung }) {
    const effects = new Map(rung.marks.map((m) => [m.area, new Set(m.effects)]));
    const areas = sheet.figure.map((a) => ({
        ...a,
        colour: effects.get(a.key)?.size ? a.colour : '#b9b4aa',
    }));
    const [w = 60, h = 80] = sheet.frame_mm;
    const rings = (key: string) => sheet.figure.find((a) => a.key === key)?.outline.front ?? [];
    const points = (ring: number[][]) =>
        ring.map(([x = 0, y = 0]) => `${(x * w).toFixed(2)},${(y * h).toFixed(2)}`).join(' ');
    const has = (key: string, ...any: string[]) => any.some((e) => effects.get(key)?.has(e));
    const ordered = [...sheet.figure].sort((a, b) => a.layer - b.layer);
    return (
        <div className={css.figure}>
            <Figure areas={areas} view="front" frame={sheet.frame_mm} />
            <svg className={`figure ${css.over}`} viewBox={`0 0 ${w} ${h}`} aria-hidden="true">
                <defs>
                    <linearGradient id={`s-${rung.key}`} x1="0" y1="0" x2="0" y2="1">
                        <stop offset="0.35" stopColor="#000" stopOpacity="0" />
                        <stop offset="1" stopColor="#000" stopOpacity="0.42" />
                    </linearGradient>
                    <linearGradient id={`l-${rung.key}`} x1="0" y1="0" x2="0" y2="1">
                        <stop offset="0" stopColor="#fff" stopOpacity="0.5" />
                        <stop offset="0.45" stopColor="#fff" stopOpacity="0" />
                    </linearGradient>
                </defs>
                {ordered.map((a) => (
                    <g key={a.key}>
                        {rings(a.key).map((ring, i) => (
                            <g key={i}>
                                {has(a.key, 'shade') && (
                                    <polygon
                                        points={points(ring)}
                                        fill={`url(#s-${rung.key})`}
                                        stroke="none"
                                    />
                                )}
                                {has(a.key, 'highlight_raised', 'blend', 'texture') && (
                                    <polygon
                                        points={points(ring)}
                                        fill={`url(#l-${rung.key})`}
                                        stroke="none"
                                    />
                                )}
                                {has(a.key, 'separate', 'separate_tinted') && (
                                    <polygon
                                        points={points(ring)}
                                        fill="none"
                                        className={
                                            has(a.key, 'separate_tinted') ? 'mark-line tinted' : 'mark-line'
                                        }
                                    />
                                )}
                                {has(a.key, 'highlight_edge') && (
                                    <polyline
                                        points={points(
                                            ring.slice(0, Math.max(2, Math.ceil(ring.length / 2))),
                                        )}
                                        fill="none"
                                        className="mark-edge"
                                    />
                                )}
                                {has(a.key, 'highlight_spot', 'glow', 'pick_out', 'mark') && ring[0] && (
                                    <circle
                                        cx={(ring[0][0] ?? 0) * w}
                                        cy={(ring[0][1] ?? 0) * h}
                                        r={0.6}
                                        className="mark-dot"
                                    />
                                )}
                            </g>
                        ))}
                    </g>
                ))}
            </svg>
        </div>
    );
}
