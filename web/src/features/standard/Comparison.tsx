import type { ComparedRung, Comparison as Sheet } from '../../api/types';
import { TierMark } from '../../ui/marks';
import { Figure } from '../../ui/Figure';

/** One figure at every offered tier, in plain words: on screen, on A4 landscape, and behind a shared link. */
export function Comparison({ sheet, prices }: { sheet: Sheet; prices: boolean }) {
    return (
        <div
            className="rungs sheet"
            style={{ gridTemplateColumns: `repeat(${sheet.rungs.length}, minmax(150px, 1fr))` }}
        >
            {sheet.rungs.map((r, i) => (
                <section key={r.key} aria-label={r.name}>
                    <div style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
                        <TierMark order={r.order} status={r.status as 'offered'} />
                        <h2>{r.name}</h2>
                    </div>
                    <p className="small soft" style={{ margin: '4px 0 8px', minHeight: 36 }}>
                        {r.intent}
                    </p>
                    <Marked sheet={sheet} rung={r} />
                    <p className="small" style={{ margin: '8px 0 0' }}>
                        Made to be seen from {r.distance_cm} cm
                        {prices && r.price ? (
                            <>
                                <br />
                                <b className="num">
                                    {sheet.currency} {r.price.low}
                                    {r.price.high ? `–${r.price.high}` : ' and up'}
                                </b>
                            </>
                        ) : (
                            ''
                        )}
                    </p>
                    <p className="small strong" style={{ margin: '10px 0 0' }}>
                        {i === 0 ? 'What you get' : `Over ${sheet.rungs[i - 1]?.name ?? ''} you get`}
                    </p>
                    <ul className="small">
                        {r.adds.map((a) => (
                            <li key={a}>{a}</li>
                        ))}
                    </ul>
                    {r.loses.length > 0 && (
                        <>
                            <p className="small strong" style={{ margin: '8px 0 0' }}>
                                In its place goes
                            </p>
                            <ul className="small without">
                                {r.loses.map((a) => (
                                    <li key={a}>{a}</li>
                                ))}
                            </ul>
                        </>
                    )}
                    {r.not_here.length > 0 && (
                        <>
                            <p className="small strong" style={{ margin: '10px 0 0' }}>
                                You do not get here
                            </p>
                            <ul className="small without">
                                {r.not_here.slice(0, 4).map((a) => (
                                    <li key={a}>{a}</li>
                                ))}
                                {r.not_here.length > 4 && <li>and {r.not_here.length - 4} more</li>}
                            </ul>
                        </>
                    )}
                </section>
            ))}
        </div>
    );
}

/** The schematic figure with the marks of what is done at a rung: shade darkens, light brightens, lines and edges are drawn. */
function Marked({ sheet, rung }: { sheet: Sheet; rung: ComparedRung }) {
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
        <div style={{ position: 'relative' }}>
            <Figure areas={areas} view="front" frame={sheet.frame_mm} />
            <svg
                className="figure over"
                viewBox={`0 0 ${w} ${h}`}
                aria-hidden="true"
                style={{ position: 'absolute', inset: 0 }}
            >
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
                                        style={{
                                            stroke: has(a.key, 'separate_tinted') ? '#3c2a2a' : '#101010',
                                            strokeWidth: 0.7,
                                        }}
                                    />
                                )}
                                {has(a.key, 'highlight_edge') && (
                                    <polyline
                                        points={points(
                                            ring.slice(0, Math.max(2, Math.ceil(ring.length / 2))),
                                        )}
                                        fill="none"
                                        style={{ stroke: '#fff8e6', strokeWidth: 0.32, strokeOpacity: 0.85 }}
                                    />
                                )}
                                {has(a.key, 'highlight_spot', 'glow', 'pick_out', 'mark') && ring[0] && (
                                    <circle
                                        cx={(ring[0][0] ?? 0) * w}
                                        cy={(ring[0][1] ?? 0) * h}
                                        r={0.6}
                                        style={{ fill: '#fff8e6', stroke: 'none' }}
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
