import type { ClauseOf, Kind } from './kind';
import { Amount } from './slots';

export const skill: Kind<ClauseOf<'skill'>> = {
    words: 'Who may paint it',
    begins: (id) => ({ id, kind: 'skill', min: 2 }),
    holds: 'on models',
    sentence: ({ clause, readOnly, set }) => (
        <>
            Whoever paints it has skill{' '}
            <Amount
                label="min"
                value={clause.min}
                least={1}
                most={5}
                readOnly={readOnly}
                set={(min) => set({ min: min ?? 1 })}
            />{' '}
            or more.
        </>
    ),
    short: (c) => `skill ${c.min}`,
};
