import { Button, Flex } from 'antd';
import { useState } from 'react';
import type { LifeOfOrder, Order } from '../../api/types';
import { day } from '../../ui/when';
import { Answer } from './Answer';
import { Pinned } from './Pinned';
import { unitName } from './unitName';

export type Question = LifeOfOrder['questions'][number];

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
                            {q.from_client ? `${q.from_client} asked` : 'asked'} {day(q.asked_at, false)}
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
                    {q.picture && <Pinned sha={q.picture} pin={q.pin} />}
                    {q.answer && (
                        <p className="m-0">
                            “{q.answer}”{q.amended && ' It is an amendment now.'}
                        </p>
                    )}
                    {!q.answered_at && editable && (
                        <Button size="small" onClick={() => setAnswering(q)}>
                            {q.from_client ? 'Answer' : 'Note the answer'}
                        </Button>
                    )}
                </div>
            ))}
            {answering && <Answer order={order} question={answering} close={() => setAnswering(null)} />}
        </section>
    );
}
