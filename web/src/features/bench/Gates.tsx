import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { answerGate, gatesQuery } from '../../api/work';
import { Chip } from '../../ui/Chip';
import { Says } from '../../ui/Says';
import css from './Bench.module.css';
import { TestModel } from './TestModel';

type Gate = components['schemas']['Gates']['data'][number];

/** Gates at which models of the batch stand: looked at here, before the work on them gets dear. */
export function Gates({ unit, revision }: { unit: number; revision: string }) {
    const query = useQuery(gatesQuery(unit, revision));
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    if (!query.data) return null;
    const { data, test, may_answer: may } = query.data;
    return (
        <>
            {data
                .filter((g) => g.models.some((m) => m.passed !== true))
                .map((g) => (
                    <GateCard key={g.gate} unit={unit} revision={revision} gate={g} may={may} />
                ))}
            {test && <TestModel unit={unit} revision={revision} test={test} />}
        </>
    );
}

const fineOn = (all: number, left: number): string =>
    all === 1 ? 'Fine' : left === 0 ? `Fine on all ${all}` : `Fine on all but ${left}`;

function GateCard({
    unit,
    revision,
    gate: g,
    may,
}: {
    unit: number;
    revision: string;
    gate: Gate;
    may: boolean;
}) {
    const queries = useQueryClient();
    const waiting = g.models.filter((m) => m.passed !== true);
    // One that was refused stays so until somebody has looked at it again.
    const [struck, setStruck] = useState(waiting.filter((m) => m.passed === false).map((m) => m.id));
    const [note, setNote] = useState('');
    const answer = useMutation({
        mutationFn: (body: components['schemas']['AnswerGateBody']) => answerGate(unit, body),
        onSuccess: (next) => {
            queries.setQueryData(gatesQuery(unit, revision).queryKey, next);
            setStruck([]);
            setNote('');
        },
    });
    const fine = waiting.filter((m) => !struck.includes(m.id)).map((m) => m.id);
    const strike = (id: number) =>
        setStruck((now) => (now.includes(id) ? now.filter((n) => n !== id) : [...now, id]));
    return (
        <section className={`card pad ${css.gate}`} aria-label={`Gate: ${g.name}`}>
            <h2>Gate: {g.name}</h2>
            <p className="small m-0">{g.lines.join(' · ')}</p>
            <Flex gap={6} wrap align="center" className="mt-8">
                {waiting.map((m) => (
                    <Chip
                        key={m.id}
                        on={struck.includes(m.id)}
                        disabled={!may}
                        title={m.note ?? undefined}
                        onClick={() => strike(m.id)}
                    >
                        {m.number}
                        {m.passed === false ? ' refused' : ''}
                    </Chip>
                ))}
                <span className="small soft">press a model to leave it out</span>
                <span className="room" />
                {may && (
                    <Button
                        type="primary"
                        disabled={fine.length === 0 || answer.isPending}
                        onClick={() => answer.mutate({ gate: g.gate, pieces: fine, passed: true })}
                    >
                        {fineOn(waiting.length, struck.length)}
                    </Button>
                )}
            </Flex>
            {waiting
                .filter((m) => m.passed === false)
                .map((m) => (
                    <Says key={m.id} kind="warn" className="mt-8">
                        Model {m.number} was refused by {m.by}: {m.note}
                    </Says>
                ))}
            {answer.isError && <Says kind="bad">{saysWhy(answer.error)}</Says>}
            {may && struck.length > 0 && (
                <Form
                    layout="inline"
                    className="mt-10"
                    onFinish={() => answer.mutate({ gate: g.gate, pieces: struck, passed: false, note })}
                >
                    <Flex gap={8} align="center">
                        <Input
                            aria-label="What keeps them here"
                            placeholder="what keeps them here"
                            value={note}
                            onChange={(e) => setNote(e.target.value)}
                        />
                        <Button htmlType="submit" disabled={!note.trim() || answer.isPending}>
                            Keep {struck.length} here
                        </Button>
                    </Flex>
                </Form>
            )}
        </section>
    );
}
