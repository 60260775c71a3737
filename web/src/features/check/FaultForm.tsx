import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, Flex, Form, InputNumber } from 'antd';
import { useState } from 'react';
import type { Check, Question } from '../../api/types';
import { faultPicturesQuery, judgementQuery } from '../../api/work';
import { Drawn } from '../../ui/Drawn';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import type { Pressed } from './usePressing';
import css from './Check.module.css';
import { Counts } from './FaultNote';
import type { Found } from './useCheck';

/** Which fault it is, where, and how much of it; what it counts is said before it is noted. */
export function FaultForm({
    check,
    lines,
    line,
    pressed,
    busy,
    give,
    leave,
}: {
    check: Check;
    lines: Question[];
    line: string | null;
    pressed: Pressed | null;
    busy: boolean;
    give: (question: string, f: Found) => void;
    leave: () => void;
}) {
    // A line that was chosen; else those that are about the place that was pressed.
    const about = lines.filter((q) =>
        line !== null ? q.key === line : pressed?.area ? q.areas.includes(pressed.area) : true,
    );
    const those = about.length > 0 ? about : lines;
    const kinds = check.fault_kinds.filter((k) => those.some((q) => q.faults.includes(k.key)));
    const [fault, setFault] = useState(kinds[0]?.key ?? '');
    const kind = kinds.find((k) => k.key === fault);
    const asks = those.find((q) => q.faults.includes(fault)) ?? those[0];
    const places = check.figure.filter((a) =>
        those.some((q) => q.faults.includes(fault) && q.areas.includes(a.key)),
    );
    const [chosen, setChosen] = useState(pressed?.area ?? '');
    const area = places.find((a) => a.key === chosen) ?? places[0];
    const question =
        those.find((q) => q.faults.includes(fault) && area && q.areas.includes(area.key)) ?? asks;
    const [spread, setSpread] = useState<Found['spread']>('spot');
    const [mm, setMm] = useState<number | null>(pressed?.mm ?? null);
    const pin = pressed ? { view: pressed.view, x: pressed.x, y: pressed.y } : null;
    const found: Found = {
        fault,
        area: kind?.whole || !area ? null : area.key,
        spread,
        size_mm: kind?.by_size ? mm : null,
        pin,
    };
    const pictures = useQuery(faultPicturesQuery());
    const drawn = pictures.data?.data[fault];
    const judged = useQuery({
        ...judgementQuery(check.id, { question: question?.key ?? '', ...found }),
        enabled: question !== undefined && fault !== '',
        placeholderData: keepPreviousData,
    });
    return (
        <Form layout="vertical" className="stack" onFinish={() => question && give(question.key, found)}>
            <Field label="Which fault">
                <Pick
                    autoFocus
                    value={fault}
                    onChange={setFault}
                    options={kinds.map((k) => ({ value: k.key, label: k.name }))}
                />
            </Field>
            {kind && (
                <Flex gap={12} align="flex-start">
                    {drawn !== undefined && (
                        <div className={css.example}>
                            <Drawn key={drawn} address={drawn} alt={kind.name} instead={null} />
                        </div>
                    )}
                    <p className="small soft m-0">
                        {kind.looks} {kind.how_to_see}
                    </p>
                </Flex>
            )}
            <div className="two">
                {!kind?.whole && places.length > 0 && (
                    <Field label="Where">
                        <Pick
                            value={area?.key ?? ''}
                            onChange={setChosen}
                            options={places.map((a) => ({ value: a.key, label: `${a.no} ${a.name}` }))}
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
                        <InputNumber min={0.01} step={0.1} value={mm} onChange={setMm} />
                    </Field>
                )}
            </div>
            {pin === null && (
                <p className="small soft m-0">
                    Press the place in the picture to pin it; drag across it to measure it.
                </p>
            )}
            {judged.data && <Counts check={check} judged={judged.data} />}
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={busy || !question}>
                    Note the fault
                </Button>
                <Button onClick={leave}>Leave it</Button>
            </Flex>
        </Form>
    );
}
