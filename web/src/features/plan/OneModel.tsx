import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import type { PlannedPiece, UnitPlan } from '../../api/types';
import { amend, setLacks as changeLacks } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { minutes, stageWords } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { type Bend, changesOf } from './bend';
import { areaName, longName } from './names';

/** What one model lacks, and what it gets of its own. */
export function OneModel({
    data,
    bend,
    piece,
    open,
}: {
    data: UnitPlan;
    bend: Bend;
    piece: PlannedPiece;
    open: () => void;
}) {
    const notices = useNotices();
    const [lacks, setLacks] = useState(piece.lacks);
    const [own, setOwn] = useState({ technique: '', area: data.areas[0]?.key ?? '', reason: '' });
    const keep = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (next: string[]) => changeLacks(piece.id, next, data.unit.revision),
        onSuccess: bend.put,
        onError: notices.failed,
    });
    const add = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: () =>
            amend(data.unit.id, {
                revision: data.unit.revision,
                piece: piece.number,
                amendment: {
                    level: 'piece',
                    do: 'add',
                    clause: null,
                    technique: own.technique,
                    scope: { area: [own.area] },
                    values: {},
                    reason: own.reason,
                    price: null,
                    on: null,
                },
            }),
        onSuccess: bend.put,
        onError: notices.failed,
    });
    const toggle = (key: string) =>
        setLacks(lacks.includes(key) ? lacks.filter((k) => k !== key) : [...lacks, key]);
    const fits = data.techniques.filter((t) => t.areas[own.area]);
    return (
        <Flex vertical gap={12} className="card pad mt-10">
            <Flex gap={12} align="baseline">
                <h2>
                    Model {piece.number}, {piece.code}
                </h2>
                <span className="soft small">{stageWords(piece.stage)}</span>
                <span className="grow" />
                <Button onClick={open}>Its plan</Button>
            </Flex>
            <div>
                <span className="small soft">What it does not have</span>
                <div className="chips mt-4">
                    {data.areas.map((a) => (
                        <Chip
                            on={lacks.includes(a.key)}
                            key={a.key}
                            disabled={!data.editable}
                            onClick={() => toggle(a.key)}
                        >
                            {a.name}
                        </Chip>
                    ))}
                </div>
            </div>
            {data.editable && lacks.join() !== piece.lacks.join() && (
                <Button type="primary" disabled={keep.isPending} onClick={() => keep.mutate(lacks)}>
                    {lacks.length === 0
                        ? 'It has everything'
                        : `It lacks ${lacks.length} ${lacks.length === 1 ? 'area' : 'areas'}`}
                </Button>
            )}
            {data.editable && (
                <Form
                    layout="vertical"
                    className="stack"
                    onFinish={() => {
                        add.mutate();
                    }}
                >
                    <Field label="Gets of its own, on">
                        <Pick
                            value={own.area}
                            onChange={(value) => setOwn({ ...own, area: value, technique: '' })}
                            options={data.areas.map((a) => ({ value: a.key, label: a.name }))}
                        />
                    </Field>
                    <Field label="Technique">
                        <Pick
                            value={own.technique}
                            onChange={(value) => setOwn({ ...own, technique: value })}
                            options={[
                                { value: '', label: 'choose one' },
                                ...fits.map((t) => ({
                                    value: t.key,
                                    label: `${t.name}, ${minutes(t.areas[own.area]?.minutes ?? 0)}`,
                                })),
                            ]}
                        />
                    </Field>
                    <Field label="Why">
                        <Input
                            value={own.reason}
                            placeholder="It is the sergeant"
                            onChange={(e) => setOwn({ ...own, reason: e.target.value })}
                        />
                    </Field>
                    <Button
                        htmlType="submit"
                        disabled={own.technique === '' || own.reason.trim() === '' || add.isPending}
                    >
                        Add
                    </Button>
                </Form>
            )}
            {data.amendments
                .filter((a) => a.piece === piece.number)
                .map((a) => (
                    <Says kind="plain" key={a.id}>
                        {a.no}. {a.amendment.do === 'omit' ? 'leaves out' : 'gets'}{' '}
                        {a.amendment.technique
                            ? longName(data, a.amendment.technique).toLowerCase()
                            : 'something'}{' '}
                        on{' '}
                        {(a.amendment.scope.area ?? [])
                            .map((k) => areaName(data, k).toLowerCase())
                            .join(', ') || 'all areas'}
                        : {a.amendment.reason} ({a.by})
                    </Says>
                ))}
        </Flex>
    );
}
