import { More } from '../../../ui/More';
import { Words } from '../Where';
import { valuesOf } from '../words';
import type { ClauseOf, Kind } from './kind';
import { Amount } from './slots';

export const minutes: Kind<ClauseOf<'minutes'>> = {
    words: 'A ceiling of minutes',
    begins: (id) => ({ id, kind: 'minutes', size: ['infantry'], max: 60 }),
    holds: 'on models',
    sentence: ({ clause, readOnly, set }) => (
        <>
            A model of size <b>{clause.size.join(', ')}</b> takes at most{' '}
            <Amount
                label="max"
                value={clause.max}
                least={0}
                most={100000}
                readOnly={readOnly}
                set={(max) => set({ max: max ?? 0 })}
            />{' '}
            minutes.
        </>
    ),
    more: ({ clause, set }) => (
        <More label={<>Sizes it is for</>}>
            <Words
                label="Sizes it is for"
                all={valuesOf('size')}
                chosen={clause.size}
                onChange={(size) => {
                    if (size.length > 0) set({ size });
                }}
            />
        </More>
    ),
    short: (c) => `at most ${c.max} minutes`,
};
