import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import type { Dayjs } from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { moveOrder } from '../../api/orders';
import type { Order, PossibleMove } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import { useChange } from './change';
import { Owed } from './Owed';

const START = { reason: '', who: '', how: '', promised: null as Dayjs | null };

/** One move of an order, with what is kept of it. */
export function MoveDialog({ order, move, close }: { order: Order; move: PossibleMove; close: () => void }) {
    const [facts, setFacts] = useState(START);
    const [pieces, setPieces] = useState<number[]>([]);
    const [ticks, setTicks] = useState<string[]>([]);
    const isClaim = move.to === 'in_work';
    const go = useChange(
        order.id,
        () =>
            moveOrder(order.id, {
                revision: order.revision,
                to: move.to,
                reason: facts.reason,
                who: facts.who,
                how: facts.how,
                promised: facts.promised?.format('YYYY-MM-DD') ?? null,
                ...(isClaim ? { pieces } : {}),
                ...(move.to === 'accepted' ? { ticks } : {}),
            }),
        close,
    );
    const text = (fact: 'reason' | 'who' | 'how', label: string) => (
        <Field label={label}>
            <Input value={facts[fact]} onChange={(e) => setFacts({ ...facts, [fact]: e.target.value })} />
        </Field>
    );
    return (
        <Modal open title={move.words} footer={null} onCancel={close} destroyOnHidden>
            <Flex vertical gap={10}>
                {move.to === 'accepted' && <Sum order={order} />}
                {move.to === 'accepted' && (
                    <>
                        <Taken order={order} ticks={ticks} pick={setTicks} />
                        {text('who', 'Who said yes')}
                        {text('how', 'How: by letter, by telephone, in the studio')}
                        <Field label="Promised for">
                            <Day
                                value={facts.promised}
                                onChange={(promised) => setFacts({ ...facts, promised })}
                            />
                        </Field>
                    </>
                )}
                {move.to === 'cancelled' && <Owed order={order} />}
                {isClaim && <Claimed order={order} pieces={pieces} pick={setPieces} />}
                {(move.needs_reason || isClaim || move.to === 'draft') &&
                    text(
                        'reason',
                        isClaim ? 'What is wrong, and whose: ours, the post’s, or a new wish' : 'Why',
                    )}
                {move.missing.map((m) => (
                    <Says key={m} kind="warn">
                        {m}
                    </Says>
                ))}
                {go.isError && <Says kind="bad">{saysWhy(go.error)}</Says>}
                <Flex gap={8}>
                    <Button
                        type="primary"
                        loading={go.isPending}
                        disabled={isClaim && pieces.length === 0}
                        danger={move.to === 'cancelled'}
                        onClick={() => go.mutate(undefined)}
                    >
                        {move.words}
                    </Button>
                    <Button onClick={close}>Not now</Button>
                </Flex>
            </Flex>
        </Modal>
    );
}

function Sum({ order }: { order: Order }) {
    return order.life.total === null ? (
        <Says kind="warn">A unit has no price yet: set one at the unit.</Says>
    ) : (
        <p className="m-0">
            <b className="num">{money(order.life.total, order.currency)}</b> for all units, at the prices that
            stand at them now.
        </p>
    );
}

/** Extras of the version that is accepted, each taken or not. */
function Taken({ order, ticks, pick }: { order: Order; ticks: string[]; pick: (ticks: string[]) => void }) {
    const choices = order.life.quote?.is_open ? order.life.quote.choices : [];
    return choices.length === 0 ? null : (
        <Field label="Extras that are taken">
            <Checkbox.Group
                value={ticks}
                onChange={pick}
                options={choices.map((c) => ({
                    value: c.id,
                    label: `${c.words}, ${c.count > 1 ? `${c.count} × ` : ''}${money(c.price, order.currency)}`,
                }))}
            />
        </Field>
    );
}

function Claimed({
    order,
    pieces,
    pick,
}: {
    order: Order;
    pieces: number[];
    pick: (pieces: number[]) => void;
}) {
    const out = order.units.flatMap((u) =>
        u.pieces
            .filter((p) => p.stage === 'delivered')
            .map((p) => ({ value: p.id, label: `${u.sculpt} ${p.number}, ${p.code}` })),
    );
    return (
        <Field label="Which models">
            <Checkbox.Group options={out} value={pieces} onChange={pick} />
        </Field>
    );
}
