import { Button, Flex, Modal } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { type Quote, sendQuote } from '../../api/quotes';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import { useQuoteChange } from './useQuote';

const SIGNS = { '+': '+', '-': '−', '~': '·' } as const;

/** Before a version goes out: what it says, what changed, and how long it holds. */
export function SendDialog({ quote, close }: { quote: Quote; close: () => void }) {
    const [until, setUntil] = useState(dayjs(quote.until));
    const send = useQuoteChange(
        quote.order.id,
        () =>
            sendQuote(quote.order.id, {
                revision: quote.order.revision,
                until: until.format('YYYY-MM-DD'),
            }),
        close,
    );
    const below = quote.units.filter((u) => u.below_cost);
    return (
        <Modal open title={`Send out version ${quote.next}`} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <p className="m-0">
                    <b className="num">{money(quote.sums.price, quote.currency)}</b>
                    {!quote.is_fixed && quote.sums.ceiling !== quote.sums.price && (
                        <>
                            , at most <b className="num">{money(quote.sums.ceiling, quote.currency)}</b>
                        </>
                    )}
                    . It stays as it is from then on, and the client’s page shows it; nothing is sent by
                    itself.
                </p>
                {quote.changes.length > 0 && (
                    <ul className="m-0">
                        {quote.changes.map((c) => (
                            <li key={c.words}>
                                {SIGNS[c.sign]} {c.words}, {money(c.amount, quote.currency)}
                            </li>
                        ))}
                    </ul>
                )}
                {below.length > 0 && (
                    <Says kind="warn">
                        Below cost: {below.map((u) => `${u.count} × ${u.figure}`).join(', ')}.
                    </Says>
                )}
                <Field label="It holds until">
                    <Day value={until} onChange={(d) => d && setUntil(d)} />
                </Field>
                {send.isError && <Says kind="bad">{saysWhy(send.error)}</Says>}
                <Button type="primary" loading={send.isPending} onClick={() => send.mutate(undefined)}>
                    Send out version {quote.next}
                </Button>
            </Flex>
        </Modal>
    );
}
