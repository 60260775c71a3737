import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { answerQuote, type QuoteVersion } from '../../api/quotes';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { myName, keepMyName } from './name';
import { priceWords } from './PriceOf';

/** The client's yes, or their no, to one version. */
export function AcceptDialog({
    quote: q,
    secret,
    ticks,
    yes,
    close,
}: {
    quote: QuoteVersion;
    secret: string;
    ticks: string[];
    yes: boolean;
    close: () => void;
}) {
    const queries = useQueryClient();
    const [name, setName] = useState(myName);
    const [ofAge, setOfAge] = useState(false);
    const [reason, setReason] = useState('');
    const answer = useMutation({
        mutationFn: () =>
            answerQuote(
                secret,
                yes
                    ? { version: q.number, yes, name, ticks, of_age: ofAge }
                    : { version: q.number, yes, name, reason: reason || null },
            ),
        onSuccess: async () => {
            keepMyName(name);
            close();
            await queries.invalidateQueries({ queryKey: ['client-page'] });
        },
    });
    return (
        <Modal open title={yes ? 'Say yes to it' : 'No, thank you'} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                {yes && (
                    <p className="m-0">
                        You order what is on this page at <b>{priceWords(q)}</b>
                        {q.is_fixed ? '.' : ' unless you change something.'} The studio is told, and keeps
                        your name and the time.
                    </p>
                )}
                <Field label="Your name">
                    <Input autoComplete="name" value={name} onChange={(e) => setName(e.target.value)} />
                </Field>
                {yes ? (
                    <Checkbox checked={ofAge} onChange={(e) => setOfAge(e.target.checked)}>
                        I am of age, or a parent agrees
                    </Checkbox>
                ) : (
                    <Field label="What is not right about it, if you like to say">
                        <Input.TextArea
                            autoSize={{ minRows: 2 }}
                            value={reason}
                            onChange={(e) => setReason(e.target.value)}
                        />
                    </Field>
                )}
                {answer.isError && <Says kind="bad">{saysWhy(answer.error)}</Says>}
                <Button
                    type="primary"
                    size="large"
                    danger={!yes}
                    loading={answer.isPending}
                    disabled={name.trim() === '' || (yes && !ofAge)}
                    onClick={() => answer.mutate()}
                >
                    {yes ? `Accept, ${priceWords(q)}` : 'Refuse this quote'}
                </Button>
            </Flex>
        </Modal>
    );
}
