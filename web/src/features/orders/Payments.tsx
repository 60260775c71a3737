import { Button, Flex, Input, Modal } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { notePayment, planPayments } from '../../api/orders';
import type { LifeOfOrder, Order } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import { valuesOf, word } from '../standard/words';
import { useChange } from './change';
import { Owed } from './Owed';

type Payment = LifeOfOrder['payments'][number];
type When = Payment['when'];
type Planned = { when: When; on: string | null; share: string };

const MOST = 4;

const startOf = (payments: Payment[]): Planned[] =>
    payments.length === 0
        ? [{ when: 'before_sending', on: null, share: '100 %' }]
        : payments.map((p) => ({
              when: p.when,
              on: p.on,
              share: p.percent ? `${p.percent} %` : (p.amount ?? ''),
          }));

/** “50 %” is a share, “40,50” a sum. */
const sent = ({ when, on, share }: Planned) => {
    const percent = /^\s*(\d+)\s*%\s*$/.exec(share);
    return { when, on, ...(percent ? { percent: Number(percent[1]) } : { amount: share.trim() }) };
};

/** What is paid when, and what came. */
export function Payments({ order, editable, open }: { order: Order; editable: boolean; open: () => void }) {
    const { payments, total } = order.life;
    return (
        <section className="card pad" aria-label="Payments">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">Payments</span>
                {editable && (
                    <Button type="link" size="small" onClick={open}>
                        {payments.length === 0 ? 'Say how it is paid' : 'Change'}
                    </Button>
                )}
            </Flex>
            {order.status === 'cancelled' && <Owed order={order} />}
            <p className="my-6" hidden={order.status === 'cancelled'}>
                {total === null ? (
                    <span className="soft">A unit has no price yet.</span>
                ) : (
                    <>
                        <b className="num">{money(total, order.currency)}</b>{' '}
                        <span className="soft">for all</span>
                    </>
                )}
            </p>
            {payments.map((p) => (
                <Line key={p.id} order={order} payment={p} editable={editable} />
            ))}
        </section>
    );
}

function Line({ order, payment: p, editable }: { order: Order; payment: Payment; editable: boolean }) {
    const note = useChange(order.id, (on: string | null) =>
        notePayment(order.id, p.id, { revision: order.revision, on, way: null }),
    );
    return (
        <>
            <Flex gap={8} align="center" className="small">
                <b className="num">{p.sum === null ? `${p.percent} %` : money(p.sum, order.currency)}</b>
                <span className="soft grow">
                    {p.when === 'on_day' && p.on ? `on ${day(p.on, false)}` : p.words}
                    {p.noted_on && ` · came ${day(p.noted_on, false)}`}
                    {p.way && `, ${p.way}`}
                </span>
                {editable && (
                    <Button
                        size="small"
                        loading={note.isPending}
                        onClick={() => note.mutate(p.noted_on ? null : dayjs().format('YYYY-MM-DD'))}
                    >
                        {p.noted_on ? 'Take the note back' : 'It came today'}
                    </Button>
                )}
            </Flex>
            {note.isError && <Says kind="bad">{saysWhy(note.error)}</Says>}
        </>
    );
}

export function PaymentsPlan({ order, close }: { order: Order; close: () => void }) {
    const [planned, setPlanned] = useState(startOf(order.life.payments));
    const plan = useChange(
        order.id,
        () => planPayments(order.id, { revision: order.revision, payments: planned.map(sent) }),
        close,
    );
    const set = (i: number, patch: Partial<Planned>) =>
        setPlanned(planned.map((p, k) => (k === i ? { ...p, ...patch } : p)));
    return (
        <Modal open title="How it is paid" footer={null} onCancel={close} width={620}>
            <Flex vertical gap={10}>
                {planned.map((p, i) => (
                    <Flex key={i} gap={8} align="end">
                        <Field label="A share or a sum">
                            <Input value={p.share} onChange={(e) => set(i, { share: e.target.value })} />
                        </Field>
                        <Field label="When">
                            <Pick
                                value={p.when}
                                onChange={(when) => set(i, { when, on: null })}
                                options={valuesOf('payment_when').map((w) => ({
                                    value: w,
                                    label: word('payment_when', w),
                                }))}
                            />
                        </Field>
                        {p.when === 'on_day' && (
                            <Field label="Day">
                                <Day
                                    value={p.on ? dayjs(p.on) : null}
                                    onChange={(d) => set(i, { on: d?.format('YYYY-MM-DD') ?? null })}
                                />
                            </Field>
                        )}
                        <Button onClick={() => setPlanned(planned.filter((_, k) => k !== i))}>
                            Take out
                        </Button>
                    </Flex>
                ))}
                {planned.length < MOST && (
                    <Button
                        onClick={() =>
                            setPlanned([...planned, { when: 'before_sending', on: null, share: '' }])
                        }
                    >
                        One more payment
                    </Button>
                )}
                <p className="small soft m-0">The last one takes what is left after the others.</p>
                {plan.isError && <Says kind="bad">{saysWhy(plan.error)}</Says>}
                <Button type="primary" loading={plan.isPending} onClick={() => plan.mutate(undefined)}>
                    Keep the payments
                </Button>
            </Flex>
        </Modal>
    );
}
