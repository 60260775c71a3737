import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input, InputNumber, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { changePaint, type ShelfPaint } from '../../api/paints';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';

/** What a pot costs and holds, and how much is left of it. */
export function PotForm({ paint, close }: { paint: ShelfPaint; close: () => void }) {
    const queries = useQueryClient();
    const [price, setPrice] = useState(paint.price ?? '');
    const [pot, setPot] = useState(paint.pot_ml ?? 17);
    const [left, setLeft] = useState(paint.ml);
    const keep = useMutation({
        mutationFn: () => changePaint(paint.id ?? 0, { price: price.trim() || null, pot_ml: pot, ml: left }),
        onSuccess: async () => {
            close();
            await queries.invalidateQueries();
        },
    });
    return (
        <Modal open title={paint.name} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="A pot costs" help="Empty: nothing is counted for it in what a model costs.">
                    <Input value={price} onChange={(e) => setPrice(e.target.value)} />
                </Field>
                <Flex gap={10}>
                    <Field label="A full pot holds, ml">
                        <InputNumber min={0.1} max={10000} value={pot} onChange={(n) => setPot(n ?? 17)} />
                    </Field>
                    <Field label="There is left, ml">
                        <InputNumber min={0} max={10000} value={left} onChange={(n) => setLeft(n ?? 0)} />
                    </Field>
                </Flex>
                {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
                <Button type="primary" loading={keep.isPending} onClick={() => keep.mutate()}>
                    Keep it
                </Button>
            </Flex>
        </Modal>
    );
}
