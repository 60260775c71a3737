import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { orderQuery, pasteLines } from '../../api/orders';
import type { Order } from '../../api/types';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';

/** Units written as lines: read first, then made, all or none. */
export function PasteLines({ order, close }: { order: Order; close: () => void }) {
    const queries = useQueryClient();
    const [text, setText] = useState('');
    const paste = useMutation({
        mutationFn: (keep: boolean) => pasteLines(order.id, text, keep),
        onSuccess: async (_, kept) => {
            if (!kept) return;
            await queries.invalidateQueries({ queryKey: orderQuery(order.id).queryKey });
            close();
        },
    });
    const read = paste.data?.lines ?? [];
    const isRead = paste.isSuccess && read.length > 0 && read.every((l) => l.wrong === null);
    const tier = (key: string | null) => order.tiers.find((t) => t.key === key)?.name;
    const figure = (slug: string | null) => order.sculpts.find((s) => s.slug === slug)?.name;
    const said = (l: (typeof read)[number]): string =>
        l.wrong
            ? `Line ${l.number}, “${l.text}”: ${l.wrong}`
            : [`${l.count} × ${figure(l.figure)}`, tier(l.tier), l.label, l.price && `${l.price} each`]
                  .filter(Boolean)
                  .join(', ');
    return (
        <Modal open title="Paste units as lines" footer={null} onCancel={close} width={600}>
            <Flex vertical gap={10}>
                <Field label="A line each: number, figure, tier; then a name and the price of a model, where there are">
                    <Input.TextArea
                        autoSize={{ minRows: 4 }}
                        placeholder="12 Sluice Warden, Company, First watch, 9.50"
                        value={text}
                        onChange={(e) => {
                            setText(e.target.value);
                            paste.reset();
                        }}
                    />
                </Field>
                {read.map((l) => (
                    <p key={l.number} className={`small m-0 ${l.wrong ? 'late' : ''}`}>
                        {said(l)}
                    </p>
                ))}
                {paste.isError && <Says kind="bad">{saysWhy(paste.error)}</Says>}
                <Button
                    type="primary"
                    loading={paste.isPending}
                    disabled={text.trim() === ''}
                    onClick={() => paste.mutate(isRead)}
                >
                    {isRead ? `Make ${read.length} units` : 'Read the lines'}
                </Button>
            </Flex>
        </Modal>
    );
}
