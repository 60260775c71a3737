import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, ColorPicker, Form, Input, InputNumber, Segmented, Select } from 'antd';
import { Problem, saysWhy } from '../../api/client';
import { PAINTS, type ShelfPaint, shelvePaint } from '../../api/paints';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';
import { HIDING, KINDS } from './paint';

const NEW: ShelfPaint = { name: '', kind: 'opaque', hex: '#6a727a', hiding: 'medium', ml: 17 };
const options = <T extends string>(words: Record<T, string>) =>
    Object.entries<string>(words).map(([value, label]) => ({ value, label }));

/** One pot after another: what it is, stays for the next one. */
export function PaintForm() {
    const queries = useQueryClient();
    const notices = useNotices();
    const [form] = Form.useForm<ShelfPaint>();
    const shelve = useMutation({
        mutationFn: shelvePaint,
        onSuccess: async (paint) => {
            form.resetFields(['name']);
            notices.done(`${paint.name} is on the shelf.`);
            await queries.invalidateQueries({ queryKey: PAINTS });
        },
    });
    const why =
        shelve.error instanceof Problem
            ? shelve.error.body.errors.find((e) => e.pointer === '/name')?.detail
            : undefined;
    return (
        <Form<ShelfPaint>
            form={form}
            layout="vertical"
            requiredMark={false}
            initialValues={NEW}
            onFinish={(paint) => shelve.mutate(paint)}
        >
            <Form.Item
                name="name"
                label="What the pot says"
                rules={[{ required: true, max: 80, message: 'Its name, please.' }]}
                {...(why ? { validateStatus: 'error', help: why } : {})}
            >
                <Input autoFocus />
            </Form.Item>
            <Form.Item name="kind" label="Kind">
                <Select options={options(KINDS)} />
            </Form.Item>
            <Form.Item
                name="hex"
                label="Colour when dry"
                getValueFromEvent={(_: unknown, css: string) => css}
            >
                <ColorPicker showText disabledAlpha />
            </Form.Item>
            <Form.Item name="hiding" label="It covers">
                <Segmented options={options(HIDING)} />
            </Form.Item>
            <Form.Item name="ml" label="In the pot">
                <InputNumber min={0} max={10000} suffix="ml" />
            </Form.Item>
            {shelve.isError && why === undefined && (
                <Says kind="bad" className="mb-10">
                    {saysWhy(shelve.error)}
                </Says>
            )}
            <Button type="primary" htmlType="submit" loading={shelve.isPending}>
                Put it on the shelf
            </Button>
        </Form>
    );
}
