import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { MapFinding, SculptMap } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Failed, Loading } from '../../ui/states';
import { plain, valuesOf, word } from '../standard/words';
import { at, mirrored, nearestEdge, type Point, type Ring, snapped, split, type View } from './outline';

interface Area {
    key: string;
    name: string;
    material: string;
    relief: string[];
    rank: string;
    focus: number;
    facing: string;
    layer: number;
    share_pct: number;
    count: number;
    access: number;
    part: string | null;
    touches: string[];
    surround: string | null;
    slot?: string | undefined;
    optional?: boolean;
    outline: Partial<Record<View, Ring[]>>;
}
interface Sculpt {
    name: string;
    role: string;
    size: string;
    base_mm: number | null;
    surface_cm2: number;
    definition?: string;
    parts: string[];
    frame_mm?: [number, number];
    areas: Area[];
}
interface Tried {
    problems: { pointer: string; detail: string }[];
    findings: MapFinding[];
    shares: Record<string, number>;
}
type Pictures = Record<View, string | null>;

const SNAP_MM = 0.9;
const TONES = ['#6f9e8b', '#b9875f', '#7f90b3', '#c0a15a', '#94776b', '#8a9aa0', '#a7685c', '#6d8a5e'];

export default function MapPage() {
    const { slug } = useParams();
    const query = useQuery({
        queryKey: ['sculpt', slug],
        queryFn: () => api.get<SculptMap>(`sculpts/${slug ?? ''}`),
    });
    if (query.isPending) return <Loading what="the map" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <MapEditor key={`${query.data.slug} ${query.data.revision}`} map={query.data} />;
}

