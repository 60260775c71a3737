import { Button, Checkbox, Flex, Input, InputNumber, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { receiveUnit } from '../../api/orders';
import type { Order } from '../../api/types';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { useChange } from './change';

type Found = NonNullable<Order['life']['received'][number]['found']>;

const LINE = /^\s*(\d+)\s*[:,]?\s*(\S.*)$/;
const linesOf = (text: string) => text.split('\n').filter((line) => line.trim() !== '');

/** “2: left arm” is the left arm of model 2. */
const readMissing = (text: string) =>
    linesOf(text)
        .map((line) => LINE.exec(line))
        .filter((m) => m !== null)
        .map((m) => ({ piece: Number(m[1]), part: (m[2] ?? '').trim() }));

/** What came in of a unit: how many, how they are, what is missing, where they lie. */
export function Receive({ order, close }: { order: Order; close: () => void }) {
    const first = order.life.received.find((r) => r.found === null) ?? order.life.received[0];
    const [id, setId] = useState(first?.unit ?? 0);
    const now = order.life.received.find((r) => r.unit === id);
    const unit = order.units.find((u) => u.id === id);
    return (
        <Modal open title="Receive models" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="Unit">
                    <Pick
                        value={id}
                        onChange={setId}
                        options={order.units.map((u) => ({
                            value: u.id,
                            label: `${u.pieces.length} × ${u.sculpt}${u.label ? `, ${u.label}` : ''}`,
                        }))}
                    />
                </Field>
                {unit && (
                    <Form
                        key={id}
                        order={order}
                        unit={id}
                        models={unit.pieces.length}
                        found={now?.found ?? null}
                        revision={now?.revision ?? 0}
                        close={close}
                    />
                )}
            </Flex>
        </Modal>
    );
}

function Form({
    order,
    unit,
    models,
    found,
    revision,
    close,
}: {
    order: Order;
    unit: number;
    models: number;
    found: Found | null;
    revision: number;
    close: () => void;
}) {
    const [count, setCount] = useState(found?.count ?? models);
    const [built, setBuilt] = useState(found?.built ?? false);
    const [missing, setMissing] = useState(
        (found?.missing ?? []).map((m) => `${m.piece}: ${m.part}`).join('\n'),
    );
    const [text, setText] = useState({
        state: found?.state ?? '',
        spares: found?.spares ?? '',
        base: found?.base ?? '',
        lies: found?.lies ?? '',
    });
    const keep = useChange(
        order.id,
        () =>
            receiveUnit(unit, {
                revision,
                count,
                built,
                missing: readMissing(missing),
                state: text.state || null,
                spares: text.spares || null,
                base: text.base || null,
                lies: text.lies || null,
            }),
        close,
    );
    const unread = linesOf(missing).find((line) => !LINE.test(line));
    const line = (fact: keyof typeof text, label: string) => (
        <Field label={label}>
            <Input value={text[fact]} onChange={(e) => setText({ ...text, [fact]: e.target.value })} />
        </Field>
    );
    return (
        <>
            <Field label="How many came">
                <InputNumber
                    min={0}
                    max={500}
                    precision={0}
                    value={count}
                    onChange={(n) => setCount(n ?? 0)}
                />
            </Field>
            <Checkbox checked={built} onChange={(e) => setBuilt(e.target.checked)}>
                They are built
            </Checkbox>
            <Field label="What is missing, a line each: number of the model, the part">
                <Input.TextArea
                    autoSize={{ minRows: 2 }}
                    placeholder="1: the arm with the lantern"
                    value={missing}
                    onChange={(e) => setMissing(e.target.value)}
                />
            </Field>
            {line('state', 'How they are')}
            {line('spares', 'Spares, in a labelled bag')}
            {line('base', 'Bases')}
            {line('lies', 'Where they lie')}
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
            {unread !== undefined && (
                <Says kind="warn">“{unread}” does not begin with the number of a model.</Says>
            )}
            <Button
                type="primary"
                loading={keep.isPending}
                disabled={unread !== undefined}
                onClick={() => keep.mutate(undefined)}
            >
                They are here
            </Button>
        </>
    );
}
