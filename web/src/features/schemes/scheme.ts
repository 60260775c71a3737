/** The colours of a slot or an area, by the names of paints or as #rrggbb. */
export interface Colours {
    base: string;
    shades: string[];
    lights: string[];
    tint?: string;
    line?: string;
    patch?: string;
}

/** A scheme as the editor holds it: `ordotype/scheme@1`. */
export interface SchemeDocument {
    name: string;
    slots: Record<string, Colours>;
    areas: Record<string, Colours>;
}

export const OUTCOME: Record<string, string> = {
    untried: 'no test model yet',
    accepted: 'test model accepted',
    rejected: 'test model rejected',
};

/** Colours to begin with. */
export const plainly = (base: string): Colours => ({ base, shades: [], lights: [] });
