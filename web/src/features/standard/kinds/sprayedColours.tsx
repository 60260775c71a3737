import { Amount } from './slots';
import type { ClauseOf, Kind } from './kind';

export const sprayedColours: Kind<ClauseOf<'sprayed_colours'>> = {
    words: 'How many sprayed colours',
    begins: (id) => ({ id, kind: 'sprayed_colours', min: 1, max: 2 }),
    holds: 'on models',
    sentence: ({ clause, readOnly, set }) => (
        <>
            At least{' '}
            <Amount
                label="min"
                value={clause.min}
                least={0}
                most={9}
                readOnly={readOnly}
                set={(min) => set({ min: min ?? 0 })}
            />{' '}
            and at most{' '}
            <Amount
                label="max"
                value={clause.max}
                least={0}
                most={9}
                readOnly={readOnly}
                set={(max) => set({ max: max ?? 0 })}
            />{' '}
            sprayed colours.
        </>
    ),
    short: (c) => `${c.min}, ${c.max}`,
};
