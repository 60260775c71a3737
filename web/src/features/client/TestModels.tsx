import { Button, Flex, Image, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { OrderForClient } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import css from './Client.module.css';
import type { PageProps } from './ForYouPage';
import { myName } from './name';
import { useAsking } from './useAsking';

/** Test models: photographs, and the client's word on the colours. */
export function TestModels({ order, secret }: PageProps) {
    return order.test_models.map((t) => (
        <section key={t.unit} className={css.block} aria-label={`Test model: ${t.figure}`}>
            <h2>Your test model: {t.figure}</h2>
            <Flex gap={8} wrap>
                {t.photographs.map((p) => (
                    <figure key={p.sha256} className={css.photo}>
                        <Image
                            height={180}
                            src={`/api/v1/${secret ? `for-you/${secret}/` : ''}pictures/${p.sha256}`}
                            alt={`${t.figure}, ${p.view}`}
                        />
                        {p.drawn && <figcaption>drawn</figcaption>}
                    </figure>
                ))}
            </Flex>
            {t.said && (
                <p className="m-0">
                    {t.said.go_ahead ? 'Go ahead' : 'To be changed'}, said {t.said.name ?? ''} on{' '}
                    {day(t.said.at)}.
                </p>
            )}
            {secret && !t.said?.go_ahead && <Word test={t} secret={secret} />}
        </section>
    ));
}

function Word({ test, secret }: { test: OrderForClient['test_models'][number]; secret: string }) {
    const [name, setName] = useState(myName);
    const [text, setText] = useState('');
    const say = useAsking(secret, () => setText(''));
    const sent = (go_ahead: boolean) => say.mutate({ name, text, unit: test.unit, go_ahead });
    return (
        <Flex vertical gap={8} className="mt-8">
            <Field label="What you would have otherwise, if anything">
                <Input.TextArea
                    autoSize={{ minRows: 2 }}
                    value={text}
                    onChange={(e) => setText(e.target.value)}
                />
            </Field>
            <Field label="Your name">
                <Input autoComplete="name" value={name} onChange={(e) => setName(e.target.value)} />
            </Field>
            {say.isError && <Says kind="bad">{saysWhy(say.error)}</Says>}
            <Flex gap={8} wrap>
                <Button type="primary" disabled={name.trim() === ''} onClick={() => sent(true)}>
                    Go ahead with these colours
                </Button>
                <Button disabled={name.trim() === '' || text.trim() === ''} onClick={() => sent(false)}>
                    Change this
                </Button>
            </Flex>
            <p className="small soft m-0">
                {test.changes === 0
                    ? 'One change of colours is free; what comes after it is quoted.'
                    : 'The free change is used: the studio quotes another one before it does it.'}
            </p>
        </Flex>
    );
}
