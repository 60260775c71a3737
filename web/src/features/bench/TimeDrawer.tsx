import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Drawer, Form, Input, InputNumber, List } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { correctTime, timeQuery } from '../../api/work';
import { minutes } from '../../ui/marks';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { Empty, Failed, Loading } from '../../ui/states';
import { moment } from '../../ui/when';
import { modelsWords } from '../day/runs';

type Told = components['schemas']['TimeOfUnit']['data'][number];

/** What was marked, tap by tap, with its minutes; a wrong one is put right with a reason. */
export function TimeDrawer({ unit, close }: { unit: number; close: () => void }) {
    const query = useQuery(timeQuery(unit));
    const [open, setOpen] = useState<number | null>(null);
    return (
        <Drawer open title="Time" onClose={close} size={440}>
            {query.isPending && <Loading what="the minutes" />}
            {query.isError && <Failed error={query.error} again={() => void query.refetch()} />}
            {query.data?.data.length === 0 && <Empty title="Nothing was marked yet" />}
            {query.data && (
                <List
                    dataSource={query.data.data}
                    rowKey={(t) => t.logs.join()}
                    renderItem={(t) => (
                        <List.Item>
                            <div className="wide">
                                <Tapped told={t} change={() => setOpen(t.logs[0] ?? null)} />
                                {open === t.logs[0] && (
                                    <Correct unit={unit} told={t} done={() => setOpen(null)} />
                                )}
                            </div>
                        </List.Item>
                    )}
                />
            )}
        </Drawer>
    );
}

function Tapped({ told: t, change }: { told: Told; change: () => void }) {
    return (
        <>
            <b>{t.techniques.join(', ')}</b>, {modelsWords(t.models)}
            <div className="small soft">
                {moment(t.at)}, {t.by}
            </div>
            <div className="small">
                {t.minutes === null ? 'no minutes told' : minutes(t.minutes)}
                <span className="soft">, planned {minutes(t.planned)}</span>{' '}
                {t.may_correct && (
                    <Button size="small" type="text" onClick={change}>
                        Correct
                    </Button>
                )}
            </div>
            {t.corrected.map((c, i) => (
                <div className="small soft" key={i}>
                    corrected by {c.by}: {c.reason}
                </div>
            ))}
        </>
    );
}

function Correct({ unit, told, done }: { unit: number; told: Told; done: () => void }) {
    const [spent, setSpent] = useState(told.minutes);
    const [reason, setReason] = useState('');
    const queries = useQueryClient();
    const keep = useMutation({
        mutationFn: () => correctTime(unit, { logs: told.logs, minutes: spent, reason }),
        onSuccess: (answer) => {
            queries.setQueryData(timeQuery(unit).queryKey, answer);
            done();
        },
    });
    return (
        <Form layout="vertical" className="stack" onFinish={() => keep.mutate()}>
            <Field label="Minutes it took; empty where nobody knows">
                <InputNumber min={0} max={6000} value={spent} onChange={setSpent} />
            </Field>
            <Field label="Why">
                <Input value={reason} maxLength={300} onChange={(e) => setReason(e.target.value)} />
            </Field>
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
            <Button type="primary" htmlType="submit" disabled={reason.trim() === ''} loading={keep.isPending}>
                Correct it
            </Button>
        </Form>
    );
}
