import { Button } from 'antd';
import type { Effect } from '../../../api/types';
import { More } from '../../../ui/More';
import { Words } from '../Where';
import { effectWords, valuesOf, word } from '../words';
import type { ClauseOf, Kind, Part } from './kind';
import { Choice, OnAreas, Widely } from './slots';

type EffectClause = ClauseOf<'effect'>;

const effectsOf = (clause: EffectClause): Effect[] => [clause.effect].flat();

/** One stands by itself, several as a list; who may do it belongs to what it was. */
const asking = (effects: Effect[]): Partial<EffectClause> => ({
    effect: effects.length === 1 && effects[0] !== undefined ? effects[0] : effects,
    by: undefined,
});

function Sentence({ clause, ladder, readOnly, set }: Part<EffectClause>) {
    const effects = effectsOf(clause);
    const name = (key: string) => ladder.techniques.find((t) => t.key === key)?.name ?? key;
    const sorted = valuesOf('effect').sort((a, b) => word('effect', a).localeCompare(word('effect', b)));
    return (
        <>
            <OnAreas scope={clause.scope} />:{' '}
            {effects.map((one, i) => (
                <span key={i}>
                    {i > 0 && ' or '}
                    <Choice
                        label={i === 0 ? 'effect' : `effect ${i + 1}`}
                        value={one}
                        of={sorted}
                        name={(e) => word('effect', e)}
                        readOnly={readOnly}
                        pick={(now) => set(asking(effects.map((e, j) => (j === i ? now : e))))}
                    />
                    {effects.length > 1 && !readOnly && (
                        <Button
                            type="link"
                            aria-label={`not ${effectWords(one)}`}
                            onClick={() => set(asking(effects.filter((_, j) => j !== i)))}
                        >
                            ×
                        </Button>
                    )}
                </span>
            ))}{' '}
            <Widely clause={clause} readOnly={readOnly} set={set} />
            {clause.by && (
                <>
                    , by <b>{clause.by.map(name).join(' or ')}</b>
                </>
            )}
            . This is <b>needed</b>.
        </>
    );
}

function HowDone({ clause, ladder, set }: Part<EffectClause>) {
    const effects = effectsOf(clause);
    const giving = ladder.techniques.filter((t) => !t.retired && effects.some((e) => t.effects.includes(e)));
    return (
        <More label={<>Change how it may be done</>}>
            <Words
                label="Only by"
                all={giving.map((t) => t.key)}
                chosen={clause.by ?? []}
                name={(key) => giving.find((t) => t.key === key)?.name ?? key}
                onChange={(by) => set({ by: by.length === 0 ? undefined : by })}
            />
            {effects.length < 4 && (
                <Button type="link" onClick={() => set(asking([...effects, 'highlight_spot']))}>
                    Or another effect
                </Button>
            )}
        </More>
    );
}

export const effect: Kind<EffectClause> = {
    words: 'A result on some areas, by whatever technique',
    begins: (id) => ({
        id,
        kind: 'effect',
        effect: 'highlight_edge',
        extent: 'full',
        passes: 1,
        scope: { rank: ['main', 'secondary'] },
    }),
    holds: 'on areas',
    sentence: (part) => <Sentence {...part} />,
    more: (part) => <HowDone {...part} />,
    short: (c) => [...effectsOf(c).map(effectWords), c.extent, `${c.passes ?? 1} passes`].join(', '),
};
