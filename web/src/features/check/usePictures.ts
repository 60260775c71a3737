import { useQuery } from '@tanstack/react-query';
import { saysWhy } from '../../api/client';
import { drawingQuery, drawnUnitQuery } from '../../api/drawings';
import { photographsQuery } from '../../api/photographs';
import type { Check } from '../../api/types';
import { around, type Box, type Point } from '../photographs/placing';
import { drawingIn, photographIn, type Laid } from './pictures';

export type Side = 'front' | 'back';

/** Around what is looked at close by, and at least so much of the model, mm. */
const AROUND = 0.25;
const CLOSEST = 12;

/** How many kept details are shown at most. */
const DETAILS = 4;

/** The pictures there are of one side: of this model, as planned, and what it can be compared with. */
export function usePictures(check: Check, side: Side, frame: [number, number]) {
    const query = useQuery(photographsQuery(check.piece.id));
    const planned = useQuery(drawnUnitQuery(check.unit.id, check.id, check.piece.number, null));
    const address = planned.data?.drawn[side];
    const drawing = useQuery({ ...drawingQuery(address ?? ''), enabled: address !== undefined });
    const marks = query.data?.marks[side];
    const newest = query.data?.data.filter((p) => p.view === side && p.shows === 'painted').at(-1);
    const own = newest ? photographIn(newest, marks, frame) : null;
    const plan = address !== undefined && drawing.data?.state === 'ready' ? drawingIn(address, frame) : null;
    const others: { name: string; picture: Laid }[] = (query.data?.beside ?? [])
        .filter((b) => b.photograph.view === side && b.photograph.placement !== null)
        .map((b) => ({
            name: b.is_test ? 'Test model' : `Model ${b.model}`,
            picture: photographIn(b.photograph, marks, frame),
        }));
    if (own && plan) others.push({ name: 'Plan', picture: plan });
    return {
        own,
        planned: plan,
        others,
        details: (query.data?.examples ?? []).slice(0, DETAILS),
        failed: query.isError ? saysWhy(query.error) : null,
    };
}

/** What one has before one, so that nobody takes a drawing for the model. */
export function saidOf(check: Check, own: Laid | null, picture: Laid | null): string {
    if (own) return own.drawn ? 'drawn, not photographed' : `this model, ${check.piece.number}`;
    return picture ? 'as planned, drawn' : 'a schematic';
}

/** The box of what is spoken of, with some of its surroundings. */
export function closeTo(check: Check, side: Side, frame: [number, number], lit: string[], whole: Box): Box {
    const points = check.figure
        .filter((a) => lit.includes(a.key))
        .flatMap((a) => (a.outline[side] ?? []).flat())
        .map(([x = 0, y = 0]): Point => [x * frame[0], y * frame[1]]);
    if (points.length === 0) return whole;
    const [x, y, w, h] = around(points);
    const wide = Math.max(CLOSEST, w * (1 + AROUND));
    const tall = Math.max(CLOSEST, h * (1 + AROUND));
    return [x + w / 2 - wide / 2, y + h / 2 - tall / 2, wide, tall];
}
