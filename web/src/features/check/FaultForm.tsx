import { Button, Flex, Form, InputNumber } from 'antd';
import { useState } from 'react';
import type { Check, Question } from '../../api/types';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import type { Found } from './useCheck';

/** Which fault it is, where, and how much of it. */
export function FaultForm({
    check,
    question: q,
    busy,
    give,
    leave,
}: {
    check: Check;
    question: Question;
    busy: boolean;
    give: (f: Found) => void;
    leave: () => void;
}) {
    const kinds = q.faults.flatMap((key) => check.fault_kinds.filter((k) => k.key === key));
    const [fault, setFault] = useState(kinds[0]?.key ?? '');
    const [area, setArea] = useState(q.areas[0] ?? '');
    const [spread, setSpread] = useState<Found['spread']>('spot');
    const [mm, setMm] = useState<number | null>(null);
    const kind = kinds.find((k) => k.key === fault);
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => give({ fault, area: kind?.whole ? null : area, spread, size_mm: mm })}
        >
            <Field label="Which fault">
                <Pick
                    autoFocus
                    value={fault}
                    onChange={setFault}
                    options={kinds.map((k) => ({ value: k.key, label: k.name }))}
                />
            </Field>
            {kind && (
                <p className="small soft m-0">
                    {kind.looks} {kind.how_to_see}
                </p>
            )}
            <div className="two">
                {!kind?.whole && (
                    <Field label="Where">
                        <Pick
                            value={area}
                            onChange={setArea}
                            options={check.figure
                                .filter((a) => q.areas.includes(a.key))
                                .map((a) => ({ value: a.key, label: `${a.no} ${a.name}` }))}
                        />
                    </Field>
                )}
                <Field label="How much of it">
                    <Pick<Found['spread']>
                        value={spread}
                        onChange={setSpread}
                        options={[
                            { value: 'spot', label: 'a spot' },
                            { value: 'patch', label: 'a patch' },
                            { value: 'whole', label: 'all of it' },
                        ]}
                    />
                </Field>
                {kind?.by_size && (
                    <Field label="Size in mm, if measured">
                        <InputNumber min={0.01} step={0.01} value={mm} onChange={setMm} />
                    </Field>
                )}
            </div>
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={busy}>
                    Note the fault
                </Button>
                <Button onClick={leave}>Leave it</Button>
            </Flex>
        </Form>
    );
}
