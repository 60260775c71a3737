import { Button, Flex, Modal } from 'antd';
import { useState } from 'react';
import type { OrderForClient } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { useAsking } from './useAsking';
import { useWords, Words } from './Words';

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
    const words = useWords();
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
                <Words label="What you would know" rows={3} words={words} refused={ask}>
                    <Button
                        type="primary"
                        loading={ask.isPending}
                        disabled={words.isEmpty || !words.isNamed}
                        onClick={() =>
                            ask.mutate({
                                name: words.name,
                                text: words.text,
                                ...(unit === 0 ? {} : { unit }),
                            })
                        }
                    >
                        Ask
                    </Button>
                </Words>
            </Flex>
        </Modal>
    );
}
