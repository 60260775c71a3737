import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Form, Input, InputNumber } from 'antd';
import { useState } from 'react';
import type { Extent, PlanStep, UnitPlan } from '../../api/types';
import { amend, setPractice } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { extentWords } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { type Bend, changesOf } from './bend';
import { fewMinutes, usesOn } from './names';

/** What could be done instead of a step, or beside it, or without it. */
export function StepChange({
    data,
    bend,
    step,
    area,
    beyond,
}: {
    data: UnitPlan;
    bend: Bend;
    step: PlanStep;
    area: string;
    beyond: boolean;
}) {
    const notices = useNotices();
    const used = usesOn(data, area);
    const mine = used.find((u) => u.technique === step.technique);
    const leave = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (reason: string) =>
            amend(data.unit.id, {
                revision: data.unit.revision,
                ...(data.piece === null ? {} : { piece: data.piece }),
                amendment: {
                    level: data.piece === null ? 'unit' : 'piece',
                    do: 'omit',
                    clause: null,
                    technique: step.technique,
                    scope: { area: [area] },
                    values: {},
                    reason,
                    price: null,
                    on: null,
                },
            }),
        onSuccess: bend.put,
        onError: notices.failed,
    });
    const [why, setWhy] = useState<string | null>(null);
    const practise = (technique: string | null, was: string | null) =>
        bend.make(
            (revision) => setPractice(data.unit.id, technique, revision),
            (revision) => setPractice(data.unit.id, was, revision),
        );
    if (!mine) return null;
    const others = used.filter((u) => u !== mine);
    const card = data.techniques.find((t) => t.key === step.technique);
    const family = card?.family;
    const fitting = data.techniques
        .filter((t) => t.areas[area] && t.key !== step.technique)
        .sort((a, b) => (a.areas[area]?.minutes ?? 0) - (b.areas[area]?.minutes ?? 0));
    const minutes = (t: (typeof fitting)[number]) => fewMinutes(t.areas[area]?.minutes ?? 0);
    const instead = fitting.filter((t) => t.family === family && !used.some((u) => u.technique === t.key));
    return (
        <div className="change">
            <div className="passes-row">
                <Field label="How widely">
                    <Pick
                        value={mine.extent}
                        onChange={(value) => bend.edit(area, [...others, { ...mine, extent: value }])}
                        options={(['spot', 'prominent', 'full'] as Extent[]).map((x) => ({
                            value: x,
                            label: extentWords(x),
                        }))}
                    />
                </Field>
                <Field label="Passes">
                    <InputNumber
                        min={1}
                        max={card?.max_passes ?? 1}
                        value={mine.passes}
                        onChange={(value) =>
                            bend.edit(area, [...others, { ...mine, passes: (value ?? 0) || 1 }])
                        }
                    />
                </Field>
            </div>
            {instead.length > 0 && (
                <div>
                    <span className="small soft">Instead</span>
                    <div className="instead">
                        {instead.slice(0, 6).map((t) => (
                            <Chip
                                key={t.key}
                                title={t.purpose}
                                disabled={bend.busy}
                                onClick={() =>
                                    bend.edit(area, [
                                        ...others,
                                        { technique: t.key, passes: 1, extent: mine.extent },
                                    ])
                                }
                            >
                                {t.name} <span className="num soft">{minutes(t)}</span>
                                {t.areas[area]?.allowed ? '' : ' +'}
                            </Chip>
                        ))}
                    </div>
                    {instead.some((t) => !t.areas[area]?.allowed) && (
                        <span className="small soft">+ {data.unit.tier.name} does not offer it</span>
                    )}
                </div>
            )}
            <Field label="Beside it">
                <Pick
                    value=""
                    onChange={(value) =>
                        bend.edit(area, [...used, { technique: value, passes: 1, extent: 'full' }])
                    }
                    options={[
                        { value: '', label: 'add a step to this area' },
                        ...fitting
                            .filter((t) => !used.some((u) => u.technique === t.key))
                            .map((t) => ({
                                value: t.key,
                                label: `${t.name}, ${minutes(t)} min${t.areas[area]?.allowed ? '' : ' (not offered)'}`,
                            })),
                    ]}
                />
            </Field>
            <Flex gap={6} wrap>
                <Button
                    danger
                    disabled={others.length === 0 || bend.busy}
                    onClick={() => bend.edit(area, others)}
                >
                    Take out
                </Button>
                {data.unit.edits[area] && <Button onClick={() => bend.edit(area, null)}>As planned</Button>}
                {beyond && data.piece === null && (
                    <Button onClick={() => practise(step.technique, data.arranged.practice)}>
                        It is practice
                    </Button>
                )}
                {data.arranged.practice === step.technique && (
                    <Button onClick={() => practise(null, step.technique)}>Not practice any more</Button>
                )}
            </Flex>
            {why === null ? (
                <Button type="link" className="wraps" onClick={() => setWhy('')}>
                    Leave it out {data.piece === null ? 'on all models' : 'on this model'}, and say why
                </Button>
            ) : (
                <Form
                    layout="inline"
                    className=""
                    onFinish={() => {
                        leave.mutate(why);
                    }}
                >
                    <Input
                        autoFocus
                        aria-label="Why it is left out"
                        placeholder="It cannot be seen"
                        value={why}
                        onChange={(e) => setWhy(e.target.value)}
                    />
                    <Button htmlType="submit" disabled={why.trim() === '' || leave.isPending}>
                        Leave out
                    </Button>
                </Form>
            )}
        </div>
    );
}
