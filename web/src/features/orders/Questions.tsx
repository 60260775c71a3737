import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import type { Dayjs } from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { askClient, noteAnswer } from '../../api/orders';
import type { LifeOfOrder, Order } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import { useChange } from './change';

type Question = LifeOfOrder['questions'][number];

const unitName = (order: Order, id: number | null): string | null => {
    const unit = order.units.find((u) => u.id === id);
    return unit ? `${unit.pieces.length} × ${unit.sculpt}` : null;
};

/** What the client was asked, and what came back. */
export function Questions({ order, editable, ask }: { order: Order; editable: boolean; ask: () => void }) {
    const [answering, setAnswering] = useState<Question | null>(null);
    const { questions } = order.life;
    const open = questions.filter((q) => q.answered_at === null);
    return (
        <section className="card pad" aria-label="Questions to the client">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">
                    {open.length > 0 ? `${open.length} open questions` : 'Questions'}
                </span>
                {editable && (
                    <Button type="link" size="small" onClick={ask}>
                        Ask something
                    </Button>
                )}
            </Flex>
            {questions.length === 0 && <p className="small soft my-6">Nothing was asked.</p>}
            {questions.map((q) => (
                <div key={q.id} className="my-6">
                    <b>{q.text}</b>
                    <p className="small m-0">
                        <span className="soft">
                            asked {day(q.asked_at, false)}
                            {q.answered_at && `, ${q.answered_by} on ${day(q.answered_at, false)}`}
                        </span>
                        {!q.answered_at && q.blocks && (
                            <span className="late">
                                {' '}
                                · holds {unitName(order, q.unit) ?? 'the order'}
                                {q.waits_until && ` from ${day(q.waits_until, false)}`}
                            </span>
                        )}
                    </p>
                    {q.answer && (
                        <p className="m-0">
                            “{q.answer}”{q.amended && ' It is an amendment now.'}
                        </p>
                    )}
                    {!q.answered_at && editable && (
                        <Button size="small" onClick={() => setAnswering(q)}>
                            Note the answer
                        </Button>
                    )}
                </div>
            ))}
            {answering && <Answer order={order} question={answering} close={() => setAnswering(null)} />}
        </section>
    );
}

function Answer({ order, question, close }: { order: Order; question: Question; close: () => void }) {
    const [answer, setAnswer] = useState('');
    const [by, setBy] = useState(order.client);
    const note = useChange(order.id, () => noteAnswer(question.id, { answer, by }), close);
    return (
        <Modal open title={question.text} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="What they answered">
                    <Input.TextArea
                        autoSize={{ minRows: 2 }}
                        value={answer}
                        onChange={(e) => setAnswer(e.target.value)}
                    />
                </Field>
                <Field label="Who said so">
                    <Input value={by} onChange={(e) => setBy(e.target.value)} />
                </Field>
                <p className="small soft m-0">
                    Where it changes the work, amend the plan of the unit with the same words.
                </p>
                {note.isError && <Says kind="bad">{saysWhy(note.error)}</Says>}
                <Button
                    type="primary"
                    loading={note.isPending}
                    disabled={answer.trim() === '' || by.trim() === ''}
                    onClick={() => note.mutate(undefined)}
                >
                    Note the answer
                </Button>
            </Flex>
        </Modal>
    );
}

export function Ask({ order, close }: { order: Order; close: () => void }) {
    const [text, setText] = useState('');
    const [unit, setUnit] = useState(0);
    const [blocks, setBlocks] = useState(false);
    const [until, setUntil] = useState<Dayjs | null>(null);
    const ask = useChange(
        order.id,
        () =>
            askClient(order.id, {
                text,
                blocks,
                unit: unit === 0 ? null : unit,
                waits_until: blocks ? (until?.format('YYYY-MM-DD') ?? null) : null,
            }),
        close,
    );
    return (
        <Modal open title="Ask the client something" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="The question">
                    <Input.TextArea
                        autoSize={{ minRows: 2 }}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                    />
                </Field>
                <Field label="What it is about">
                    <Pick
                        value={unit}
                        onChange={setUnit}
                        options={[
                            { value: 0, label: 'the whole order' },
                            ...order.units.map((u) => ({ value: u.id, label: unitName(order, u.id) ?? '' })),
                        ]}
                    />
                </Field>
                <Checkbox checked={blocks} onChange={(e) => setBlocks(e.target.checked)}>
                    It stays off the bench until this is answered
                </Checkbox>
                {blocks && (
                    <Field label="It can wait until">
                        <Day value={until} onChange={setUntil} />
                    </Field>
                )}
                {ask.isError && <Says kind="bad">{saysWhy(ask.error)}</Says>}
                <Button
                    type="primary"
                    loading={ask.isPending}
                    disabled={text.trim() === ''}
                    onClick={() => ask.mutate(undefined)}
                >
                    Note the question
                </Button>
            </Flex>
        </Modal>
    );
}
