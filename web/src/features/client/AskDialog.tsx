import { Flex, Input, Modal, Button } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { OrderForClient } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { myName } from './name';
import { useAsking } from './useAsking';

/** Something that the client asks the studio. */
export function AskDialog({
    order,
    secret,
    close,
}: {
    order: OrderForClient;
    secret: string;
    close: () => void;
}) {
    const [name, setName] = useState(myName);
    const [text, setText] = useState('');
    const [unit, setUnit] = useState(0);
    const ask = useAsking(secret, close);
    return (
        <Modal open title={`Ask ${order.studio}`} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="About">
                    <Pick
                        value={unit}
                        onChange={setUnit}
                        options={[
                            { value: 0, label: 'all of it' },
                            ...order.units.map((u) => ({ value: u.id, label: `${u.count} × ${u.figure}` })),
                        ]}
                    />
                </Field>
                <Field label="What you would know">
                    <Input.TextArea
                        autoSize={{ minRows: 3 }}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                    />
                </Field>
                <Field label="Your name">
                    <Input autoComplete="name" value={name} onChange={(e) => setName(e.target.value)} />
                </Field>
                {ask.isError && <Says kind="bad">{saysWhy(ask.error)}</Says>}
                <Button
                    type="primary"
                    loading={ask.isPending}
                    disabled={text.trim() === '' || name.trim() === ''}
                    onClick={() => ask.mutate({ name, text, ...(unit === 0 ? {} : { unit }) })}
                >
                    Ask
                </Button>
            </Flex>
        </Modal>
    );
}
