import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, InputNumber, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { addUnit, orderQuery } from '../../api/orders';
import { costsQuery } from '../../api/quotes';
import type { Order } from '../../api/types';
import { useNotices } from '../../app/notices';
import { Field } from '../../ui/Field';
import { money } from '../../ui/money';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

/** What a model is sold for there, and whether that is below what it costs. */
function TierCost({ sculpt, tier }: { sculpt: string; tier: string }) {
    const query = useQuery(costsQuery(sculpt));
    const row = query.data?.data.find((r) => r.tier === tier);
    if (!row?.price || !query.data) return null;
    return (
        <p className="small m-0">
            <b className="num">{money(row.price, query.data.currency)}</b> a model
            {row.ceiling !== row.price && `, at most ${money(row.ceiling ?? '0', query.data.currency)}`}
            {row.below_cost && <span className="late"> · below cost</span>}
        </p>
    );
}

export function AddUnit({ order, open, close }: { order: Order; open: boolean; close: () => void }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const tiers = order.tiers.filter((t) => t.status !== 'retired');
    const [unit, setUnit] = useState({
        sculpt: order.sculpts[0]?.slug ?? '',
        tier: tiers[0]?.key ?? '',
        count: 5,
    });
    const name = order.sculpts.find((s) => s.slug === unit.sculpt)?.name ?? '';
    const add = useMutation({
        mutationFn: async (another: boolean) => {
            await addUnit(order.id, unit);
            return another;
        },
        onSuccess: async (another) => {
            await queries.invalidateQueries({ queryKey: orderQuery(order.id).queryKey });
            if (another) notices.done(`Added: ${unit.count} × ${name}.`);
            else close();
        },
    });
    return (
        <Modal open={open} title="Add a unit" footer={null} onCancel={close} destroyOnHidden>
            <Flex vertical gap={10}>
                <Field label="Figure">
                    <Pick
                        value={unit.sculpt}
                        onChange={(sculpt) => setUnit({ ...unit, sculpt })}
                        options={order.sculpts.map((s) => ({ value: s.slug, label: s.name }))}
                    />
                </Field>
                <Field label="Tier">
                    <Pick
                        value={unit.tier}
                        onChange={(tier) => setUnit({ ...unit, tier })}
                        options={tiers.map((t) => ({ value: t.key, label: t.name }))}
                    />
                </Field>
                <TierCost sculpt={unit.sculpt} tier={unit.tier} />
                <Field label="How many models">
                    <InputNumber
                        min={1}
                        max={500}
                        precision={0}
                        value={unit.count}
                        onChange={(count) => setUnit({ ...unit, count: count ?? 1 })}
                    />
                </Field>
                {add.isError && <Says kind="bad">{saysWhy(add.error)}</Says>}
                <Flex gap={8}>
                    <Button
                        type="primary"
                        className="grow"
                        loading={add.isPending}
                        onClick={() => add.mutate(false)}
                    >
                        Add the unit
                    </Button>
                    <Button disabled={add.isPending} onClick={() => add.mutate(true)}>
                        Add it, and another
                    </Button>
                </Flex>
            </Flex>
        </Modal>
    );
}
