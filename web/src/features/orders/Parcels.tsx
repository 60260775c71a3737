import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { noteParcel } from '../../api/orders';
import type { Order } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import { useChange } from './change';
import css from './Orders.module.css';

/** What came in and went out: a handle for each model in the rack, and the parcels. */
export function CameIn({
    order,
    editable,
    receive,
}: {
    order: Order;
    editable: boolean;
    receive: () => void;
}) {
    const { received, parcels } = order.life;
    const found = received.filter((r) => r.found !== null);
    return (
        <section className="card pad" aria-label="What came in and went out">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">Models and parcels</span>
                {editable && (
                    <Button type="link" size="small" onClick={receive}>
                        Receive models
                    </Button>
                )}
            </Flex>
            {found.length === 0 && parcels.length === 0 && (
                <p className="small soft my-6">Nothing was noted as received.</p>
            )}
            {found.map(({ unit: id, found: f }) => {
                const unit = order.units.find((u) => u.id === id);
                if (!unit || !f) return null;
                const missing = (n: number) => f.missing.filter((m) => m.piece === n).map((m) => m.part);
                return (
                    <div key={id} className="my-6">
                        <Flex gap={4} wrap className={css.rack}>
                            {unit.pieces.map((p) => (
                                <span
                                    key={p.id}
                                    className={`${css.handle} ${missing(p.number).length > 0 ? css.lacks : ''}`}
                                    title={missing(p.number).join(', ') || unit.sculpt}
                                >
                                    {p.code.slice(0, 2)}
                                </span>
                            ))}
                        </Flex>
                        <p className="small m-0">
                            <b>
                                {f.count} of {unit.pieces.length} {unit.sculpt}
                            </b>
                            <span className="soft">
                                {' '}
                                {f.built ? 'built' : 'unbuilt'}, {day(f.at, false)}
                                {f.lies && `, ${f.lies}`}
                                {f.state && `; ${f.state}`}
                                {f.spares && `; spares: ${f.spares}`}
                            </span>
                        </p>
                        {f.missing.map((m) => (
                            <p key={`${m.piece} ${m.part}`} className="small late m-0">
                                Model {m.piece}: {m.part} is missing.
                            </p>
                        ))}
                    </div>
                );
            })}
            {parcels.map((p) => (
                <p key={p.id} className="small m-0">
                    <b>{p.direction === 'in' ? 'In' : 'Out'}</b> {day(p.on_day, false)}, {p.way}
                    {p.tracking && `, ${p.tracking}`}
                    {p.direction === 'out' && `: ${p.pieces.length} models`}
                    {p.recipient && ` to ${p.recipient}`}
                    {p.insured && `, insured for ${money(p.insured, order.currency)}`}
                    {p.direction === 'out' && (
                        <>
                            {' · '}
                            <a
                                className={css.underlined}
                                href={`/api/v1/parcels/${p.id}/slip`}
                                target="_blank"
                                rel="noreferrer"
                            >
                                the slip
                            </a>
                        </>
                    )}
                </p>
            ))}
        </section>
    );
}

/** A parcel that came, or one that goes with models that are signed off or were cancelled. */
export function ParcelDialog({ order, close }: { order: Order; close: () => void }) {
    const gone = new Set(order.life.parcels.filter((p) => p.direction === 'out').flatMap((p) => p.pieces));
    const ready = order.units.flatMap((u) =>
        u.pieces
            .filter((p) => p.stage === 'signed' || (p.stage === 'cancelled' && !gone.has(p.id)))
            .map((p) => ({ value: p.id, label: `${u.sculpt} ${p.number}, ${p.code}` })),
    );
    const [direction, setDirection] = useState<'in' | 'out'>(ready.length > 0 ? 'out' : 'in');
    const [pieces, setPieces] = useState(ready.map((p) => p.value));
    const [facts, setFacts] = useState({
        way: '',
        tracking: '',
        recipient: order.client,
        insured: '',
        reason: '',
    });
    const [on, setOn] = useState(dayjs());
    const send = useChange(
        order.id,
        () =>
            noteParcel(order.id, {
                direction,
                on_day: on.format('YYYY-MM-DD'),
                way: facts.way,
                tracking: facts.tracking || null,
                recipient: direction === 'out' ? facts.recipient || null : null,
                insured: facts.insured || null,
                pieces: direction === 'out' ? pieces : [],
                reason: facts.reason,
            }),
        close,
    );
    const text = (fact: keyof typeof facts, label: string) => (
        <Field label={label}>
            <Input value={facts[fact]} onChange={(e) => setFacts({ ...facts, [fact]: e.target.value })} />
        </Field>
    );
    return (
        <Modal open title="A parcel" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Pick
                    aria-label="Whether it came or goes"
                    value={direction}
                    onChange={setDirection}
                    options={[
                        { value: 'out' as const, label: 'It goes to the client' },
                        { value: 'in' as const, label: 'It came in' },
                    ]}
                />
                {direction === 'out' && (
                    <Field label="What is in it">
                        {ready.length === 0 ? (
                            <span className="soft">Nothing is signed off yet.</span>
                        ) : (
                            <Checkbox.Group options={ready} value={pieces} onChange={setPieces} />
                        )}
                    </Field>
                )}
                <Field label="Day">
                    <Day value={on} onChange={(d) => d && setOn(d)} />
                </Field>
                {text('way', 'How: by post, by hand')}
                {text('tracking', 'Number of the parcel')}
                {direction === 'out' && text('recipient', 'To whom')}
                {text('insured', 'Insured for')}
                {send.isError && (
                    <>
                        <Says kind="bad">{saysWhy(send.error)}</Says>
                        {direction === 'out' && text('reason', 'Why it goes all the same (the lead)')}
                    </>
                )}
                <Button
                    type="primary"
                    loading={send.isPending}
                    disabled={facts.way.trim() === '' || (direction === 'out' && pieces.length === 0)}
                    onClick={() => send.mutate(undefined)}
                >
                    {direction === 'out' ? 'Send it' : 'Note it'}
                </Button>
            </Flex>
        </Modal>
    );
}
