import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input, Modal } from 'antd';
import type { Dayjs } from 'dayjs';
import { useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import { openOrder, ORDERS } from '../../api/orders';
import { Day } from '../../ui/Day';
import { Says } from '../../ui/Says';

interface Asked {
    client: string;
    title: string;
    due_on?: Dayjs | null;
    brief?: string;
}

export function NewOrder({ open, close }: { open: boolean; close: () => void }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const make = useMutation({
        mutationFn: (asked: Asked) =>
            openOrder({
                client: asked.client,
                title: asked.title,
                due_on: asked.due_on?.format('YYYY-MM-DD') ?? null,
                brief: asked.brief ?? null,
            }),
        onSuccess: async (order) => {
            await queries.invalidateQueries({ queryKey: ORDERS });
            close();
            await go(`/orders/${order.id}`);
        },
    });
    return (
        <Modal open={open} title="New order" footer={null} onCancel={close} destroyOnHidden>
            <Form<Asked> layout="vertical" requiredMark={false} onFinish={(asked) => make.mutate(asked)}>
                <Form.Item
                    name="client"
                    label="Client"
                    rules={[{ required: true, whitespace: true, message: 'Whose order is it?' }]}
                >
                    <Input />
                </Form.Item>
                <Form.Item
                    name="title"
                    label="What it is called"
                    rules={[{ required: true, whitespace: true, message: 'Give it a name to be found by.' }]}
                >
                    <Input />
                </Form.Item>
                <Form.Item name="due_on" label="Due on">
                    <Day />
                </Form.Item>
                <Form.Item name="brief" label="Brief: what it is for, what the client expects">
                    <Input.TextArea rows={3} />
                </Form.Item>
                {make.isError && (
                    <Says kind="bad" className="mb-12">
                        {saysWhy(make.error)}
                    </Says>
                )}
                <Button type="primary" htmlType="submit" block loading={make.isPending}>
                    Open the order
                </Button>
            </Form>
        </Modal>
    );
}
