import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { budgetQuery, fitBudget, type Quote } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import { useSettled } from '../../ui/useSettled';
import { useQuoteChange } from './useQuote';

/** Ms without typing before it is worked out. */
const SETTLES = 500;

/** The highest tiers that an amount pays for, seen before anything moves. */
export function BudgetDialog({ quote, close }: { quote: Quote; close: () => void }) {
    const [amount, setAmount] = useState('');
    const asked = useSettled(amount.trim(), SETTLES);
    const fit = useQuery({ ...budgetQuery(quote.order.id, asked), enabled: asked !== '' });
    const move = useQuoteChange(
        quote.order.id,
        () => fitBudget(quote.order.id, { revision: quote.order.revision, amount: asked }),
        close,
    );
    return (
        <Modal open title="From a budget" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label={`All of it is to cost at most, ${quote.currency}`}>
                    <Input value={amount} onChange={(e) => setAmount(e.target.value)} />
                </Field>
                {fit.isError && <Says kind="bad">{saysWhy(fit.error)}</Says>}
                {fit.data && (
                    <>
                        <ul className="m-0">
                            {fit.data.units.map((u) => (
                                <li key={u.id}>
                                    {u.count} × {u.figure}: <b>{u.tier_name}</b>
                                    {!u.moves && <span className="soft">, as it is</span>}
                                </li>
                            ))}
                        </ul>
                        <p className="m-0 num">
                            {money(fit.data.price, quote.currency)}, at most{' '}
                            {money(fit.data.ceiling, quote.currency)}
                        </p>
                    </>
                )}
                {move.isError && <Says kind="bad">{saysWhy(move.error)}</Says>}
                <Button
                    type="primary"
                    loading={move.isPending}
                    disabled={!fit.data?.units.some((u) => u.moves)}
                    onClick={() => move.mutate(undefined)}
                >
                    Move the units to these tiers
                </Button>
            </Flex>
        </Modal>
    );
}
