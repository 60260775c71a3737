import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { agreeOtherwise, type Quote, type QuoteVersion, settleQuote } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import css from './Quote.module.css';
import { useQuoteChange } from './useQuote';

/** Versions that went out, each as it was, with what became of it. */
export function Versions({ quote, editable }: { quote: Quote; editable: boolean }) {
    const [opened, open] = useState<'settle' | 'agree' | null>(null);
    const accepted = quote.versions.find((v) => v.state === 'accepted');
    return (
        <section className="card pad" aria-label="Versions">
            <div className="eyebrow">Versions that went out</div>
            {quote.versions.length === 0 && <p className="soft my-6">None yet.</p>}
            {quote.versions.map((v) => (
                <div key={v.number} className={css.version}>
                    <Flex justify="space-between" gap={8}>
                        <b>{v.number}</b>
                        <span className="num">
                            {money(v.sums.price, v.currency)}
                            {!v.is_fixed && v.sums.ceiling !== v.sums.price && (
                                <span className="soft"> at most {money(v.sums.ceiling, v.currency)}</span>
                            )}
                        </span>
                    </Flex>
                    <p className="small soft m-0">
                        {v.run_out ? <span className="late">run out</span> : v.words}
                        {v.answered_by && ` by ${v.answered_by}`}
                        {v.answered_at && `, ${day(v.answered_at, false)}`}
                        {v.state === 'open' && `, until ${day(v.until, false)}`}
                        {v.reason && `: ${v.reason}`}
                    </p>
                    <a
                        className="small"
                        href={`/api/v1/orders/${quote.order.id}/quotes/${v.number}/paper`}
                        target="_blank"
                        rel="noreferrer"
                    >
                        On paper
                    </a>
                </div>
            ))}
            {accepted && editable && (
                <Flex gap={8} wrap className="mt-8">
                    {!accepted.settled && accepted.contingencies.length > 0 && (
                        <Button size="small" onClick={() => open('settle')}>
                            Settle what moved the price
                        </Button>
                    )}
                    <Button size="small" onClick={() => open('agree')}>
                        Another price is paid
                    </Button>
                </Flex>
            )}
            {accepted && opened === 'settle' && (
                <Settle quote={quote} version={accepted} close={() => open(null)} />
            )}
            {accepted && opened === 'agree' && <Agree quote={quote} close={() => open(null)} />}
        </section>
    );
}

function Settle({ quote, version, close }: { quote: Quote; version: QuoteVersion; close: () => void }) {
    const [came, setCame] = useState<string[]>([]);
    const settle = useQuoteChange(
        quote.order.id,
        () =>
            settleQuote(quote.order.id, version.number, { revision: quote.order.revision, came_true: came }),
        close,
    );
    return (
        <Modal open title="What moved the price" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <p className="m-0 soft">
                    Tick what came true. It is said once; what changes later is a new version.
                </p>
                <Checkbox.Group
                    value={came}
                    onChange={setCame}
                    options={version.contingencies.map((c) => ({
                        value: c.id,
                        label: `${c.words}, +${money(c.amount, version.currency)}`,
                    }))}
                />
                {settle.isError && <Says kind="bad">{saysWhy(settle.error)}</Says>}
                <Button type="primary" loading={settle.isPending} onClick={() => settle.mutate(undefined)}>
                    {came.length === 0 ? 'Nothing moved it' : 'That moved it'}
                </Button>
            </Flex>
        </Modal>
    );
}

function Agree({ quote, close }: { quote: Quote; close: () => void }) {
    const [amount, setAmount] = useState(quote.agreed ?? '');
    const [reason, setReason] = useState('');
    const agree = useQuoteChange(
        quote.order.id,
        () => agreeOtherwise(quote.order.id, { revision: quote.order.revision, amount, reason }),
        close,
    );
    return (
        <Modal open title="Another price is paid than agreed" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label={`All of it, ${quote.currency}`}>
                    <Input value={amount} onChange={(e) => setAmount(e.target.value)} />
                </Field>
                <Field label="Why">
                    <Input value={reason} onChange={(e) => setReason(e.target.value)} />
                </Field>
                {agree.isError && <Says kind="bad">{saysWhy(agree.error)}</Says>}
                <Button
                    type="primary"
                    loading={agree.isPending}
                    disabled={reason.trim() === ''}
                    onClick={() => agree.mutate(undefined)}
                >
                    Keep that price
                </Button>
            </Flex>
        </Modal>
    );
}