/** Marks areas as outlines on the bare model or the schematic, and says what each area is. It draws nothing else. */
function MapEditor({ map }: { map: SculptMap }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const { message } = App.useApp();
    const editable = can(usePerson(), 'schemes.edit');
    const was = map.document as unknown as Sculpt;
    const place = `ordotype.map.${map.slug}.${map.revision}`;
    const [sculpt, setNow] = useState<Sculpt>(() => {
        const kept = localStorage.getItem(place);
        return kept ? (JSON.parse(kept) as Sculpt) : was;
    });
    const [past, setPast] = useState<Sculpt[]>([]);
    const [pictures, setPictures] = useState<Pictures>(map.pictures as Pictures);
    const [view, setView] = useState<View>('front');
    const [chosen, setChosen] = useState<string | null>(sculpt.areas[0]?.key ?? null);
    const [points, setPoints] = useState<[number, number][]>([]);
    const [drawing, setDrawing] = useState<Ring | null>(null);
    const [snap, setSnap] = useState(true);
    const [fade, setFade] = useState(0.55);
    const changed =
        JSON.stringify(sculpt) !== JSON.stringify(was) ||
        JSON.stringify(pictures) !== JSON.stringify(map.pictures);
    useEffect(() => {
        if (JSON.stringify(sculpt) !== JSON.stringify(was))
            localStorage.setItem(place, JSON.stringify(sculpt));
        else localStorage.removeItem(place);
    }, [sculpt, was, place]);
    const [asked, setAsked] = useState(sculpt);
    useEffect(() => {
        const wait = setTimeout(() => setAsked(sculpt), 350);
        return () => clearTimeout(wait);
    }, [sculpt]);
    const tried = useQuery({
        queryKey: ['sculpt-try', asked],
        queryFn: () => api.post<Tried>('sculpts/try', { document: asked }),
        enabled: editable,
        placeholderData: (b) => b,
    });
    const save = useMutation({
        mutationFn: () =>
            api.put<SculptMap>(`sculpts/${map.slug}`, { revision: map.revision, document: sculpt, pictures }),
        onSuccess: (next) => {
            localStorage.removeItem(place);
            queries.setQueryData(['sculpt', map.slug], next);
            void queries.invalidateQueries({ queryKey: ['sculpts'] });
            void queries.invalidateQueries({ queryKey: ['plan'] });
            void message.success('Kept.');
        },
        onError: (e) => void message.error(saysWhy(e), 8),
    });
    const copy = useMutation({
        mutationFn: (name: string) => api.post<SculptMap>('sculpts', { document: { ...sculpt, name } }),
        onSuccess: async (next) => {
            localStorage.removeItem(place);
            await queries.invalidateQueries({ queryKey: ['sculpts'] });
            await go(`/figures/${next.slug}`);
        },
        onError: (e) => void message.error(saysWhy(e), 6),
    });
    const change = (next: Sculpt, remember = true) => {
        if (!editable) return;
        if (remember) setPast((p) => [...p.slice(-60), sculpt]);
        setNow(next);
    };
    const area = sculpt.areas.find((a) => a.key === chosen) ?? null;
    const setArea = (patch: Partial<Area>, remember = true) =>
        change(
            { ...sculpt, areas: sculpt.areas.map((a) => (a.key === chosen ? { ...a, ...patch } : a)) },
            remember,
        );
    const rings = area?.outline[view] ?? [];
    const setRings = (next: Ring[], remember = true) => {
        if (!area) return;
        const { [view]: _, ...rest } = area.outline;
        setArea({ outline: next.length === 0 ? rest : { ...area.outline, [view]: next } }, remember);
    };
    const undo = () => {
        const last = past[past.length - 1];
        if (last) {
            setPast(past.slice(0, -1));
            setNow(last);
            setPoints([]);
        }
    };
    const take = () => {
        const [one, two] = points;
        if (!one || !two || one[0] !== two[0]) return;
        const halves = split(rings[one[0]] ?? [], one[1], two[1]);
        if (halves === null) {
            void message.info('Choose two points of one outline that are not neighbours.');
            return;
        }
        setRings([...rings.slice(0, one[0]), ...halves, ...rings.slice(one[0] + 1)]);
        setPoints([]);
    };
    const remove = () => {
        const [one] = points;
        if (!one) return;
        const ring = rings[one[0]] ?? [];
        setRings(
            ring.length <= 3
                ? rings.filter((_, i) => i !== one[0])
                : rings.map((r, i) => (i === one[0] ? r.filter((_, k) => k !== one[1]) : r)),
        );
        setPoints([]);
    };
    const close = () => {
        if (drawing && drawing.length >= 3) setRings([...rings, drawing]);
        setDrawing(null);
    };
    const upload = useMutation({
        mutationFn: async (file: File) => {
            const form = new FormData();
            form.set('picture', file);
            return (await api.form<{ sha256: string }>('pictures', form)).sha256;
        },
        onSuccess: (sha) => setPictures((p) => ({ ...p, [view]: sha })),
        onError: (e) => void message.error(saysWhy(e), 6),
    });
    useEffect(() => {
        const press = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName)) return;
            if (e.key === 'z' && (e.ctrlKey || e.metaKey)) {
                e.preventDefault();
                undo();
            }
            if (e.key === 'Enter' && drawing) close();
            if (e.key === 'Escape') {
                setDrawing(null);
                setPoints([]);
            }
            if (e.key === 'Delete' || e.key === 'Backspace') remove();
            const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
                e.key
            ];
            const [one] = points;
            if (step && one) {
                e.preventDefault();
                const [w, h] = sculpt.frame_mm ?? [60, 80];
                setRings(
                    rings.map((r, i) =>
                        i === one[0]
                            ? r.map((p, k): Point =>
                                  k === one[1]
                                      ? at(
                                            p[0] + (0.25 * (step[0] ?? 0)) / w,
                                            p[1] + (0.25 * (step[1] ?? 0)) / h,
                                        )
                                      : p,
                              )
                            : r,
                    ),
                );
            }
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
    const addArea = () => {
        let n = sculpt.areas.length + 1;
        while (sculpt.areas.some((a) => a.key === `area${n}`)) n++;
        change({
            ...sculpt,
            areas: [
                ...sculpt.areas,
                {
                    key: `area${n}`,
                    name: `Area ${n}`,
                    material: 'cloth',
                    relief: ['soft_folds'],
                    rank: 'secondary',
                    focus: 1,
                    facing: 'both',
                    layer: 1 + Math.max(0, ...sculpt.areas.map((a) => a.layer)),
                    share_pct: 1,
                    count: 0,
                    access: 1,
                    part: null,
                    touches: [],
                    surround: null,
                    outline: {},
                },
            ],
        });
        setChosen(`area${n}`);
    };
    const removeArea = (key: string) => {
        change({
            ...sculpt,
            areas: sculpt.areas
                .filter((a) => a.key !== key)
                .map((a) => ({
                    ...a,
                    touches: a.touches.filter((t) => t !== key),
                    surround: a.surround === key ? null : a.surround,
                })),
        });
        setChosen(null);
    };
    const shares = tried.data?.shares ?? {};
    return (
        <>
            <Top>
                <Link to="/figures" className="soft">
                    Figures
                </Link>
                <h1>{sculpt.name}</h1>
                <span className="pill">{sculpt.areas.length} areas</span>
                {map.on_bench > 0 && (
                    <span
                        className="pill"
                        title="Outlines and pictures can be changed, areas and their figures cannot"
                    >
                        {map.on_bench} {map.on_bench === 1 ? 'unit' : 'units'} painted from it
                    </span>
                )}
                <span className="room" />
                <a className="btn" href={`/api/v1/sculpts/${map.slug}/export`} download>
                    Export
                </a>
                {editable && (
                    <>
                        <button className="btn" disabled={past.length === 0} onClick={undo}>
                            Undo
                        </button>
                        <button
                            className="btn"
                            disabled={copy.isPending}
                            onClick={() => {
                                const name = window.prompt(
                                    'Keep this map under the name',
                                    `${sculpt.name} copy`,
                                );
                                if (name) copy.mutate(name);
                            }}
                        >
                            Keep as another
                        </button>
                        <button
                            className="btn main"
                            disabled={!changed || save.isPending || (tried.data?.problems.length ?? 0) > 0}
                            onClick={() => save.mutate()}
                        >
                            Keep
                        </button>
                    </>
                )}
            </Top>
            <div className="map-page">
                <section className="card area-list">
                    {sculpt.areas.map((a, i) => (
                        <button
                            key={a.key}
                            aria-pressed={a.key === chosen}
                            onClick={() => {
                                setChosen(a.key);
                                setPoints([]);
                                setDrawing(null);
                            }}
                        >
                            <i style={{ background: TONES[i % TONES.length] }} />
                            <b className="num">{i + 1}</b> {a.name}
                            {(a.outline[view]?.length ?? 0) === 0 && <span className="soft small"> –</span>}
                        </button>
                    ))}
                    {editable && (
                        <button className="soft" onClick={addArea}>
                            + another area
                        </button>
                    )}
                </section>
                <section className="card pad">
                    <div className="map-tools">
                        <div className="chips">
                            {(['front', 'back'] as const).map((v) => (
                                <button
                                    key={v}
                                    className="chip"
                                    aria-pressed={view === v}
                                    onClick={() => {
                                        setView(v);
                                        setPoints([]);
                                        setDrawing(null);
                                    }}
                                >
                                    {v}
                                </button>
                            ))}
                        </div>
                        {editable && (
                            <>
                                <button
                                    className="btn"
                                    aria-pressed={drawing !== null}
                                    disabled={area === null}
                                    onClick={() => {
                                        setDrawing(drawing ? null : []);
                                        setPoints([]);
                                    }}
                                >
                                    {drawing ? 'Drop it' : 'New outline'}
                                </button>
                                {drawing && (
                                    <button
                                        className="btn main"
                                        disabled={drawing.length < 3}
                                        onClick={close}
                                    >
                                        Close it
                                    </button>
                                )}
                                <button className="btn" disabled={points.length !== 2} onClick={take}>
                                    Split
                                </button>
                                <button className="btn" disabled={points.length === 0} onClick={remove}>
                                    Remove point
                                </button>
                                <button
                                    className="btn"
                                    disabled={view !== 'front' || rings.length === 0}
                                    title="Copies this area’s front outlines to the back, mirrored"
                                    onClick={() =>
                                        area &&
                                        setArea({ outline: { ...area.outline, back: mirrored(rings) } })
                                    }
                                >
                                    To the back
                                </button>
                                <label className="small tick-line">
                                    <input
                                        type="checkbox"
                                        checked={snap}
                                        onChange={(e) => setSnap(e.target.checked)}
                                    />{' '}
                                    snap
                                </label>
                                <label className="btn file">
                                    {upload.isPending
                                        ? 'Taking it in …'
                                        : pictures[view]
                                          ? 'Another picture'
                                          : 'Picture of the bare model'}
                                    <input
                                        type="file"
                                        accept="image/png,image/jpeg,image/webp"
                                        onChange={(e) => {
                                            const f = e.target.files?.[0];
                                            if (f) upload.mutate(f);
                                            e.target.value = '';
                                        }}
                                    />
                                </label>
                                {pictures[view] && (
                                    <>
                                        <label className="small tick-line">
                                            fade{' '}
                                            <input
                                                type="range"
                                                min={0.1}
                                                max={1}
                                                step={0.05}
                                                value={fade}
                                                onChange={(e) => setFade(Number(e.target.value))}
                                            />
                                        </label>
                                        <button
                                            className="btn quiet"
                                            onClick={() => setPictures({ ...pictures, [view]: null })}
                                        >
                                            without picture
                                        </button>
                                    </>
                                )}
                            </>
                        )}
                    </div>
                    <Canvas
                        sculpt={sculpt}
                        view={view}
                        chosen={chosen}
                        choose={(k) => {
                            setChosen(k);
                            setPoints([]);
                        }}
                        picture={pictures[view]}
                        fade={fade}
                        points={points}
                        setPoints={setPoints}
                        drawing={drawing}
                        setDrawing={setDrawing}
                        snap={snap}
                        editable={editable}
                        rings={rings}
                        setRings={setRings}
                        remember={() => setPast((p) => [...p.slice(-60), sculpt])}
                    />
                    <p className="small soft" style={{ margin: '8px 0 0' }}>
                        {drawing
                            ? 'Click point after point; Enter or Close it ends the outline, Esc drops it.'
                            : editable
                              ? 'Drag a point; click an edge for a new one; Shift and click a second point to split between the two. Arrow keys move a point by a quarter millimetre.'
                              : 'The lead painter changes maps.'}
                    </p>
                </section>
                <aside style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
                    {area && (
                        <AreaForm
                            key={area.key}
                            area={area}
                            sculpt={sculpt}
                            editable={editable}
                            share={shares[area.key]}
                            set={setArea}
                            rename={(key) => {
                                change({
                                    ...sculpt,
                                    areas: sculpt.areas.map((a) => ({
                                        ...(a.key === area.key ? { ...a, key } : a),
                                        touches: a.touches.map((t) => (t === area.key ? key : t)),
                                        surround: a.surround === area.key ? key : a.surround,
                                    })),
                                });
                                setChosen(key);
                            }}
                            remove={() => removeArea(area.key)}
                        />
                    )}
                    <Checks
                        tried={tried.data}
                        pending={tried.isFetching}
                        sum={sculpt.areas.reduce((s, a) => s + a.share_pct, 0)}
                        choose={setChosen}
                        propose={
                            editable
                                ? () =>
                                      change({
                                          ...sculpt,
                                          areas: sculpt.areas.map((a) => ({
                                              ...a,
                                              share_pct: shares[a.key] ?? a.share_pct,
                                          })),
                                      })
                                : null
                        }
                    />
                    <FigureForm
                        sculpt={sculpt}
                        editable={editable}
                        set={(patch) => change({ ...sculpt, ...patch })}
                    />
                </aside>
            </div>
        </>
    );
}

