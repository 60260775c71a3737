// The closed sets and their words come from the server, whose own texts use the same ones.
import type { components } from '../../api/schema';
import { vocabulary } from '../../api/session';

type Schemas = components['schemas'];

type Sets = Record<string, Record<string, string>>;
let sets: Sets = {};

/** Asked once, before the first page is drawn. */
export async function loadWords(): Promise<void> {
    sets = await vocabulary();
}

export const plain = (word: string): string => word.replaceAll('_', ' ');
/** What a person reads for a value of a set: `word('material', 'hair_fur')`. */
export const word = (set: string, value: string): string => sets[set]?.[value] ?? plain(value);
/** The sets whose values the contract names. */
interface Closed {
    criterion: Schemas['Criterion'];
    effect: Schemas['Effect'];
    facing: Schemas['Facing'];
    family: Schemas['Family'];
    gate: Schemas['Gate'];
    material: Schemas['Material'];
    order_status: Schemas['OrderStatus'];
    payment_when: Schemas['PaymentWhen'];
    place: Schemas['ClausePlace'];
    quote_end: Schemas['QuoteEnd'];
    quotes: Schemas['QuotesSetting'];
    rank: Schemas['Rank'];
    relief: Schemas['Relief'];
    role: Schemas['FigureRole'];
    size: Schemas['Size'];
    status: Schemas['TechniqueStatus'];
    view: Schemas['View'];
}

/** The values of a set, in the order in which they are offered: those of the same server that wrote the contract. */
export const valuesOf = <S extends keyof Closed>(set: S): Closed[S][] =>
    Object.keys(sets[set] ?? {}) as Closed[S][];
export const effectWords = (effect: string): string =>
    effect
        .split('|')
        .map((one) => word('effect', one))
        .join(' or ');

const AT_MOST = ['base_colour', 'colour_drift', 'hard_step', 'bare_primer', 'line_width'];
/** A criterion as the beginning of a sentence that a figure ends. */
export const criterionWords = (criterion: string): string =>
    `${word('criterion', criterion)} ${AT_MOST.includes(criterion) ? 'at most' : 'at least'}`;
