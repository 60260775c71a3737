import { Button, Input, InputNumber } from 'antd';
import type { ReactNode } from 'react';
import type { Clause, Extent, Ladder, Scope } from '../../api/types';
import { extentWords } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Acceptance } from './Acceptance';
import { scopeWords } from './Where';
import { criterionWords, effectWords, plain, valuesOf, word } from './words';

export type Patch = { [K in keyof Clause]?: Clause[K] | undefined };

/** The sentence itself, in the words of its kind; each slot is changed in place. */
export function SentenceWords({
    clause,
    ladder,
    readOnly,
    set,
}: {
    clause: Clause;
    ladder: Ladder;
    readOnly: boolean;
    set: (patch: Patch) => void;
}) {
    const scope: Scope = clause.scope ?? {};
    const where = scopeWords(scope);
    const number = (key: 'min' | 'max' | 'limit' | 'passes', least: number, most: number, step = 1) => (
        <InputNumber
            aria-label={key}
            min={least}
            max={most}
            step={step}
            disabled={readOnly}
            value={clause[key] ?? (key === 'passes' ? 1 : '')}
            onChange={(value) =>
                set({
                    [key]:
                        value === ''
                            ? key === 'max' && clause.kind === 'steps'
                                ? null
                                : least
                            : (value ?? 0),
                })
            }
        />
    );
    const choice = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <Pick
            eager
            aria-label={label}
            disabled={readOnly}
            value={value}
            onChange={(value) => pick(value)}
            options={options.map(([v, words]) => ({ value: v, label: words }))}
        />
    );
    const place = choice(
        'place',
        clause.place ?? '',
        [['', 'anywhere on it'], ...valuesOf('place').map((p): [string, string] => [p, word('place', p)])],
        (v) => set({ place: v === '' ? undefined : v }),
    );
    const extent = (
        <>
            {choice(
                'extent',
                clause.extent ?? 'full',
                (['spot', 'prominent', 'full'] as Extent[]).map((e) => [e, extentWords(e)]),
                (v) => set({ extent: v as Extent }),
            )}
            , {place}, {number('passes', 1, 9)} {(clause.passes ?? 1) > 1 ? 'passes' : 'pass'}
        </>
    );
    const name = (key: string) => ladder.techniques.find((t) => t.key === key)?.name ?? key;
    const effects = [clause.effect ?? []].flat();
    const setEffects = (now: string[]) => set({ effect: now.length === 1 ? now[0] : now, by: undefined });
    const sorted = valuesOf('effect')
        .map((e): [string, string] => [e, word('effect', e)])
        .sort(([, a], [, b]) => a.localeCompare(b));
    const words: Record<string, ReactNode> = {
        effect: (
            <>
                On <b>{where || 'every'}</b> areas:{' '}
                {effects.map((one, i) => (
                    <span key={i}>
                        {i > 0 && ' or '}
                        {choice(i === 0 ? 'effect' : `effect ${i + 1}`, one, sorted, (v) =>
                            setEffects(effects.map((e, j) => (j === i ? v : e))),
                        )}
                        {effects.length > 1 && !readOnly && (
                            <Button
                                type="link"
                                aria-label={`not ${effectWords(one)}`}
                                onClick={() => setEffects(effects.filter((_, j) => j !== i))}
                            >
                                ×
                            </Button>
                        )}
                    </span>
                ))}{' '}
                {extent}
                {clause.by && (
                    <>
                        , by <b>{clause.by.map(name).join(' or ')}</b>
                    </>
                )}
                . This is <b>needed</b>.
            </>
        ),
        technique: (
            <>
                On <b>{where || 'every'}</b> areas:{' '}
                {choice(
                    'technique',
                    clause.technique ?? `family:${clause.family ?? ''}`,
                    [
                        ...ladder.techniques
                            .filter((t) => !t.retired || t.key === clause.technique)
                            .map((t): [string, string] => [t.key, t.name]),
                        ...valuesOf('family').map((f): [string, string] => [
                            `family:${f}`,
                            `everything of the family ${word('family', f)}`,
                        ]),
                    ],
                    (v) =>
                        set(
                            v.startsWith('family:')
                                ? { technique: undefined, family: v.slice(7) }
                                : { technique: v, family: undefined },
                        ),
                )}{' '}
                is{' '}
                {choice(
                    'status',
                    clause.status ?? 'allowed',
                    valuesOf('status').map((s): [string, string] => [s, word('status', s)]),
                    (v) =>
                        set({
                            status: v,
                            price: v === 'on_request' ? clause.price : undefined,
                            ...(v === 'required' ? {} : { extent: undefined, passes: undefined }),
                        }),
                )}
                {clause.status === 'required' && <> {extent}</>}
                {clause.status === 'on_request' && (
                    <>
                        , at{' '}
                        <Input
                            aria-label="price"
                            disabled={readOnly}
                            placeholder="0.00"
                            value={clause.price ?? ''}
                            onChange={(e) => set({ price: e.target.value || undefined })}
                        />{' '}
                        {ladder.currency}
                    </>
                )}
                .
            </>
        ),
        steps: (
            <>
                On <b>{where || 'every'}</b> areas: at least {number('min', 0, 20)} and at most{' '}
                {number('max', 0, 99)} colour steps{clause.max === null && ' (no upper end)'}.
            </>
        ),
        sprayed_colours: (
            <>
                At least {number('min', 0, 9)} and at most {number('max', 0, 9)} sprayed colours.
            </>
        ),
        finish: (
            <>
                On <b>{where || 'every'}</b> areas{' '}
                {choice(
                    'criterion',
                    clause.criterion ?? '',
                    valuesOf('criterion').map((k): [string, string] => [k, criterionWords(k)]),
                    (v) => set({ criterion: v }),
                )}{' '}
                {number('limit', 0, 1000, 0.05)} {word('unit', clause.criterion ?? '')}.
            </>
        ),
        minutes: (
            <>
                A model of size <b>{(clause.size ?? []).join(', ')}</b> takes at most{' '}
                {number('max', 0, 100000)} minutes.
            </>
        ),
        skill: <>Whoever paints it has skill {number('min', 1, 5)} or more.</>,
        acceptance: <Acceptance clause={clause} readOnly={readOnly} set={set} />,
    };
    return <p className="sentence my-6">{words[clause.kind] ?? plain(clause.kind)}</p>;
}
