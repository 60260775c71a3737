import { useMutation } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Input, Modal, Upload } from 'antd';
import type { Dayjs } from 'dayjs';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { askClient, takePicture } from '../../api/orders';
import type { Order } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { useChange } from './change';
import { type Pin, Pinned } from './Pinned';
import { unitName } from './unitName';

/** A question to the client, with a picture and a pin on it where that says it better. */
export function Ask({ order, close }: { order: Order; close: () => void }) {
    const [text, setText] = useState('');
    const [unit, setUnit] = useState(0);
    const [blocks, setBlocks] = useState(false);
    const [until, setUntil] = useState<Dayjs | null>(null);
    const [pin, setPin] = useState<Pin | null>(null);
    const take = useMutation({ mutationFn: takePicture, onSuccess: () => setPin(null) });
    const picture = take.data?.sha256 ?? null;
    const ask = useChange(
        order.id,
        () =>
            askClient(order.id, {
                text,
                blocks,
                unit: unit === 0 ? null : unit,
                waits_until: blocks ? (until?.format('YYYY-MM-DD') ?? null) : null,
                picture,
                pin: picture === null ? null : pin,
            }),
        close,
    );
    return (
        <Modal open title="Ask the client something" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="The question">
                    <Input.TextArea
                        autoSize={{ minRows: 2 }}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                    />
                </Field>
                <Field label="What it is about">
                    <Pick
                        value={unit}
                        onChange={setUnit}
                        options={[
                            { value: 0, label: 'the whole order' },
                            ...order.units.map((u) => ({ value: u.id, label: unitName(order, u.id) ?? '' })),
                        ]}
                    />
                </Field>
                {picture && <Pinned sha={picture} pin={pin} set={setPin} />}
                <Upload
                    accept="image/png,image/jpeg,image/webp"
                    showUploadList={false}
                    pastable
                    beforeUpload={(file) => {
                        take.mutate(file);
                        return false;
                    }}
                >
                    <Button loading={take.isPending}>{picture ? 'Another picture' : 'Show a picture'}</Button>
                </Upload>
                {picture && <p className="small soft m-0">Press the place in the picture that is meant.</p>}
                <Checkbox checked={blocks} onChange={(e) => setBlocks(e.target.checked)}>
                    It stays off the bench until this is answered
                </Checkbox>
                {blocks && (
                    <Field label="It can wait until">
                        <Day value={until} onChange={setUntil} />
                    </Field>
                )}
                {(ask.isError || take.isError) && <Says kind="bad">{saysWhy(ask.error ?? take.error)}</Says>}
                <Button
                    type="primary"
                    loading={ask.isPending}
                    disabled={text.trim() === ''}
                    onClick={() => ask.mutate(undefined)}
                >
                    Note the question
                </Button>
            </Flex>
        </Modal>
    );
}
