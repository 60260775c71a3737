import { type OrdersAsked } from '../../api/orders';
import { Find } from '../../ui/Listed';
import { Pick } from '../../ui/Pick';
import { valuesOf, word } from '../standard/words';

const DUE = { late: 'late', week: 'within a week', month: 'within a month', none: 'without a day' } as const;

const SORTS = {
    due: 'the most urgent first',
    latest: 'the newest first',
    client: 'by client',
    title: 'by name',
} as const;

/** What is looked for, and in which order. */
export function OrdersTools({
    asked,
    ask,
    tiers,
}: {
    asked: OrdersAsked;
    ask: (asked: OrdersAsked) => void;
    tiers: { key: string; name: string }[];
}) {
    const pick = (
        fact: 'status' | 'tier' | 'due' | 'sort',
        label: string,
        options: { value: string; label: string }[],
    ) => (
        <Pick
            aria-label={label}
            value={asked[fact] ?? ''}
            onChange={(value) => {
                const { [fact]: __, ...rest } = asked;
                ask(value === '' ? rest : { ...rest, [fact]: value });
            }}
            options={options}
        />
    );
    const any = (label: string) => ({ value: '', label });
    return (
        <>
            <Find
                label="Order, client or figure"
                value={asked.find ?? ''}
                onChange={(find) => ask({ ...asked, find })}
            />
            {pick('status', 'How they stand', [
                any('however they stand'),
                ...valuesOf('order_status').map((s) => ({ value: s, label: word('order_status', s) })),
            ])}
            {pick('due', 'When they are due', [
                any('whenever due'),
                ...Object.entries(DUE).map(([value, label]) => ({ value, label })),
            ])}
            {tiers.length > 0 &&
                pick('tier', 'Tier', [
                    any('at any tier'),
                    ...tiers.map((t) => ({ value: t.key, label: t.name })),
                ])}
            <span className="grow" />
            {pick(
                'sort',
                'In which order',
                Object.entries(SORTS).map(([value, label]) => ({
                    value: value === 'due' ? '' : value,
                    label,
                })),
            )}
        </>
    );
}
