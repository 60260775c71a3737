import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { Move, UnitPlan } from '../../api/types';
import { setAside, setSequence } from '../../api/units';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { areaName, longName } from './names';
import { changesOf } from './bend';

/** A place that breaks rules is possible only when each of them is set aside, for this order and with a reason. */
export function Refused({
    data,
    step,
    move,
    done,
}: {
    data: UnitPlan;
    step: string;
    move: Move;
    done: (next: UnitPlan | null) => void;
}) {
    const [reason, setReason] = useState('');
    const it = data.plan.steps.find((s) => s.key === step);
    const set = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: async () => {
            const { unit } = await setAside(data.unit.id, {
                revision: data.unit.revision,
                rules: move.broken.map(({ rule, earlier, later }) => ({ rule, earlier, later })),
                reason,
            });
            return setSequence(unit.id, move.sequence, unit.revision);
        },
        onSuccess: done,
    });
    return (
        <Form layout="vertical" className="refused" onFinish={() => set.mutate()}>
            <Says kind="bad">
                <b>
                    {it
                        ? `${longName(data, it.technique)} on ${areaName(data, it.area).toLowerCase()}`
                        : 'The step'}{' '}
                    cannot stand there as it is:
                </b>
            </Says>
            <ul>
                {move.broken.map((b, i) => (
                    <li key={i}>
                        {b.words}: {b.earlier_name.toLowerCase()} comes before {b.later_name.toLowerCase()}
                    </li>
                ))}
            </ul>
            <Field
                label={
                    `Set ${move.broken.length === 1 ? 'this rule' : `these ${move.broken.length} rules`}` +
                    ` aside for this order, because`
                }
            >
                <Input autoFocus value={reason} onChange={(e) => setReason(e.target.value)} />
            </Field>
            {set.isError && <Says kind="bad">{saysWhy(set.error)}</Says>}
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={reason.trim() === '' || set.isPending}>
                    Set aside and move
                </Button>
                <Button onClick={() => done(null)}>Leave it where it was</Button>
            </Flex>
        </Form>
    );
}
