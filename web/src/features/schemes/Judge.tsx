import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { judgeTestModel, type Scheme } from '../../api/colours';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

/** One model is finished first and settles the scheme. */
export function Judge({ scheme, done }: { scheme: Scheme; done: (next: Scheme) => void }) {
    const [form, setForm] = useState({ piece: scheme.tests[0]?.id ?? 0, note: '' });
    const judge = useMutation({
        mutationFn: (outcome: 'accepted' | 'rejected') =>
            judgeTestModel(scheme.slug, {
                outcome,
                note: form.note || null,
                piece: form.piece || null,
            }),
        onSuccess: done,
    });
    return (
        <Flex vertical gap={12}>
            <p className="soft m-0">
                Rejected, the scheme gets a new version to be changed, units that are not on the bench wait
                for it, and it is known what painting the test model again takes.
            </p>
            <Field label="Which model">
                <Pick
                    value={form.piece}
                    onChange={(piece) => setForm({ ...form, piece })}
                    options={[
                        { value: 0, label: 'none of those here' },
                        ...scheme.tests.map((t) => ({ value: t.id, label: t.name })),
                    ]}
                />
            </Field>
            <Field label="What is to be said of it">
                <Input.TextArea
                    rows={3}
                    value={form.note}
                    onChange={(e) => setForm({ ...form, note: e.target.value })}
                />
            </Field>
            {judge.isError && <Says kind="bad">{saysWhy(judge.error)}</Says>}
            <Flex gap={8}>
                <Button type="primary" disabled={judge.isPending} onClick={() => judge.mutate('accepted')}>
                    It settles the scheme
                </Button>
                <Button
                    danger
                    disabled={judge.isPending || form.note.trim() === ''}
                    onClick={() => judge.mutate('rejected')}
                >
                    Rejected
                </Button>
            </Flex>
        </Flex>
    );
}
