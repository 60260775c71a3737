import { CloseOutlined } from '@ant-design/icons';
import { Button, Input, InputNumber } from 'antd';
import type { UnitPlan } from '../../api/types';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import type { Draft } from './variants';

export function VariantRow({
    data,
    variant: v,
    change,
    remove,
}: {
    data: UnitPlan;
    variant: Draft;
    change: (patch: Partial<Draft>) => void;
    remove: () => void;
}) {
    const slots = [...new Set(data.figure.map((f) => f.slot).filter((s): s is string => s !== null))];
    return (
        <div className="variant">
            <Field label="Name">
                <Input
                    disabled={!data.editable}
                    value={v.name}
                    onChange={(e) => change({ name: e.target.value })}
                />
            </Field>
            <Field label="Share, %">
                <InputNumber
                    disabled={!data.editable}
                    min={1}
                    max={100}
                    value={v.percent}
                    onChange={(value) => change({ percent: value ?? 0 })}
                />
            </Field>
            <Field label="In the slot">
                <Pick
                    disabled={!data.editable}
                    value={v.slot}
                    onChange={(value) => change({ slot: value })}
                    options={[
                        { value: '', label: 'no other colour' },
                        ...slots.map((s) => ({ value: s, label: s })),
                    ]}
                />
            </Field>
            <Field label="Base colour">
                <Pick
                    disabled={!data.editable || v.slot === ''}
                    value={v.base}
                    onChange={(value) => change({ base: value })}
                    options={[
                        { value: '', label: 'choose one' },
                        ...data.paints.map((p) => ({ value: p.name, label: p.name })),
                    ]}
                />
            </Field>
            <Field label="Extra on">
                <Pick
                    disabled={!data.editable}
                    value={v.area}
                    onChange={(value) => change({ area: value, technique: '' })}
                    options={[
                        { value: '', label: 'nothing extra' },
                        ...data.areas.map((a) => ({ value: a.key, label: a.name })),
                    ]}
                />
            </Field>
            <Field label="Technique">
                <Pick
                    disabled={!data.editable || v.area === ''}
                    value={v.technique}
                    onChange={(value) => change({ technique: value })}
                    options={[
                        { value: '', label: 'choose one' },
                        ...data.techniques
                            .filter((t) => t.areas[v.area])
                            .map((t) => ({ value: t.key, label: t.name })),
                    ]}
                />
            </Field>
            {data.editable && (
                <Button
                    type="text"
                    icon={<CloseOutlined />}
                    aria-label={`Remove ${v.name}`}
                    onClick={remove}
                />
            )}
        </div>
    );
}
