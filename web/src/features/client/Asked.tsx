import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { type OrderForClient, replyToStudio } from '../../api/quotes';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import css from './Client.module.css';
import { AskDialog } from './AskDialog';
import type { PageProps } from './ForYouPage';
import { keepMyName, myName } from './name';

type Question = OrderForClient['questions'][number];

/** What was asked, by either side, and what was answered. */
export function Asked({ order, secret }: PageProps) {
    const [asking, setAsking] = useState(false);
    if (order.questions.length === 0 && (order.quote?.state === 'open' || !secret)) return null;
    return (
        <section className={css.block} aria-label="Questions">
            <Flex justify="space-between" align="center">
                <h2>Questions</h2>
                {secret && <Button onClick={() => setAsking(true)}>Ask the studio</Button>}
            </Flex>
            {order.questions.map((q) => (
                <div key={q.id} className={css.question}>
                    <p className="m-0">
                        <span className="small soft">
                            {q.yours ? 'You asked' : 'The studio asks'}, {day(q.asked_at)}
                        </span>
                        <br />
                        <b>{q.text}</b>
                    </p>
                    {q.picture && <Pinned question={q} secret={secret} />}
                    {q.answer !== null && <p className="m-0">{q.answer}</p>}
                    {q.answer === null && q.yours && <p className="small soft m-0">not answered yet</p>}
                    {q.answer === null && !q.yours && secret && <Reply question={q} secret={secret} />}
                </div>
            ))}
            {asking && secret && <AskDialog order={order} secret={secret} close={() => setAsking(false)} />}
        </section>
    );
}

function Pinned({ question: q, secret }: { question: Question; secret: string | null }) {
    return (
        <span className={css.pinned}>
            <img
                src={`/api/v1/${secret ? `for-you/${secret}/` : ''}pictures/${q.picture}`}
                alt="What it is about"
            />
            {q.pin && <i style={{ left: `${100 * q.pin.x}%`, top: `${100 * q.pin.y}%` }} />}
        </span>
    );
}

function Reply({ question, secret }: { question: Question; secret: string }) {
    const queries = useQueryClient();
    const [name, setName] = useState(myName);
    const [text, setText] = useState('');
    const reply = useMutation({
        mutationFn: () => replyToStudio(secret, question.id, { name, text }),
        onSuccess: async () => {
            keepMyName(name);
            await queries.invalidateQueries({ queryKey: ['client-page'] });
        },
    });
    return (
        <Flex vertical gap={6}>
            <Input.TextArea
                aria-label="Your answer"
                placeholder="Your answer"
                autoSize={{ minRows: 2 }}
                value={text}
                onChange={(e) => setText(e.target.value)}
            />
            <Flex gap={8}>
                <Input
                    aria-label="Your name"
                    placeholder="Your name"
                    autoComplete="name"
                    value={name}
                    onChange={(e) => setName(e.target.value)}
                />
                <Button
                    type="primary"
                    loading={reply.isPending}
                    disabled={text.trim() === '' || name.trim() === ''}
                    onClick={() => reply.mutate()}
                >
                    Answer
                </Button>
            </Flex>
            {reply.isError && <Says kind="bad">{saysWhy(reply.error)}</Says>}
        </Flex>
    );
}
