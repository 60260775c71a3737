// The closed sets and their words come from the server, whose own texts use the same ones.
import { vocabulary } from '../../api/session';

type Sets = Record<string, Record<string, string>>;
let sets: Sets = {};

/** Asked once, before the first page is drawn. */
export async function loadWords(): Promise<void> {
    sets = await vocabulary();
}

export const plain = (word: string): string => word.replaceAll('_', ' ');
/** What a person reads for a value of a set: `word('material', 'hair_fur')`. */
export const word = (set: string, value: string): string => sets[set]?.[value] ?? plain(value);
/** The values of a set, in the order in which they are offered. */
export const valuesOf = (set: string): string[] => Object.keys(sets[set] ?? {});
export const effectWords = (effect: string): string =>
    effect
        .split('|')
        .map((one) => word('effect', one))
        .join(' or ');

const AT_MOST = ['base_colour', 'colour_drift', 'hard_step', 'bare_primer', 'line_width'];
/** A criterion as the beginning of a sentence that a figure ends. */
export const criterionWords = (criterion: string): string =>
    `${word('criterion', criterion)} ${AT_MOST.includes(criterion) ? 'at most' : 'at least'}`;
