import { Button, Flex, Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';

/** What should be there before a unit goes to the bench, and the reason why it goes without. */
export function Missing({
    missing,
    busy,
    go,
    close,
}: {
    missing: string[];
    busy: boolean;
    go: (why: string) => void;
    close: () => void;
}) {
    const [why, setWhy] = useState('');
    return (
        <Modal open title="Before it goes to the bench" footer={null} width={560} onCancel={close}>
            <Form layout="vertical" className="stack" onFinish={() => go(why.trim())}>
                {missing.map((m) => (
                    <Says kind="warn" key={m}>
                        {m}
                    </Says>
                ))}
                <Field label="Why it goes all the same (kept with the release)">
                    <Input autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
                </Field>
                <Flex gap={8} justify="flex-end">
                    <Button onClick={close}>Not yet</Button>
                    <Button type="primary" htmlType="submit" disabled={busy || why.trim() === ''}>
                        Release all the same
                    </Button>
                </Flex>
            </Form>
        </Modal>
    );
}
