import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { Field } from '../../ui/Field';

/** Something that is only done with a reason. */
export function Reason({
    label,
    give,
    leave,
}: {
    label: string;
    give: (text: string) => void;
    leave: () => void;
}) {
    const [text, setText] = useState('');
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                if (text.trim()) give(text);
            }}
        >
            <Field label={label}>
                <Input
                    autoFocus
                    value={text}
                    onChange={(e) => setText(e.target.value)}
                    onKeyDown={(e) => {
                        if (e.key === 'Escape') leave();
                    }}
                />
            </Field>
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={!text.trim()}>
                    Keep
                </Button>
                <Button onClick={leave}>Leave it</Button>
            </Flex>
        </Form>
    );
}
