import type { components } from '../../api/schema';
import type { Ring, View } from './outline';

export type Tried = components['schemas']['TrySculptAnswer'];

type Document = components['schemas']['SculptDocument'];

/** As in the document, its points told as pairs. */
export type Area = Omit<Document['areas'][number], 'outline'> & { outline: Partial<Record<View, Ring[]>> };
export type Sculpt = Omit<Document, 'areas' | 'frame_mm'> & { areas: Area[]; frame_mm?: [number, number] };

export type Pictures = Record<View, string | null>;

/** Areas are told apart by these, in turn. */
const TONES = ['#6f9e8b', '#b9875f', '#7f90b3', '#c0a15a', '#94776b', '#8a9aa0', '#a7685c', '#6d8a5e'];

export const toneOf = (place: number): string => TONES[place % TONES.length] ?? '#8a9aa0';

/** An area that nothing is known of yet. */
export const newArea = (sculpt: Sculpt): Area => {
    let n = sculpt.areas.length + 1;
    while (sculpt.areas.some((a) => a.key === `area${n}`)) n++;
    return {
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
    };
};

/** The map without an area, and without what others said of it. */
export const withoutArea = (sculpt: Sculpt, key: string): Sculpt => ({
    ...sculpt,
    areas: sculpt.areas
        .filter((a) => a.key !== key)
        .map((a) => ({
            ...a,
            touches: a.touches.filter((t) => t !== key),
            surround: a.surround === key ? null : a.surround,
        })),
});

/** The map with an area under another key, wherever it is named. */
export const withKey = (sculpt: Sculpt, was: string, key: string): Sculpt => ({
    ...sculpt,
    areas: sculpt.areas.map((a) => ({
        ...(a.key === was ? { ...a, key } : a),
        touches: a.touches.map((t) => (t === was ? key : t)),
        surround: a.surround === was ? key : a.surround,
    })),
});

/** A list with one more, or without it where it was there. */
export const flip = <V>(list: V[], one: V): V[] =>
    list.includes(one) ? list.filter((x) => x !== one) : [...list, one];
