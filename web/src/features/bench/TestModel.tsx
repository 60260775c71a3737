import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { chooseTestModel } from '../../api/photographs';
import { gatesQuery, judgeTest, takeColours } from '../../api/work';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import css from './Bench.module.css';

type Test = NonNullable<components['schemas']['Gates']['test']>;

/** One model is painted first and settles the colours; rejected, the rest waits at its undercoat. */
export function TestModel({ unit, revision, test }: { unit: number; revision: string; test: Test }) {
    const queries = useQueryClient();
    const key = gatesQuery(unit, revision).queryKey;
    const name = useMutation({
        mutationFn: (model: number | null) => chooseTestModel(unit, model),
        onSuccess: () => queries.invalidateQueries({ queryKey: key }),
    });
    if (test.passed === true || test.rest.length === 0) return null;
    return (
        <section className={`card pad ${css.gate}`} aria-label="Gate: test model">
            <Flex justify="space-between" align="center">
                <h2>Gate: test model{test.model === null ? '' : `, model ${test.model}`}</h2>
                {test.model !== null && (
                    <Button type="link" size="small" onClick={() => name.mutate(null)}>
                        No test model
                    </Button>
                )}
            </Flex>
            {test.model === null ? (
                <Flex gap={10} wrap align="center">
                    <span>One model is painted first and settles the colours for the rest.</span>
                    <Pick<number>
                        value={0}
                        onChange={(model) => name.mutate(model)}
                        aria-label="Which model"
                        options={[
                            { value: 0, label: 'which one', disabled: true },
                            ...test.rest.map((n) => ({ value: n, label: `model ${n}` })),
                        ]}
                    />
                </Flex>
            ) : test.passed === false ? (
                <Rejected unit={unit} revision={revision} test={test} />
            ) : test.is_painted ? (
                <Judge unit={unit} revision={revision} test={test} />
            ) : (
                <p className="m-0 soft">
                    It is finished first. The other {test.rest.length} can be prepared and undercoated
                    meanwhile.
                </p>
            )}
            {name.isError && <Says kind="bad">{saysWhy(name.error)}</Says>}
        </section>
    );
}

function Judge({ unit, revision, test }: { unit: number; revision: string; test: Test }) {
    const queries = useQueryClient();
    const [note, setNote] = useState('');
    const judge = useMutation({
        mutationFn: (passed: boolean) => judgeTest(unit, { passed, note: note.trim() || null }),
        onSuccess: (next) => queries.setQueryData(gatesQuery(unit, revision).queryKey, next),
    });
    return (
        <>
            <p className="small mt-4 mb-8">{test.lines.join(' · ')}</p>
            {test.may_judge ? (
                <Flex gap={10} wrap align="center">
                    <Button type="primary" disabled={judge.isPending} onClick={() => judge.mutate(true)}>
                        It settles the colours
                    </Button>
                    <Form layout="inline" onFinish={() => judge.mutate(false)}>
                        <Flex gap={8} align="center">
                            <Input
                                aria-label="What is wrong with it"
                                placeholder="what is wrong with it"
                                value={note}
                                onChange={(e) => setNote(e.target.value)}
                            />
                            <Button htmlType="submit" danger disabled={!note.trim() || judge.isPending}>
                                Reject it
                            </Button>
                        </Flex>
                    </Form>
                </Flex>
            ) : (
                <p className="m-0">It is finished: the lead says how it came out.</p>
            )}
            <p className="small soft mt-8 mb-0">
                Rejected, the scheme gets a new version to be changed, the other {test.rest.length} wait at
                their undercoat, and painting it again takes {test.minutes} min.
            </p>
            {judge.isError && <Says kind="bad">{saysWhy(judge.error)}</Says>}
        </>
    );
}

function Rejected({ unit, revision, test }: { unit: number; revision: string; test: Test }) {
    const queries = useQueryClient();
    const take = useMutation({
        mutationFn: () => takeColours(unit, test.unit_revision),
        onSuccess: () => queries.invalidateQueries(),
    });
    const scheme = test.scheme;
    const newer = scheme !== null && scheme.newest > (scheme.painted ?? 0);
    if (!newer && !test.is_painted)
        return (
            <Says kind="warn">
                It was rejected by {test.by}: {test.note} It is painted again in the new colours; the other{' '}
                {test.rest.length} wait until it is accepted.
            </Says>
        );
    return (
        <>
            <Says kind="warn">
                Rejected by {test.by}: {test.note} The other {test.rest.length} wait at their undercoat.
            </Says>
            {scheme !== null && test.may_judge && (
                <Flex gap={10} wrap align="center" className="mt-10">
                    {newer && scheme.is_changed ? (
                        <Button type="primary" loading={take.isPending} onClick={() => take.mutate()}>
                            Take the colours of version {scheme.newest}
                        </Button>
                    ) : (
                        <span>Change the colours first:</span>
                    )}
                    <Link to={`/schemes/${scheme.slug}`}>{scheme.name}</Link>
                    {newer && scheme.is_changed && (
                        <span className="small soft">
                            What was painted is painted again, {test.minutes} min on the test model.
                        </span>
                    )}
                </Flex>
            )}
            {test.is_painted && !newer && <Judge unit={unit} revision={revision} test={test} />}
            {take.isError && <Says kind="bad">{saysWhy(take.error)}</Says>}
        </>
    );
}
