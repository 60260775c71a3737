import { Button, Checkbox, Flex, Input, InputNumber, Modal, Popconfirm } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { editUnit, removeUnit, splitUnit } from '../../api/orders';
import type { Order, UnitBrief } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { useChange } from './change';
import { TakeOver } from './TakeOver';

/** A unit's name, the price of a model and its number; split off or taken off the order until it is on the bench. */
export function UnitEdit({ order, unit, close }: { order: Order; unit: UnitBrief; close: () => void }) {
    const person = usePerson();
    const plan = order.unit_plans.find((p) => p.unit === unit.id);
    const [label, setLabel] = useState(unit.label ?? '');
    const [price, setPrice] = useState(plan?.set_price ?? '');
    const [count, setCount] = useState(unit.pieces.length);
    const [apart, setApart] = useState<number[]>([]);
    const edit = useChange(
        order.id,
        () =>
            editUnit(unit.id, {
                revision: unit.revision,
                label: label.trim() || null,
                price: price.trim() || null,
                ...(count === unit.pieces.length ? {} : { count }),
            }),
        close,
    );
    const split = useChange(
        order.id,
        () => splitUnit(unit.id, { revision: unit.revision, pieces: apart, label: null }),
        close,
    );
    const remove = useChange(order.id, () => removeUnit(unit.id, unit.revision), close);
    const failed = [edit, split, remove].find((m) => m.isError);
    return (
        <Modal open title={`${unit.pieces.length} × ${unit.sculpt}`} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="What the unit is called">
                    <Input value={label} onChange={(e) => setLabel(e.target.value)} />
                </Field>
                <Field label={`Price of a model, ${order.currency}; empty: the middle of the card`}>
                    <Input value={price} onChange={(e) => setPrice(e.target.value)} />
                </Field>
                {!unit.released && (
                    <Field label="How many models">
                        <InputNumber
                            min={1}
                            max={500}
                            precision={0}
                            value={count}
                            onChange={(n) => setCount(n ?? 1)}
                        />
                    </Field>
                )}
                {failed && <Says kind="bad">{saysWhy(failed.error)}</Says>}
                <Button type="primary" loading={edit.isPending} onClick={() => edit.mutate(undefined)}>
                    Keep it
                </Button>
                {unit.released ? (
                    <>
                        <p className="small soft m-0">
                            It is on the bench: its models and number stay together.
                        </p>
                        {can(person, 'people.edit') && <TakeOver unit={unit} done={close} />}
                    </>
                ) : (
                    <>
                        {unit.pieces.length > 1 && (
                            <Field label="Split off: these become a unit of their own">
                                <Checkbox.Group
                                    options={unit.pieces.map((p) => ({
                                        value: p.id,
                                        label: String(p.number),
                                    }))}
                                    value={apart}
                                    onChange={setApart}
                                />
                            </Field>
                        )}
                        <Flex gap={8}>
                            {unit.pieces.length > 1 && (
                                <Button
                                    loading={split.isPending}
                                    disabled={apart.length === 0 || apart.length === unit.pieces.length}
                                    onClick={() => split.mutate(undefined)}
                                >
                                    Split off {apart.length || ''}
                                </Button>
                            )}
                            <Popconfirm
                                title="Take the unit and its models off the order?"
                                okText="Take it off"
                                onConfirm={() => remove.mutate(undefined)}
                            >
                                <Button danger loading={remove.isPending}>
                                    Take it off the order
                                </Button>
                            </Popconfirm>
                        </Flex>
                    </>
                )}
            </Flex>
        </Modal>
    );
}
