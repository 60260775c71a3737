import { type PointerEvent, useRef } from 'react';
import { type Sculpt, toneOf } from './map';
import { at, nearestEdge, type Point, type Ring, snapped, type View } from './outline';

const SNAP_MM = 0.9;

/** The outlines of a view, over the picture of the bare model: points are dragged, edges split, outlines drawn. */
export function MapCanvas({
    sculpt,
    view,
    chosen,
    choose,
    picture,
    fade,
    points,
    setPoints,
    drawing,
    setDrawing,
    snap,
    editable,
    rings,
    setRings,
    remember,
}: {
    sculpt: Sculpt;
    view: View;
    chosen: string | null;
    choose: (key: string) => void;
    picture: string | null;
    fade: number;
    points: [number, number][];
    setPoints: (p: [number, number][]) => void;
    drawing: Ring | null;
    setDrawing: (r: Ring | null) => void;
    snap: boolean;
    editable: boolean;
    rings: Ring[];
    setRings: (r: Ring[], remember?: boolean) => void;
    remember: () => void;
}) {
    const svg = useRef<SVGSVGElement>(null);
    const dragged = useRef<[number, number] | null>(null);
    const frame: readonly [number, number] = sculpt.frame_mm ?? [60, 80];
    const [w, h] = frame;
    const spot = (e: { clientX: number; clientY: number }): Point => {
        const box = svg.current?.getBoundingClientRect();
        return box ? at((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height) : [0, 0];
    };
    const others = sculpt.areas.filter((a) => a.key !== chosen).flatMap((a) => a.outline[view] ?? []);
    const settle = (p: Point): Point => (snap ? snapped(p, others, frame, SNAP_MM) : p);
    const path = (ring: Ring) => ring.map(([x, y]) => `${x * w},${y * h}`).join(' ');
    const down = (e: PointerEvent) => {
        if (drawing && editable) {
            e.preventDefault();
            setDrawing([...drawing, settle(spot(e))]);
        }
    };
    const move = (e: PointerEvent) => {
        const it = dragged.current;
        if (it)
            setRings(
                rings.map((r, i) => (i === it[0] ? r.map((p, k) => (k === it[1] ? settle(spot(e)) : p)) : r)),
                false,
            );
    };
    return (
        <svg
            ref={svg}
            className={`map-canvas ${drawing ? 'drawing' : ''}`}
            viewBox={`0 0 ${w} ${h}`}
            style={{ '--ratio': w / h }}
            role="img"
            aria-label={`Map of ${sculpt.name}, ${view}`}
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={() => {
                dragged.current = null;
            }}
            onPointerLeave={() => {
                dragged.current = null;
            }}
        >
            <rect width={w} height={h} fill="var(--paper)" />
            {picture && (
                <image
                    href={`/api/v1/pictures/${picture}`}
                    width={w}
                    height={h}
                    opacity={fade}
                    preserveAspectRatio="xMidYMid meet"
                />
            )}
            {[...sculpt.areas.entries()]
                .sort(([, a], [, b]) => a.layer - b.layer)
                .map(([i, a]) =>
                    (a.outline[view] ?? []).map((ring, k) => (
                        <polygon
                            key={`${a.key}${k}`}
                            points={path(ring)}
                            fill={toneOf(i)}
                            fillOpacity={a.key === chosen ? 0.75 : picture ? 0.22 : 0.5}
                            stroke={a.key === chosen ? 'var(--accent)' : 'var(--ink)'}
                            strokeWidth={a.key === chosen ? 0.45 : 0.15}
                            onPointerDown={
                                drawing
                                    ? undefined
                                    : () => {
                                          if (a.key !== chosen) choose(a.key);
                                      }
                            }
                        >
                            <title>{a.name}</title>
                        </polygon>
                    )),
                )}
            {editable &&
                !drawing &&
                rings.map((ring, i) => (
                    <polygon
                        key={`e${i}`}
                        points={path(ring)}
                        fill="none"
                        stroke="transparent"
                        strokeWidth={1.6}
                        className="map-edge"
                        pointerEvents="stroke"
                        onPointerDown={(e) => {
                            e.stopPropagation();
                            const p = spot(e);
                            const k = nearestEdge(p, ring, frame);
                            setRings(
                                rings.map((r, j) =>
                                    j === i ? [...r.slice(0, k + 1), p, ...r.slice(k + 1)] : r,
                                ),
                            );
                            setPoints([[i, k + 1]]);
                            dragged.current = [i, k + 1];
                        }}
                    />
                ))}
            {editable &&
                !drawing &&
                rings.map((ring, i) =>
                    ring.map(([x, y], k) => (
                        <circle
                            key={`p${i} ${k}`}
                            className="map-point"
                            cx={x * w}
                            cy={y * h}
                            r={Math.max(w, h) / 130}
                            data-on={points.some((p) => p[0] === i && p[1] === k)}
                            onPointerDown={(e) => {
                                e.stopPropagation();
                                if (e.shiftKey && points.length === 1) {
                                    setPoints([points[0] ?? [i, k], [i, k]]);
                                    return;
                                }
                                setPoints([[i, k]]);
                                remember();
                                dragged.current = [i, k];
                            }}
                        />
                    )),
                )}
            {drawing && (
                <>
                    <polyline points={path(drawing)} fill="none" stroke="var(--fault)" strokeWidth={0.4} />
                    {drawing.map(([x, y], k) => (
                        <circle
                            key={k}
                            className="map-point"
                            cx={x * w}
                            cy={y * h}
                            r={Math.max(w, h) / 140}
                            data-on={k === 0}
                        />
                    ))}
                </>
            )}
        </svg>
    );
}
