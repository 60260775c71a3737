import { Checkbox, Flex, Input, InputNumber } from 'antd';
import type { Studio } from '../../api/session';
import { Field } from '../../ui/Field';
import { Pick as Choice } from '../../ui/Pick';
import { valuesOf, word } from '../standard/words';

type Facts = Pick<
    Studio,
    'quote_end' | 'quote_days' | 'mark_up' | 'overhead' | 'tax_rate' | 'tax_included' | 'hourly_rate'
>;

/** What a quote says of money, and what a price is held against. */
export function Money({
    form,
    set,
}: {
    form: Facts & { currency: string };
    set: (patch: Partial<Facts>) => void;
}) {
    return (
        <>
            <Field
                label="An hour at the bench costs"
                help={`In ${form.currency}; prices are held against it.`}
            >
                <Input value={form.hourly_rate} onChange={(e) => set({ hourly_rate: e.target.value })} />
            </Field>
            <Flex gap={10}>
                <Field label="Overhead, %" help="On minutes and paint.">
                    <Input value={form.overhead} onChange={(e) => set({ overhead: e.target.value })} />
                </Field>
                <Field label="Mark-up, %" help="On cost; beside a price, for the lead alone.">
                    <Input value={form.mark_up} onChange={(e) => set({ mark_up: e.target.value })} />
                </Field>
            </Flex>
            <Field label="A quote says">
                <Choice
                    value={form.quote_end}
                    onChange={(quote_end) => set({ quote_end })}
                    options={valuesOf('quote_end').map((q) => ({ value: q, label: word('quote_end', q) }))}
                />
            </Field>
            <Flex gap={10}>
                <Field label="It holds, days">
                    <InputNumber
                        min={1}
                        max={365}
                        precision={0}
                        value={form.quote_days}
                        onChange={(days) => set({ quote_days: days ?? 14 })}
                    />
                </Field>
                <Field label="Tax on painting, %" help="Empty: none.">
                    <Input
                        value={form.tax_rate ?? ''}
                        onChange={(e) => set({ tax_rate: e.target.value || null })}
                    />
                </Field>
            </Flex>
            <Checkbox checked={form.tax_included} onChange={(e) => set({ tax_included: e.target.checked })}>
                Prices are said with the tax in them
            </Checkbox>
        </>
    );
}