function Canvas({
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
            style={{ aspectRatio: `${w} / ${h}`, width: `min(100%, calc((100vh - 214px) * ${w / h}))` }}
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
                            fill={TONES[i % TONES.length]}
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
                        style={{ cursor: 'copy' }}
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

function AreaForm({
    area,
    sculpt,
    editable,
    share,
    set,
    rename,
    remove,
}: {
    area: Area;
    sculpt: Sculpt;
    editable: boolean;
    share: number | undefined;
    set: (patch: Partial<Area>) => void;
    rename: (key: string) => void;
    remove: () => void;
}) {
    const others = sculpt.areas.filter((a) => a.key !== area.key);
    const [key, setKey] = useState(area.key);
    const select = (
        label: string,
        value: string,
        options: readonly string[],
        pick: (v: string) => void,
        empty?: string,
    ) => (
        <label className="field">
            <span>{label}</span>
            <select
                className="input"
                disabled={!editable}
                value={value}
                onChange={(e) => pick(e.target.value)}
            >
                {empty !== undefined && <option value="">{empty}</option>}
                {options.map((o) => (
                    <option key={o} value={o}>
                        {label === 'Material' ? word('material', o) : plain(o)}
                    </option>
                ))}
            </select>
        </label>
    );
    const number = (
        label: string,
        value: number,
        pick: (v: number) => void,
        step = 1,
        min = 0,
        max = 100,
    ) => (
        <label className="field">
            <span>{label}</span>
            <input
                className="input num"
                disabled={!editable}
                type="number"
                step={step}
                min={min}
                max={max}
                value={value}
                onChange={(e) => pick(Number(e.target.value))}
            />
        </label>
    );
    const flip = (list: string[], one: string) =>
        list.includes(one) ? list.filter((x) => x !== one) : [...list, one];
    return (
        <section className="card pad area-form" aria-label="The area">
            <label className="field">
                <span>Name</span>
                <input
                    className="input"
                    disabled={!editable}
                    value={area.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </label>
            <div className="two">
                {select('Material', area.material, valuesOf('material'), (v) => set({ material: v }))}
                {select('Rank', area.rank, valuesOf('rank'), (v) => set({ rank: v }))}
            </div>
            <div>
                <span className="small soft">Relief</span>
                <div className="chips">
                    {valuesOf('relief').map((r) => (
                        <button
                            key={r}
                            type="button"
                            className="chip"
                            disabled={!editable}
                            aria-pressed={area.relief.includes(r)}
                            onClick={() => set({ relief: flip(area.relief, r) })}
                        >
                            {word('relief', r)}
                        </button>
                    ))}
                </div>
            </div>
            <div className="four">
                {number('Focus', area.focus, (v) => set({ focus: v }), 1, 0, 3)}
                {number('Layer', area.layer, (v) => set({ layer: v }), 1, -20, 60)}
                {number('Counted', area.count, (v) => set({ count: v }), 1, 0, 999)}
                {number('Access', area.access, (v) => set({ access: v }), 0.1, 1, 2)}
            </div>
            <div className="two">
                {select('Faces', area.facing, ['front', 'back', 'both', 'under'], (v) => set({ facing: v }))}
                <label className="field">
                    <span>
                        Share, %
                        {share !== undefined && Math.abs(share - area.share_pct) >= 0.1
                            ? ` (outlined ${share})`
                            : ''}
                    </span>
                    <input
                        className="input num"
                        disabled={!editable}
                        type="number"
                        step={0.1}
                        min={0.1}
                        max={100}
                        value={area.share_pct}
                        onChange={(e) => set({ share_pct: Number(e.target.value) })}
                    />
                </label>
            </div>
            <div className="two">
                <label className="field">
                    <span>Slot of the scheme</span>
                    <input
                        className="input"
                        disabled={!editable}
                        value={area.slot ?? ''}
                        onChange={(e) => {
                            set(e.target.value === '' ? { slot: undefined } : { slot: e.target.value });
                        }}
                    />
                </label>
                {select(
                    'Kept apart with',
                    area.part ?? '',
                    sculpt.parts,
                    (v) => set({ part: v || null }),
                    'nothing',
                )}
            </div>
            {select(
                'Framed by, as a gem by its ring',
                area.surround ?? '',
                others.map((o) => o.key),
                (v) => set({ surround: v || null }),
                'nothing',
            )}
            <details>
                <summary className="small">
                    Touches{' '}
                    {area.touches.length === 0
                        ? 'nothing'
                        : others
                              .filter((o) => area.touches.includes(o.key) || o.touches.includes(area.key))
                              .map((o) => o.name.toLowerCase())
                              .join(', ')}
                </summary>
                <div className="chips" style={{ marginTop: 6 }}>
                    {others.map((o) => (
                        <button
                            key={o.key}
                            type="button"
                            className="chip"
                            disabled={!editable}
                            aria-pressed={area.touches.includes(o.key)}
                            onClick={() => set({ touches: flip(area.touches, o.key) })}
                        >
                            {o.name}
                        </button>
                    ))}
                </div>
            </details>
            <label className="small tick-line">
                <input
                    type="checkbox"
                    disabled={!editable}
                    checked={area.optional === true}
                    onChange={(e) => set(e.target.checked ? { optional: true } : { optional: false })}
                />{' '}
                some models lack it
            </label>
            {editable && (
                <div style={{ display: 'flex', gap: 8, alignItems: 'end' }}>
                    <label className="field" style={{ flex: 1 }}>
                        <span>Key in files and clauses</span>
                        <input
                            className="input"
                            pattern="[a-z][a-z0-9_]*"
                            value={key}
                            onChange={(e) => setKey(e.target.value)}
                            onBlur={() => {
                                if (
                                    key !== area.key &&
                                    /^[a-z][a-z0-9_]*$/.test(key) &&
                                    !others.some((o) => o.key === key)
                                )
                                    rename(key);
                                else setKey(area.key);
                            }}
                        />
                    </label>
                    <button className="btn danger" disabled={sculpt.areas.length < 2} onClick={remove}>
                        Remove area
                    </button>
                </div>
            )}
        </section>
    );
}

function Checks({
    tried,
    pending,
    sum,
    choose,
    propose,
}: {
    tried: Tried | undefined;
    pending: boolean;
    sum: number;
    choose: (key: string) => void;
    propose: (() => void) | null;
}) {
    if (!tried) return null;
    const [serious, mild] = [
        tried.findings.filter((f) => f.kind !== 'touches_unsaid' && f.kind !== 'share'),
        tried.findings.filter((f) => f.kind === 'touches_unsaid' || f.kind === 'share'),
    ];
    const line = (f: MapFinding, i: number) => (
        <div key={i} className="says warn small" style={{ marginTop: 6 }}>
            {f.text}{' '}
            {f.area && (
                <button
                    className="btn quiet"
                    style={{ padding: 0, minHeight: 0 }}
                    onClick={() => choose(f.area ?? '')}
                >
                    Show
                </button>
            )}
        </div>
    );
    return (
        <section className="card pad" aria-live="polite">
            <div className="eyebrow">The map, checked{pending ? ' …' : ''}</div>
            <p className="small" style={{ margin: '4px 0 0' }}>
                Shares make <b className="num">{Math.round(sum * 10) / 10} %</b>
                {Math.abs(sum - 100) > 0.5 ? ', and must make 100' : ''}.{' '}
                {propose && Object.keys(tried.shares).length > 0 && (
                    <button className="btn quiet" style={{ padding: 0, minHeight: 0 }} onClick={propose}>
                        Take them from the outlines
                    </button>
                )}
            </p>
            {tried.problems.map((p, i) => (
                <div key={i} className="says bad small" style={{ marginTop: 6 }}>
                    <b>{p.pointer}</b> {p.detail}
                </div>
            ))}
            {tried.problems.length === 0 && tried.findings.length === 0 && (
                <p className="says good small">Nothing odd about it.</p>
            )}
            {serious.map(line)}
            {mild.length > 0 && (
                <details className="small" style={{ marginTop: 6 }}>
                    <summary>{mild.length} more to look at</summary>
                    {mild.map(line)}
                </details>
            )}
        </section>
    );
}

function FigureForm({
    sculpt,
    editable,
    set,
}: {
    sculpt: Sculpt;
    editable: boolean;
    set: (patch: Partial<Sculpt>) => void;
}) {
    const [w, h] = sculpt.frame_mm ?? [60, 80];
    const number = (label: string, value: number, pick: (v: number) => void) => (
        <label className="field">
            <span>{label}</span>
            <input
                className="input num"
                disabled={!editable}
                type="number"
                min={1}
                value={value}
                onChange={(e) => pick(Number(e.target.value))}
            />
        </label>
    );
    return (
        <section className="card pad area-form">
            <div className="eyebrow">The figure</div>
            <label className="field">
                <span>Name</span>
                <input
                    className="input"
                    disabled={!editable}
                    value={sculpt.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </label>
            <div className="two">
                <label className="field">
                    <span>Role</span>
                    <select
                        className="input"
                        disabled={!editable}
                        value={sculpt.role}
                        onChange={(e) => set({ role: e.target.value })}
                    >
                        {valuesOf('role').map((r) => (
                            <option key={r}>{r}</option>
                        ))}
                    </select>
                </label>
                <label className="field">
                    <span>Size</span>
                    <select
                        className="input"
                        disabled={!editable}
                        value={sculpt.size}
                        onChange={(e) => set({ size: e.target.value })}
                    >
                        {valuesOf('size').map((r) => (
                            <option key={r}>{r}</option>
                        ))}
                    </select>
                </label>
            </div>
            <div className="two">
                {number('Surface, cm²', sculpt.surface_cm2, (v) => set({ surface_cm2: v }))}
                {number('Base, mm', sculpt.base_mm ?? 0, (v) => set({ base_mm: v > 0 ? v : null }))}
            </div>
            <div className="two">
                {number('Frame, mm wide', w, (v) => set({ frame_mm: [v, h] }))}
                {number('mm high', h, (v) => set({ frame_mm: [w, v] }))}
            </div>
            <div className="two">
                <label className="field">
                    <span>Cast</span>
                    <select
                        className="input"
                        disabled={!editable}
                        value={sculpt.definition ?? 'normal'}
                        onChange={(e) => set({ definition: e.target.value })}
                    >
                        {['soft', 'normal', 'crisp'].map((d) => (
                            <option key={d}>{d}</option>
                        ))}
                    </select>
                </label>
                <label className="field">
                    <span>Kept-apart parts</span>
                    <input
                        className="input"
                        disabled={!editable}
                        placeholder="shield, head"
                        defaultValue={sculpt.parts.join(', ')}
                        onBlur={(e) =>
                            set({
                                parts: e.target.value
                                    .split(',')
                                    .map((p) => p.trim())
                                    .filter(Boolean),
                            })
                        }
                    />
                </label>
            </div>
        </section>
    );
}
