import { InputNumber } from 'antd';
import type { Clause, Extent, Scope } from '../../../api/types';
import { extentWords } from '../../../ui/marks';
import { Pick as Picked } from '../../../ui/Pick';
import { scopeWords } from '../Where';
import { valuesOf, word } from '../words';

/** A word of a sentence that is one of a few. */
export function Choice<T extends string>({
    label,
    value,
    of,
    name,
    readOnly,
    pick,
}: {
    label: string;
    value: T;
    of: readonly T[];
    name: (value: T) => string;
    readOnly: boolean;
    pick: (value: T) => void;
}) {
    return (
        <Picked
            eager
            aria-label={label}
            disabled={readOnly}
            value={value}
            onChange={pick}
            options={of.map((v) => ({ value: v, label: name(v) }))}
        />
    );
}

/** A number of a sentence; left empty it is the least. */
export function Amount({
    label,
    value,
    least,
    most,
    step = 1,
    readOnly,
    set,
}: {
    label: string;
    value: number | null;
    least: number;
    most: number;
    step?: number;
    readOnly: boolean;
    set: (value: number | null) => void;
}) {
    return (
        <InputNumber<number>
            aria-label={label}
            min={least}
            max={most}
            step={step}
            disabled={readOnly}
            value={value}
            onChange={set}
        />
    );
}

export function OnAreas({ scope }: { scope: Scope | undefined }) {
    return (
        <>
            On <b>{scopeWords(scope ?? {}) || 'every'}</b> areas
        </>
    );
}

const EXTENTS: Extent[] = ['spot', 'prominent', 'full'];
type Width = Partial<Pick<Extract<Clause, { kind: 'effect' }>, 'extent' | 'place' | 'passes'>>;

/** How widely, where on its areas and how often. */
export function Widely({
    clause,
    readOnly,
    set,
}: {
    clause: Width;
    readOnly: boolean;
    set: (patch: Width) => void;
}) {
    return (
        <>
            <Choice
                label="extent"
                value={clause.extent ?? 'full'}
                of={EXTENTS}
                name={extentWords}
                readOnly={readOnly}
                pick={(extent) => set({ extent })}
            />
            ,{' '}
            <Choice
                label="place"
                value={clause.place ?? ''}
                of={['', ...valuesOf('place')]}
                name={(p) => (p === '' ? 'anywhere on it' : word('place', p))}
                readOnly={readOnly}
                pick={(p) => set({ place: p === '' ? undefined : p })}
            />
            ,{' '}
            <Amount
                label="passes"
                value={clause.passes ?? 1}
                least={1}
                most={9}
                readOnly={readOnly}
                set={(passes) => set({ passes: passes ?? 1 })}
            />{' '}
            {(clause.passes ?? 1) > 1 ? 'passes' : 'pass'}
        </>
    );
}
