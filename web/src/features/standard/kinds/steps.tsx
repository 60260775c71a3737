import { Amount, OnAreas } from './slots';
import type { ClauseOf, Kind } from './kind';

export const steps: Kind<ClauseOf<'steps'>> = {
    words: 'How many colour steps',
    begins: (id) => ({ id, kind: 'steps', min: 1, max: 3, scope: { rank: ['main'] } }),
    holds: 'on areas',
    sentence: ({ clause, readOnly, set }) => (
        <>
            <OnAreas scope={clause.scope} />: at least{' '}
            <Amount
                label="min"
                value={clause.min}
                least={0}
                most={20}
                readOnly={readOnly}
                set={(min) => set({ min: min ?? 0 })}
            />{' '}
            and at most{' '}
            <Amount
                label="max"
                value={clause.max}
                least={0}
                most={99}
                readOnly={readOnly}
                set={(max) => set({ max })}
            />{' '}
            colour steps{clause.max === null && ' (no upper end)'}.
        </>
    ),
    short: (c) => `${c.min}, ${c.max ?? 'no upper end'}`,
};
