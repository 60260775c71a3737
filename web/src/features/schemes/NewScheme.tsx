import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import { makeScheme, schemeQuery, SCHEMES } from '../../api/colours';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import type { SchemeDocument } from './scheme';

/** No slug is written so. */
const SHELF = '*';

const NOTHING = { format: 'ordotype/scheme@1' as const, slots: {}, areas: {} };

/** A scheme of its own name, empty or with all the colours of another one. */
export function NewScheme({ others }: { others: { slug: string; name: string }[] }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const [name, setName] = useState('');
    const [from, setFrom] = useState('');
    const make = useMutation({
        mutationFn: async () => {
            const like = from === '' || from === SHELF ? null : await queries.query(schemeQuery(from, null));
            return makeScheme({
                document: { ...((like?.document as SchemeDocument | undefined) ?? NOTHING), name },
                fill: from === SHELF,
            });
        },
        onSuccess: async (s) => {
            await queries.invalidateQueries({ queryKey: SCHEMES });
            await go(`/schemes/${s.slug}`);
        },
    });
    return (
        <Form layout="vertical" className="stack" onFinish={() => make.mutate()}>
            <Field label="What it is called">
                <Input autoFocus value={name} onChange={(e) => setName(e.target.value)} />
            </Field>
            <Field label="Starts from">
                <Pick
                    value={from}
                    onChange={setFrom}
                    options={[
                        { value: '', label: 'no colours yet' },
                        { value: SHELF, label: 'what the shelf has for each slot' },
                        ...others.map((s) => ({ value: s.slug, label: `the colours of ${s.name}` })),
                    ]}
                />
            </Field>
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            <Button type="primary" htmlType="submit" disabled={make.isPending}>
                Make it
            </Button>
        </Form>
    );
}
