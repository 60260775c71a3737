import { More } from '../../../ui/More';
import { Limit } from '../Limit';
import { criterionWords, valuesOf, word } from '../words';
import type { ClauseOf, Kind } from './kind';
import { Amount, Choice, OnAreas } from './slots';

export const finish: Kind<ClauseOf<'finish'>> = {
    words: 'A figure that can be measured',
    begins: (id) => ({ id, kind: 'finish', criterion: 'tonal_span', limit: 18, scope: { rank: ['main'] } }),
    holds: 'on areas',
    sentence: ({ clause, readOnly, set }) => (
        <>
            <OnAreas scope={clause.scope} />{' '}
            <Choice
                label="criterion"
                value={clause.criterion}
                of={valuesOf('criterion')}
                name={criterionWords}
                readOnly={readOnly}
                pick={(criterion) => set({ criterion })}
            />{' '}
            <Amount
                label="limit"
                value={clause.limit}
                least={0}
                most={1000}
                step={0.05}
                readOnly={readOnly}
                set={(limit) => set({ limit: limit ?? 0 })}
            />{' '}
            {word('unit', clause.criterion)}.
        </>
    ),
    more: ({ clause }) => (
        <More label={<>What this limit looks like</>}>
            <Limit criterion={clause.criterion} limit={clause.limit} />
        </More>
    ),
    short: (c) => `${criterionWords(c.criterion)} ${c.limit}`,
};
