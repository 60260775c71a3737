import type { components } from '../../api/schema';

/** Parts of paints, and parts of medium to the whole. */
export interface Mix {
    parts: [string, number][];
    medium?: number;
}

/** A paint by its name, #rrggbb, or a mix. */
export type Paint = string | Mix;

/** The colours of a slot or an area. */
export interface Colours {
    base: Paint;
    shades: Paint[];
    lights: Paint[];
    tint?: Paint;
    line?: Paint;
    patch?: Paint;
}

/** A scheme as the editor holds it, its parts told as pairs. */
export type SchemeDocument = Omit<components['schemas']['SchemeDocument'], 'slots' | 'areas'> & {
    slots: Record<string, Colours>;
    areas: Record<string, Colours>;
};

export const OUTCOME: Record<string, string> = {
    untried: 'no test model yet',
    accepted: 'test model accepted',
    rejected: 'test model rejected',
};

/** Colours to begin with. */
export const plainly = (base: string): Colours => ({ base, shades: [], lights: [] });
