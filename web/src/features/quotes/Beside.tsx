import { Button, Flex, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { Quote } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import css from './Quote.module.css';
import { type Typed, useFresh } from './useQuote';

/** What is paid beside the painting, and the discount. */
export function Beside({ quote, typed, editable }: { quote: Quote; typed: Typed; editable: boolean }) {
    return (
        <section className="card pad" aria-label="Beside the painting">
            <div className="eyebrow">Beside the painting</div>
            {quote.lines.map((l) => (
                <Flex key={l.id} gap={10} align="center" className={css.row}>
                    <span className="grow">
                        {l.words}
                        <span className="soft">
                            {' '}
                            · {quote.kinds.find((k) => k.kind === l.kind)?.words}
                            {l.tax ? `, tax ${l.tax} %` : ''}
                        </span>
                    </span>
                    <b className="num">{money(l.amount, quote.currency)}</b>
                    {editable && (
                        <Button
                            size="small"
                            onClick={() =>
                                typed.keep.mutate({ lines: typed.typed.lines.filter((o) => o.id !== l.id) })
                            }
                        >
                            Take out
                        </Button>
                    )}
                </Flex>
            ))}
            {quote.discount && (
                <Flex gap={10} align="center" className={css.row}>
                    <span className="grow">
                        {quote.discount.reason}
                        <span className="soft">
                            {' '}
                            · discount{quote.discount.percent ? ` of ${quote.discount.percent} %` : ''}
                        </span>
                    </span>
                    <b className="num">−{money(quote.sums.discount, quote.currency)}</b>
                    {editable && (
                        <Button size="small" onClick={() => typed.keep.mutate({ discount: null })}>
                            Take out
                        </Button>
                    )}
                </Flex>
            )}
            {quote.lines.length === 0 && !quote.discount && <p className="soft my-6">Nothing.</p>}
            {editable && <NewLine quote={quote} typed={typed} />}
            {editable && !quote.discount && <NewDiscount typed={typed} />}
            {typed.keep.isError && <Says kind="bad">{saysWhy(typed.keep.error)}</Says>}
        </section>
    );
}

const NOTHING = { words: '', amount: '', tax: '' };

function NewLine({ quote, typed }: { quote: Quote; typed: Typed }) {
    const fresh = useFresh(quote.lines.map((l) => l.id));
    const [kind, setKind] = useState(quote.kinds[0]?.kind ?? 'other');
    const [form, setForm] = useState(NOTHING);
    const add = () =>
        typed.keep.mutate(
            { lines: [...typed.typed.lines, { id: fresh('l'), kind, ...form, tax: form.tax || null }] },
            { onSuccess: () => setForm(NOTHING) },
        );
    return (
        <Flex gap={8} align="end" wrap className={`mt-8 ${css.form}`}>
            <Field label="What for">
                <Pick
                    value={kind}
                    onChange={setKind}
                    options={quote.kinds.map((k) => ({ value: k.kind, label: k.words }))}
                />
            </Field>
            <Field label="In words">
                <Input value={form.words} onChange={(e) => setForm({ ...form, words: e.target.value })} />
            </Field>
            <Field label={`Amount, ${quote.currency}`}>
                <Input value={form.amount} onChange={(e) => setForm({ ...form, amount: e.target.value })} />
            </Field>
            <Field label="Tax, %">
                <Input value={form.tax} onChange={(e) => setForm({ ...form, tax: e.target.value })} />
            </Field>
            <Button disabled={form.words.trim() === '' || form.amount.trim() === ''} onClick={add}>
                Add the line
            </Button>
        </Flex>
    );
}

/** “5 %” is a share, “20” an amount. */
function NewDiscount({ typed }: { typed: Typed }) {
    const [size, setSize] = useState('');
    const [reason, setReason] = useState('');
    const share = /^\s*([\d.,]+)\s*%\s*$/.exec(size);
    return (
        <Flex gap={8} align="end" wrap className={`mt-8 ${css.form}`}>
            <Field label="Discount: a share or an amount">
                <Input placeholder="5 % or 20" value={size} onChange={(e) => setSize(e.target.value)} />
            </Field>
            <Field label="Why">
                <Input value={reason} onChange={(e) => setReason(e.target.value)} />
            </Field>
            <Button
                disabled={size.trim() === '' || reason.trim() === ''}
                onClick={() =>
                    typed.keep.mutate({
                        discount: {
                            percent: share?.[1] ?? null,
                            amount: share ? null : size.trim(),
                            reason,
                        },
                    })
                }
            >
                Give the discount
            </Button>
        </Flex>
    );
}
