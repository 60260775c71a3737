import { Input, InputNumber } from 'antd';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { plain, valuesOf } from '../standard/words';
import type { Sculpt } from './map';

/** What the figure is as a whole. */
export function FigureForm({
    sculpt,
    editable,
    set,
}: {
    sculpt: Sculpt;
    editable: boolean;
    set: (patch: Partial<Sculpt>) => void;
}) {
    const [w, h] = sculpt.frame_mm ?? [60, 80];
    const number = (label: string, value: number, pick: (v: number) => void) => (
        <Field label={label}>
            <InputNumber disabled={!editable} min={1} value={value} onChange={(value) => pick(value ?? 0)} />
        </Field>
    );
    return (
        <section className="card pad area-form">
            <div className="eyebrow">The figure</div>
            <Field label="Name">
                <Input
                    disabled={!editable}
                    value={sculpt.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </Field>
            <div className="two">
                <Field label="Role">
                    <Pick
                        disabled={!editable}
                        value={sculpt.role}
                        onChange={(value) => set({ role: value })}
                        options={valuesOf('role').map((r) => ({ value: r, label: plain(r) }))}
                    />
                </Field>
                <Field label="Size">
                    <Pick
                        disabled={!editable}
                        value={sculpt.size}
                        onChange={(value) => set({ size: value })}
                        options={valuesOf('size').map((r) => ({ value: r, label: plain(r) }))}
                    />
                </Field>
            </div>
            <div className="two">
                {number('Surface, cm²', sculpt.surface_cm2, (v) => set({ surface_cm2: v }))}
                {number('Base, mm', sculpt.base_mm ?? 0, (v) => set({ base_mm: v > 0 ? v : null }))}
            </div>
            <div className="two">
                {number('Frame, mm wide', w, (v) => set({ frame_mm: [v, h] }))}
                {number('mm high', h, (v) => set({ frame_mm: [w, v] }))}
            </div>
            <div className="two">
                <Field label="Cast">
                    <Pick
                        disabled={!editable}
                        value={sculpt.definition ?? 'normal'}
                        onChange={(value) => set({ definition: value })}
                        options={(['soft', 'normal', 'crisp'] as const).map((d) => ({ value: d, label: d }))}
                    />
                </Field>
                <Field label="Kept-apart parts">
                    <Input
                        disabled={!editable}
                        placeholder="shield, head"
                        defaultValue={sculpt.parts.join(', ')}
                        onBlur={(e) =>
                            set({
                                parts: e.target.value
                                    .split(',')
                                    .map((p) => p.trim())
                                    .filter(Boolean),
                            })
                        }
                    />
                </Field>
            </div>
        </section>
    );
}
