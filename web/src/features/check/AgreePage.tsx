import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { useParams } from 'react-router';
import { saysWhy } from '../../api/client';
import { concede, concessionQuery } from '../../api/work';
import { BehindLink } from '../../ui/BehindLink';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';

/** What a client is asked by a link, and nothing else: whether a model may leave with what was found on it. */
export default function AgreePage() {
    const { secret } = useParams();
    const queries = useQueryClient();
    const query = useQuery(concessionQuery(secret ?? ''));
    const [name, setName] = useState('');
    const say = useMutation({
        mutationFn: (agrees: boolean) => concede(secret ?? '', { agrees, name }),
        onSuccess: (next) => queries.setQueryData(concessionQuery(secret ?? '').queryKey, next),
    });
    return (
        <BehindLink query={query} what="the question">
            {(c) => (
                <main className="page shared">
                    <article className="card pad stack">
                        <div className="eyebrow">
                            {c.studio}, {c.order}
                        </div>
                        <h1>
                            May model {c.model} of the {c.figure} leave as it is?
                        </h1>
                        <p className="m-0">
                            It was checked against {c.tier}, which is made to be seen from {c.distance_cm} cm.
                            This was found, and could be put right:
                        </p>
                        <ul>
                            {c.faults.map((f, i) => (
                                <li key={i}>
                                    <b>{f.name}</b>
                                    {f.area === null ? '' : `, ${f.area.toLowerCase()}`}
                                    {f.size_mm === null ? '' : `, ${f.size_mm} mm`}. {f.looks}
                                </li>
                            ))}
                        </ul>
                        {c.answer ? (
                            <Says kind={c.answer.agrees ? 'good' : 'plain'}>
                                {c.answer.name} {c.answer.agrees ? 'agreed' : 'did not agree'} on{' '}
                                {day(c.answer.at)}.
                            </Says>
                        ) : (
                            <Form layout="vertical" className="stack">
                                <Field label="Your name">
                                    <Input value={name} onChange={(e) => setName(e.target.value)} />
                                </Field>
                                {say.isError && <Says kind="bad">{saysWhy(say.error)}</Says>}
                                <Flex gap={10}>
                                    <Button
                                        type="primary"
                                        size="large"
                                        disabled={!name.trim() || say.isPending}
                                        onClick={() => say.mutate(true)}
                                    >
                                        Yes, as it is
                                    </Button>
                                    <Button
                                        size="large"
                                        disabled={!name.trim() || say.isPending}
                                        onClick={() => say.mutate(false)}
                                    >
                                        No, put it right
                                    </Button>
                                </Flex>
                            </Form>
                        )}
                    </article>
                </main>
            )}
        </BehindLink>
    );
}
