import type { NextRun, RunWork } from '../../api/batches';
import { time } from '../../ui/when';

/** "Wash all over, Deep Bilge". */
export const potWords = (does: RunWork): string => [does.technique, does.paint].filter(Boolean).join(', ');

/** "models 1 to 4, 7": numbers in a row are told by their ends. */
export function modelsWords(models: number[]): string {
    const sorted = [...models].sort((a, b) => a - b);
    const rows: number[][] = [];
    for (const n of sorted) {
        const row = rows[rows.length - 1];
        if (row?.[row.length - 1] === n - 1) row.push(n);
        else rows.push([n]);
    }
    const told = rows.map((row) => (row.length > 2 ? `${row[0]} to ${row[row.length - 1]}` : row.join(', ')));
    return `${models.length === 1 ? 'model' : 'models'} ${told.join(', ')}`;
}

/** What holds the run that would be next, in words. */
function heldWords(held: NonNullable<NextRun['held']>): string {
    const until = held.until === null ? '' : ` until ${time(held.until)}`;
    switch (held.why) {
        case 'gate':
            return `${held.technique} is to be looked at first`;
        case 'test_model':
            return 'the test model is to be judged first';
        case 'drying':
        case 'coats':
            return `${held.technique} dries${until}`;
        case 'order':
        case 'slips':
        case 'wet':
            return `${held.technique} comes first`;
    }
}

/** Why a painter does now what they are told to. */
export function whyWords(next: NextRun): string {
    const held = next.held === null ? '' : heldWords(next.held);
    switch (next.why) {
        case 'turn':
            return 'next in the timetable';
        case 'ahead':
            return held === '' ? 'ahead of its turn' : `meanwhile: ${held}`;
        case 'for_another':
            return held === '' ? 'from another’s runs' : `from another’s runs: ${held}`;
        case 'waiting':
            return held === '' ? 'nothing can be done yet' : held;
        case 'through':
            return 'nothing of this batch is left for them';
    }
}
