import { Flex, Input } from 'antd';
import { type ReactNode, useState } from 'react';
import { saysWhy } from '../../api/client';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { myName } from './name';

/** What a client has typed, and under which name. */
export function useWords() {
    const [name, setName] = useState(myName);
    const [text, setText] = useState('');
    return { name, setName, text, setText, isNamed: name.trim() !== '', isEmpty: text.trim() === '' };
}

/** A client's words with their name, why they did not go out, and what to do with them. */
export function Words({
    label,
    rows,
    words: w,
    refused,
    children,
}: {
    label: string;
    rows: number;
    words: ReturnType<typeof useWords>;
    refused: { isError: boolean; error: Error | null };
    children: ReactNode;
}) {
    return (
        <Flex vertical gap={8}>
            <Field label={label}>
                <Input.TextArea
                    autoSize={{ minRows: rows }}
                    value={w.text}
                    onChange={(e) => w.setText(e.target.value)}
                />
            </Field>
            <Field label="Your name">
                <Input autoComplete="name" value={w.name} onChange={(e) => w.setName(e.target.value)} />
            </Field>
            {refused.isError && <Says kind="bad">{saysWhy(refused.error)}</Says>}
            {children}
        </Flex>
    );
}
