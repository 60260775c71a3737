import { Button, Dropdown, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import { holdOrder, resumeOrder } from '../../api/orders';
import type { LifeOfOrder, Order, PossibleMove } from '../../api/types';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { useChange } from './change';
import { Continue } from './Continue';
import { MoveDialog } from './MoveDialog';

/** What is opened on the page by the next act, or by somebody. */
export type Opened = 'unit' | 'lines' | 'payments' | 'parcel' | 'questions' | 'receive' | 'facts' | null;

const OPENS: Partial<Record<NonNullable<LifeOfOrder['act']>, Opened>> = {
    add_unit: 'unit',
    note_payment: 'payments',
    answer: 'questions',
    receive: 'receive',
    send: 'parcel',
    send_back: 'parcel',
};
const MOVES = { accept: ['accepted'], close: ['closed'] } as const;

/** The one act that the order wants next, and behind it what else can be done with it. */
export function Act({ order, open }: { order: Order; open: (what: Opened) => void }) {
    const { act, act_words: words, goes_to: place, moves, held } = order.life;
    const [move, setMove] = useState<PossibleMove | null>(null);
    const [holding, setHolding] = useState(false);
    const [continuing, setContinuing] = useState(false);
    const resume = useChange(order.id, () => resumeOrder(order.id, order.revision));
    const wanted = act && act in MOVES ? MOVES[act as keyof typeof MOVES][0] : null;
    const next = moves.find((m) => m.to === wanted);
    // A quote goes out from its own page.
    const others = moves.filter((m) => m !== next && m.to !== 'quoted');
    const ends = ['delivered', 'closed', 'cancelled'].includes(order.status);
    const more = [
        ...others.map((m) => ({ key: m.to, label: m.words, onClick: () => setMove(m) })),
        ...(held || ends ? [] : [{ key: 'hold', label: 'Put on hold', onClick: () => setHolding(true) }]),
        { key: 'quote', label: <Link to={`/orders/${order.id}/quote`}>The quote</Link> },
        { key: 'continue', label: 'Continue this army', onClick: () => setContinuing(true) },
        { key: 'lines', label: 'Paste units as lines', onClick: () => open('lines') },
        { key: 'ask', label: 'Ask the client something', onClick: () => open('questions') },
        { key: 'parcel', label: 'Note a parcel', onClick: () => open('parcel') },
        { key: 'payments', label: 'Payments', onClick: () => open('payments') },
        {
            key: 'labels',
            label: (
                <a href={`/api/v1/orders/${order.id}/labels`} target="_blank" rel="noreferrer">
                    Labels for the handles
                </a>
            ),
        },
    ];
    const main = () => {
        if (act === 'resume') resume.mutate(undefined);
        else if (next) setMove(next);
        else if (act && OPENS[act]) open(OPENS[act]);
    };
    return (
        <Flex gap={8} wrap>
            {act !== 'add_unit' && !ends && <Button onClick={() => open('unit')}>Add a unit</Button>}
            <Dropdown menu={{ items: more }} trigger={['click']}>
                <Button>More</Button>
            </Dropdown>
            {act && place && (
                <LinkButton to={place} type="primary">
                    {words}
                </LinkButton>
            )}
            {act && !place && (act === 'resume' || next || OPENS[act]) && (
                <Button type="primary" loading={resume.isPending} onClick={main}>
                    {words}
                </Button>
            )}
            {move && <MoveDialog order={order} move={move} close={() => setMove(null)} />}
            {continuing && <Continue order={order} close={() => setContinuing(false)} />}
            {holding && <HoldDialog order={order} close={() => setHolding(false)} />}
            {resume.isError && <Says kind="bad">{saysWhy(resume.error)}</Says>}
        </Flex>
    );
}

function HoldDialog({ order, close }: { order: Order; close: () => void }) {
    const [reason, setReason] = useState('');
    const [whose, setWhose] = useState<'client' | 'studio'>('client');
    const hold = useChange(
        order.id,
        () => holdOrder(order.id, { revision: order.revision, reason, for: whose }),
        close,
    );
    return (
        <Modal open title="Put on hold" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <p className="m-0 soft">
                    Nothing of it is released or begun until it goes on; what was begun is finished. Days that
                    are the client’s move the promised day.
                </p>
                <Field label="Why">
                    <Input value={reason} onChange={(e) => setReason(e.target.value)} />
                </Field>
                <Field label="Whose wait it is">
                    <Pick
                        value={whose}
                        onChange={setWhose}
                        options={[
                            { value: 'client' as const, label: 'the client’s' },
                            { value: 'studio' as const, label: 'the studio’s' },
                        ]}
                    />
                </Field>
                {hold.isError && <Says kind="bad">{saysWhy(hold.error)}</Says>}
                <Button
                    type="primary"
                    loading={hold.isPending}
                    disabled={reason.trim() === ''}
                    onClick={() => hold.mutate(undefined)}
                >
                    Put on hold
                </Button>
            </Flex>
        </Modal>
    );
}
