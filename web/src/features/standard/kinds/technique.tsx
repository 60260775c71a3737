import { Input } from 'antd';
import { valuesOf, word } from '../words';
import type { ClauseOf, Kind, Part } from './kind';
import { Amount, Choice, OnAreas, Widely } from './slots';

type TechniqueClause = ClauseOf<'technique'>;

const FAMILY = 'family:';

function Sentence({ clause, ladder, readOnly, set }: Part<TechniqueClause>) {
    const there = ladder.techniques.filter((t) => !t.retired || t.key === clause.technique);
    const families = valuesOf('family');
    const name = (value: string) =>
        value.startsWith(FAMILY)
            ? `everything of the family ${word('family', value.slice(FAMILY.length))}`
            : (there.find((t) => t.key === value)?.name ?? value);
    return (
        <>
            <OnAreas scope={clause.scope} />:{' '}
            <Choice
                label="technique"
                value={clause.technique ?? `${FAMILY}${clause.family ?? ''}`}
                of={[...there.map((t) => t.key), ...families.map((f) => `${FAMILY}${f}`)]}
                name={name}
                readOnly={readOnly}
                pick={(value) => {
                    const family = families.find((f) => `${FAMILY}${f}` === value);
                    set(
                        family
                            ? { technique: undefined, family, minutes: undefined }
                            : { technique: value, family: undefined, minutes: undefined },
                    );
                }}
            />{' '}
            is{' '}
            <Choice
                label="status"
                value={clause.status}
                of={valuesOf('status')}
                name={(s) => word('status', s)}
                readOnly={readOnly}
                pick={(status) =>
                    set({
                        status,
                        price: status === 'on_request' ? clause.price : undefined,
                        ...(status === 'required' ? {} : { extent: undefined, passes: undefined }),
                    })
                }
            />
            {clause.status === 'required' && (
                <>
                    {' '}
                    <Widely clause={clause} readOnly={readOnly} set={set} />
                </>
            )}
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
            {there.find((t) => t.key === clause.technique)?.family === 'check' && (
                <>
                    , and takes{' '}
                    <Amount
                        label="minutes"
                        value={clause.minutes ?? null}
                        least={0}
                        most={480}
                        readOnly={readOnly}
                        set={(minutes) => set({ minutes: minutes ?? undefined })}
                    />{' '}
                    minutes a model; left empty, what pace and size say
                </>
            )}
            .
        </>
    );
}

export const technique: Kind<TechniqueClause> = {
    words: 'A technique: needed, allowed, on request, not offered',
    begins: (id) => ({ id, kind: 'technique', technique: 'glaze', status: 'allowed' }),
    holds: 'on areas',
    sentence: (part) => <Sentence {...part} />,
    short: (c) => word('status', c.status),
};
