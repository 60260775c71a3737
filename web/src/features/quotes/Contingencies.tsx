import { Button, Flex, Input } from 'antd';
import { useState } from 'react';
import type { Quote } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import css from './Quote.module.css';
import { type Typed, useFresh } from './useQuote';

const NOTHING = { words: '', amount: '' };

/** What moves the price: only what lies with the client or the models, together no more than the ceilings leave. */
export function Contingencies({ quote, typed, editable }: { quote: Quote; typed: Typed; editable: boolean }) {
    const fresh = useFresh(quote.contingencies.map((c) => c.id));
    const [unit, setUnit] = useState(0);
    const [form, setForm] = useState(NOTHING);
    const units = [
        { value: 0, label: 'all of it' },
        ...quote.units.map((u) => ({ value: u.id, label: `${u.count} × ${u.figure}` })),
    ];
    const add = () =>
        typed.keep.mutate(
            {
                contingencies: [
                    ...typed.typed.contingencies,
                    { id: fresh('c'), unit: unit === 0 ? null : unit, ...form },
                ],
            },
            { onSuccess: () => setForm(NOTHING) },
        );
    return (
        <section className="card pad" aria-label="What moves the price">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">What moves it</span>
                <span className="small soft num">room for {money(quote.room, quote.currency)} in all</span>
            </Flex>
            <p className="small soft my-6">
                Only what lies with the client or the models: castings that need work, a part that is missing.
                It is settled once, after receiving.
            </p>
            {quote.contingencies.map((c) => (
                <Flex key={c.id} gap={10} align="center" className={css.row}>
                    <span className="grow">
                        {c.words}
                        <span className="soft"> · {units.find((u) => u.value === (c.unit ?? 0))?.label}</span>
                    </span>
                    <b className="num">+{money(c.amount, quote.currency)}</b>
                    {editable && (
                        <Button
                            size="small"
                            onClick={() =>
                                typed.keep.mutate({
                                    contingencies: typed.typed.contingencies.filter((o) => o.id !== c.id),
                                })
                            }
                        >
                            Take out
                        </Button>
                    )}
                </Flex>
            ))}
            {editable && (
                <Flex gap={8} align="end" wrap className={`mt-8 ${css.form}`}>
                    <Field label="Where">
                        <Pick value={unit} onChange={setUnit} options={units} />
                    </Field>
                    <Field label="What could happen">
                        <Input
                            value={form.words}
                            onChange={(e) => setForm({ ...form, words: e.target.value })}
                        />
                    </Field>
                    <Field label={`It adds, ${quote.currency}`}>
                        <Input
                            value={form.amount}
                            onChange={(e) => setForm({ ...form, amount: e.target.value })}
                        />
                    </Field>
                    <Button disabled={form.words.trim() === '' || form.amount.trim() === ''} onClick={add}>
                        Name it
                    </Button>
                </Flex>
            )}
        </section>
    );
}
