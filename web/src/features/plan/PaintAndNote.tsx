import { Input } from 'antd';
import { useState } from 'react';
import type { PlanStep, UnitPlan } from '../../api/types';
import { setStep } from '../../api/units';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import type { Bend } from './bend';
import { colourWords } from './names';

/** The paint of a step, where it is not the scheme's, and what the bench should know. */
export function PaintAndNote({ data, bend, step }: { data: UnitPlan; bend: Bend; step: PlanStep }) {
    const paint = data.arranged.paints[step.key] ?? '';
    const note = data.arranged.notes[step.key] ?? '';
    const [typed, setTyped] = useState(note);
    const keep = (next: { paint?: string; note?: string }) =>
        bend.make(
            (revision) =>
                setStep(data.unit.id, {
                    step: step.key,
                    paint: (next.paint ?? paint) || null,
                    note: next.note ?? note,
                    revision,
                }),
            (revision) => setStep(data.unit.id, { step: step.key, paint: paint || null, note, revision }),
        );
    return (
        <div className="change">
            <Field label="Paint">
                <Pick
                    value={paint}
                    onChange={(value) => keep({ paint: value })}
                    options={[
                        {
                            value: '',
                            label: `as the scheme has it${step.colour && !paint ? `: ${colourWords(step) ?? ''}` : ''}`,
                        },
                        ...data.paints.map((p) => ({ value: p.name, label: p.name })),
                    ]}
                />
            </Field>
            <Field label="Note for the bench">
                <Input
                    value={typed}
                    onChange={(e) => setTyped(e.target.value)}
                    onBlur={() => {
                        if (typed !== note) keep({ note: typed });
                    }}
                />
            </Field>
        </div>
    );
}
