import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Input, InputNumber, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { extrasQuery, type Quote } from '../../api/quotes';
import { can, usePerson } from '../../app/session';
import { Field } from '../../ui/Field';
import { minutes } from '../../ui/marks';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import css from './Quote.module.css';
import { type Typed, useFresh } from './useQuote';

/** Extras that the client ticks or not, and those that were agreed. */
export function Extras({ quote, typed, editable }: { quote: Quote; typed: Typed; editable: boolean }) {
    const [adding, setAdding] = useState(false);
    const unit = (id: number) => quote.units.find((u) => u.id === id)?.figure ?? '';
    return (
        <section className="card pad" aria-label="Extras">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">Extras, each with a tick</span>
                {editable && (
                    <Button type="link" size="small" onClick={() => setAdding(true)}>
                        Offer an extra
                    </Button>
                )}
            </Flex>
            {quote.extras.length === 0 && <p className="soft my-6">None is offered.</p>}
            {quote.extras.map((e) => (
                <Flex key={e.id} gap={10} align="center" className={css.row}>
                    <span className="grow">
                        {e.words}
                        <span className="soft">
                            {' '}
                            · {unit(e.unit)}
                            {e.from ? `, from ${e.from}` : ''}
                            {e.choice ? '' : ', agreed'}
                        </span>
                    </span>
                    <b className="num">
                        {e.count > 1 ? `${e.count} × ` : ''}
                        {money(e.price, quote.currency)}
                    </b>
                    {e.choice && editable && (
                        <Button
                            size="small"
                            onClick={() =>
                                typed.keep.mutate({
                                    extras: typed.typed.extras.filter((o) => o.id !== e.id),
                                })
                            }
                        >
                            Take out
                        </Button>
                    )}
                </Flex>
            ))}
            {adding && <Offer quote={quote} typed={typed} close={() => setAdding(false)} />}
        </section>
    );
}

function Offer({ quote, typed, close }: { quote: Quote; typed: Typed; close: () => void }) {
    const person = usePerson();
    const fresh = useFresh(quote.extras.map((e) => e.id));
    const [unit, setUnit] = useState(quote.units[0]?.id ?? 0);
    const found = useQuery({ ...extrasQuery(unit), enabled: unit !== 0 && can(person, 'plan.edit') });
    const of = quote.units.find((u) => u.id === unit);
    const [form, setForm] = useState({ words: '', price: '', count: of?.count ?? 1, from: '' });
    const [amendment, setAmendment] = useState<Record<string, unknown> | null>(null);
    const options = found.data?.data ?? [];
    const take = (i: number) => {
        const extra = options[i];
        if (!extra) return;
        setForm({ ...form, words: extra.words, price: extra.price, from: extra.tier });
        setAmendment(extra.amendment);
    };
    const offer = () =>
        typed.keep.mutate(
            {
                extras: [
                    ...typed.typed.extras,
                    { id: fresh('x'), unit, ...form, from: form.from || null, amendment },
                ],
            },
            { onSuccess: close },
        );
    return (
        <Modal open title="Offer an extra" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="For">
                    <Pick
                        value={unit}
                        onChange={setUnit}
                        options={quote.units.map((u) => ({ value: u.id, label: `${u.count} × ${u.figure}` }))}
                    />
                </Field>
                {options.length > 0 && (
                    <Field label="From a higher tier" help="With its minutes, at the rate of an hour.">
                        <Pick<number>
                            placeholder="Choose what it adds"
                            onChange={take}
                            options={options.map((o, i) => ({
                                value: i,
                                label: `${o.tier}: ${o.words}, ${minutes(o.minutes)}`,
                            }))}
                        />
                    </Field>
                )}
                <Field label="In the client’s words">
                    <Input value={form.words} onChange={(e) => setForm({ ...form, words: e.target.value })} />
                </Field>
                <Flex gap={10}>
                    <Field label={`Price for a model, ${quote.currency}`}>
                        <Input
                            value={form.price}
                            onChange={(e) => setForm({ ...form, price: e.target.value })}
                        />
                    </Field>
                    <Field label="For how many models">
                        <InputNumber
                            min={1}
                            max={of?.count ?? 500}
                            precision={0}
                            value={form.count}
                            onChange={(count) => setForm({ ...form, count: count ?? 1 })}
                        />
                    </Field>
                </Flex>
                {typed.keep.isError && <Says kind="bad">{saysWhy(typed.keep.error)}</Says>}
                <Button
                    type="primary"
                    loading={typed.keep.isPending}
                    disabled={form.words.trim() === '' || form.price.trim() === ''}
                    onClick={offer}
                >
                    Offer it
                </Button>
            </Flex>
        </Modal>
    );
}
