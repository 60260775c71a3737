import type { Variant } from '../../api/types';

/** A variant as the page edits it: one slot in another colour, one area with something extra. */
export interface Draft {
    name: string;
    percent: number;
    slot: string;
    base: string;
    technique: string;
    area: string;
    rest: Variant | null;
}

const slotsOf = (v: Variant | null): Record<string, { base?: string }> =>
    (v?.colours as { slots?: Record<string, { base?: string }> } | null | undefined)?.slots ?? {};

export const draftOf = (v: Variant): Draft => {
    const slots = slotsOf(v);
    const [slot = ''] = Object.keys(slots);
    const extra = v.amendments?.[0];
    return {
        name: v.name,
        percent: Math.round(v.share * 100),
        slot,
        base: slots[slot]?.base ?? '',
        technique: extra?.technique ?? '',
        area: extra?.scope.area?.[0] ?? '',
        rest: v,
    };
};

/** The variants as they are kept; what the page does not show of one stays as it was. */
export const written = (drafts: Draft[]): Variant[] =>
    drafts.map((v) => ({
        name: v.name,
        share: v.percent / 100,
        colours:
            v.slot && v.base
                ? {
                      slots: {
                          ...slotsOf(v.rest),
                          [v.slot]: { shades: [], lights: [], ...slotsOf(v.rest)[v.slot], base: v.base },
                      },
                      areas: {},
                  }
                : null,
        amendments: v.technique && v.area ? [extra(v)] : [],
    }));

const extra = (v: Draft) => ({
    level: 'unit' as const,
    do: 'add' as const,
    clause: null,
    technique: v.technique,
    scope: { area: [v.area] },
    values: {},
    reason: `Variant ${v.name}.`,
    price: null,
    on: null,
});
