import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { changeSculpt, makeSculpt, sculptQuery, triedMapQuery } from '../../api/colours';
import { takePicture } from '../../api/orders';
import type { SculptMap } from '../../api/types';
import { useKept } from '../../app/kept';
import { useNotices } from '../../app/notices';
import { type Area, type Pictures, type Sculpt, withoutArea } from './map';
import { at, type Point, type Ring, split, type View } from './outline';

/** Changes that can be taken back. */
const REMEMBERED = 60;
const SETTLES_MS = 350;
/** How far an arrow key moves a point. */
const NUDGE_MM = 0.25;

export type MapDesk = ReturnType<typeof useMap>;

/** A map while it is changed: what is chosen, what is drawn, and everything that can be done with it. */
export function useMap(map: SculptMap, editable: boolean) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const was = map.document as Sculpt;
    const kept = useKept<Sculpt>(`map.${map.slug}.${map.revision}`, was);
    const { now: sculpt, setNow, changed } = kept;
    const [past, setPast] = useState<Sculpt[]>([]);
    const [pictures, setPictures] = useState<Pictures>(map.pictures);
    const [view, setView] = useState<View>('front');
    const [chosen, setChosen] = useState<string | null>(sculpt.areas[0]?.key ?? null);
    const [points, setPoints] = useState<[number, number][]>([]);
    const [drawing, setDrawing] = useState<Ring | null>(null);
    const [asked, setAsked] = useState(sculpt);
    useEffect(() => {
        const wait = setTimeout(() => setAsked(sculpt), SETTLES_MS);
        return () => clearTimeout(wait);
    }, [sculpt]);
    const tried = useQuery({
        ...triedMapQuery({ ...asked }),
        enabled: editable,
        placeholderData: keepPreviousData,
    });
    const save = useMutation({
        mutationFn: () =>
            changeSculpt(map.slug, { revision: map.revision, document: { ...sculpt }, pictures }),
        onSuccess: (next) => {
            kept.forget();
            queries.setQueryData(sculptQuery(map.slug).queryKey, next);
            void queries.invalidateQueries({ queryKey: ['sculpts'] });
            void queries.invalidateQueries({ queryKey: ['plan'] });
            notices.done('Kept.');
        },
        onError: notices.failed,
    });
    const copy = useMutation({
        mutationFn: (name: string) => makeSculpt({ ...sculpt, name }),
        onSuccess: async (next) => {
            kept.forget();
            await queries.invalidateQueries({ queryKey: ['sculpts'] });
            await go(`/figures/${next.slug}`);
        },
        onError: notices.failed,
    });
    const upload = useMutation({
        mutationFn: takePicture,
        onSuccess: ({ sha256 }) => setPictures((p) => ({ ...p, [view]: sha256 })),
        onError: notices.failed,
    });
    // What was checked may be an outline ago: the shares are those of what stands there now.
    const takeShares = useMutation({
        mutationFn: () => queries.query(triedMapQuery({ ...sculpt })),
        onSuccess: ({ shares }) =>
            change({
                ...sculpt,
                areas: sculpt.areas.map((a) => ({ ...a, share_pct: shares[a.key] ?? a.share_pct })),
            }),
        onError: notices.failed,
    });
    const remember = () => setPast((p) => [...p.slice(-REMEMBERED), sculpt]);
    const change = (next: Sculpt, kept = true) => {
        if (!editable) return;
        if (kept) remember();
        setNow(next);
    };
    const area = sculpt.areas.find((a) => a.key === chosen) ?? null;
    const setArea = (patch: Partial<Area>, kept = true) =>
        change(
            { ...sculpt, areas: sculpt.areas.map((a) => (a.key === chosen ? { ...a, ...patch } : a)) },
            kept,
        );
    const rings = area?.outline[view] ?? [];
    const setRings = (next: Ring[], kept = true) => {
        if (!area) return;
        const { [view]: _, ...rest } = area.outline;
        setArea({ outline: next.length === 0 ? rest : { ...area.outline, [view]: next } }, kept);
    };
    const drop = () => {
        setDrawing(null);
        setPoints([]);
    };
    const choose = (key: string | null) => {
        setChosen(key);
        drop();
    };
    const [first, second] = points;
    return {
        sculpt,
        change,
        remember,
        area,
        setArea,
        rings,
        setRings,
        chosen,
        choose,
        setChosen,
        points,
        setPoints,
        drawing,
        setDrawing,
        drop,
        view,
        look: (next: View) => {
            setView(next);
            drop();
        },
        pictures,
        upload,
        withoutPicture: () => setPictures({ ...pictures, [view]: null }),
        tried,
        takeShares: () => takeShares.mutate(),
        save,
        copy,
        changed: changed || JSON.stringify(pictures) !== JSON.stringify(map.pictures),
        canUndo: past.length > 0,
        undo: () => {
            const last = past[past.length - 1];
            if (!last) return;
            setPast(past.slice(0, -1));
            setNow(last);
            setPoints([]);
        },
        /** Splits an outline between two of its points. */
        halve: () => {
            if (!first || !second || first[0] !== second[0]) return;
            const halves = split(rings[first[0]] ?? [], first[1], second[1]);
            if (halves === null) {
                notices.told('Choose two points of one outline that are not neighbours.');
                return;
            }
            setRings([...rings.slice(0, first[0]), ...halves, ...rings.slice(first[0] + 1)]);
            setPoints([]);
        },
        removePoint: () => {
            if (!first) return;
            const ring = rings[first[0]] ?? [];
            setRings(
                ring.length <= 3
                    ? rings.filter((_, i) => i !== first[0])
                    : rings.map((r, i) => (i === first[0] ? r.filter((_, k) => k !== first[1]) : r)),
            );
            setPoints([]);
        },
        close: () => {
            if (drawing && drawing.length >= 3) setRings([...rings, drawing]);
            setDrawing(null);
        },
        nudge: (x: number, y: number) => {
            if (!first) return;
            const [w, h] = sculpt.frame_mm ?? [60, 80];
            const moved = (p: Point): Point => at(p[0] + (NUDGE_MM * x) / w, p[1] + (NUDGE_MM * y) / h);
            setRings(
                rings.map((r, i) => (i === first[0] ? r.map((p, k) => (k === first[1] ? moved(p) : p)) : r)),
            );
        },
        removeArea: (key: string) => {
            change(withoutArea(sculpt, key));
            setChosen(null);
        },
    };
}
