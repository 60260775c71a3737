import { InputNumber } from 'antd';
import { More } from '../../../ui/More';
import { Words } from '../Where';
import { plain, valuesOf, word } from '../words';
import type { ClauseOf, Kind, Part } from './kind';
import { Choice } from './slots';

type AcceptanceClause = ClauseOf<'acceptance'>;

const INSPECT = { all: 'every one is checked', sample: 'a sample is checked' } as const;
const PHOTOGRAPHS = {
    where_there_are: 'looked at where there are any',
    required: 'required of each view',
    none: 'not wanted',
} as const;
const CONSENT = { major: 'major', minor: 'minor', none: 'no' } as const;
const keys = <T extends object>(of: T) => Object.keys(of) as (keyof T & string)[];

function Sample({ clause, readOnly, set }: Part<AcceptanceClause>) {
    const aql = { major: 4, minor: 10, ...clause.aql };
    return (
        <>
            , level{' '}
            <Choice
                label="level"
                value={clause.level ?? 'II'}
                of={['I', 'II', 'III']}
                name={plain}
                readOnly={readOnly}
                pick={(level) => set({ level })}
            />{' '}
            with AQL{' '}
            {(['major', 'minor'] as const).map((s, i) => (
                <span key={s}>
                    {i > 0 && ' and '}
                    <InputNumber<number>
                        step={0.1}
                        aria-label={`AQL ${s}`}
                        disabled={readOnly}
                        value={aql[s]}
                        onChange={(value) => set({ aql: { ...aql, [s]: value ?? 0 } })}
                    />{' '}
                    for {s}
                </span>
            ))}
        </>
    );
}

function Sentence(part: Part<AcceptanceClause>) {
    const { clause, readOnly, set } = part;
    return (
        <>
            {clause.role.join(', ')} models:{' '}
            <Choice
                label="inspect"
                value={clause.inspect}
                of={keys(INSPECT)}
                name={(v) => INSPECT[v]}
                readOnly={readOnly}
                pick={(inspect) =>
                    set(
                        inspect === 'sample'
                            ? {
                                  inspect,
                                  level: clause.level ?? 'II',
                                  aql: clause.aql ?? { major: 4, minor: 10 },
                              }
                            : { inspect, level: undefined, aql: undefined },
                    )
                }
            />
            {clause.inspect === 'sample' && <Sample {...part} />}. It passes with at most{' '}
            {(['major', 'minor'] as const).map((s, i) => (
                <span key={s}>
                    {i > 0 && ' and '}
                    <InputNumber<number>
                        min={0}
                        aria-label={`${s} faults`}
                        disabled={readOnly}
                        value={clause.limits[s]}
                        onChange={(value) => set({ limits: { ...clause.limits, [s]: value ?? 0 } })}
                    />{' '}
                    {s}
                </span>
            ))}{' '}
            faults; a client agrees to{' '}
            <Choice
                label="consent"
                value={clause.consent}
                of={keys(CONSENT)}
                name={(v) => CONSENT[v]}
                readOnly={readOnly}
                pick={(consent) => set({ consent })}
            />{' '}
            ones; photographs are{' '}
            <Choice
                label="photographs"
                value={clause.photographs ?? 'where_there_are'}
                of={keys(PHOTOGRAPHS)}
                name={(v) => PHOTOGRAPHS[v]}
                readOnly={readOnly}
                pick={(photographs) => set({ photographs })}
            />
            .
        </>
    );
}

export const acceptance: Kind<AcceptanceClause> = {
    words: 'How models are accepted',
    begins: (id) => ({
        id,
        kind: 'acceptance',
        role: ['regular'],
        inspect: 'all',
        limits: { critical: 0, major: 0, minor: 3 },
        views: ['front', 'back'],
        gates: ['final'],
        consent: 'major',
    }),
    holds: 'as it says',
    sentence: (part) => <Sentence {...part} />,
    more: ({ clause, set }) => (
        <More label={<>Who, from where, and when</>}>
            <Words
                label="Roles"
                all={valuesOf('role')}
                chosen={clause.role}
                onChange={(role) => set({ role })}
            />
            <Words
                label="Views"
                all={valuesOf('view')}
                chosen={clause.views}
                onChange={(views) => set({ views })}
            />
            <Words
                label="Gates"
                all={valuesOf('gate')}
                name={(w) => word('gate', w)}
                chosen={clause.gates}
                onChange={(gates) => set({ gates })}
            />
        </More>
    ),
    short: (c) => `${c.limits.minor} minor, ${c.views.length} views`,
};
