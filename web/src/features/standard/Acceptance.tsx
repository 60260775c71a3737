import { InputNumber } from 'antd';
import type { Clause } from '../../api/types';
import { Pick } from '../../ui/Pick';
import type { Patch } from './SentenceWords';

/** How many of a unit are looked at, and how many faults they may have. */
export function Acceptance({
    clause,
    readOnly,
    set,
}: {
    clause: Clause;
    readOnly: boolean;
    set: (patch: Patch) => void;
}) {
    const choice = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <Pick
            aria-label={label}
            disabled={readOnly}
            value={value}
            onChange={(value) => pick(value)}
            options={options.map(([v, words]) => ({ value: v, label: words }))}
        />
    );
    return (
        <>
            {(clause.role ?? []).join(', ')} models:{' '}
            {choice(
                'inspect',
                clause.inspect ?? 'all',
                [
                    ['all', 'every one is checked'],
                    ['sample', 'a sample is checked'],
                ],
                (v) =>
                    set(
                        v === 'sample'
                            ? {
                                  inspect: v,
                                  level: clause.level ?? 'II',
                                  aql: clause.aql ?? { major: 4, minor: 10 },
                              }
                            : { inspect: v, level: undefined, aql: undefined },
                    ),
            )}
            {clause.inspect === 'sample' && (
                <>
                    , level{' '}
                    {choice(
                        'level',
                        clause.level ?? 'II',
                        [
                            ['I', 'I'],
                            ['II', 'II'],
                            ['III', 'III'],
                        ],
                        (v) => set({ level: v }),
                    )}{' '}
                    with AQL{' '}
                    <InputNumber
                        step={0.1}
                        aria-label="AQL major"
                        disabled={readOnly}
                        value={clause.aql?.['major'] ?? 4}
                        onChange={(value) => set({ aql: { ...clause.aql, major: value ?? 0 } })}
                    />{' '}
                    for major and{' '}
                    <InputNumber
                        step={0.1}
                        aria-label="AQL minor"
                        disabled={readOnly}
                        value={clause.aql?.['minor'] ?? 10}
                        onChange={(value) => set({ aql: { ...clause.aql, minor: value ?? 0 } })}
                    />{' '}
                    for minor
                </>
            )}
            . It passes with at most{' '}
            {(['major', 'minor'] as const).map((s, i) => (
                <span key={s}>
                    {i > 0 && ' and '}
                    <InputNumber
                        min={0}
                        aria-label={`${s} faults`}
                        disabled={readOnly}
                        value={clause.limits?.[s] ?? 0}
                        onChange={(value) =>
                            set({
                                limits: {
                                    critical: 0,
                                    major: 0,
                                    minor: 0,
                                    ...clause.limits,
                                    [s]: value ?? 0,
                                },
                            })
                        }
                    />{' '}
                    {s}
                </span>
            ))}{' '}
            faults; a client agrees to{' '}
            {choice(
                'consent',
                clause.consent ?? 'major',
                [
                    ['major', 'major'],
                    ['minor', 'minor'],
                    ['none', 'no'],
                ],
                (v) => set({ consent: v }),
            )}{' '}
            ones; photographs are{' '}
            {choice(
                'photographs',
                clause.photographs ?? 'where_there_are',
                [
                    ['where_there_are', 'looked at where there are any'],
                    ['required', 'required of each view'],
                    ['none', 'not wanted'],
                ],
                (v) => set({ photographs: v }),
            )}
            .
        </>
    );
}
