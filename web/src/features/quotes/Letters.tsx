import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Flex, Input, Typography } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { lettersQuery, type Quote, sendLetter } from '../../api/quotes';
import { shareOrder } from '../../api/orders';
import { useNotices } from '../../app/notices';
import { useLinkBase } from '../../app/session';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';

/** Words to the client, prepared: to copy, or to a mailer where one is set up. Nothing is sent unasked. */
export function Letters({ quote }: { quote: Quote }) {
    const letters = useQuery(lettersQuery(quote.order.id, quote.order.revision));
    const base = useLinkBase();
    const page = useMutation({ mutationFn: () => shareOrder(quote.order.id) });
    const address = page.data ? base + page.data.path : null;
    const found = letters.data;
    return (
        <section className="card pad" aria-label="Words to the client">
            <div className="eyebrow">Words to the client</div>
            <p className="small soft my-6">Prepared to be read, changed and sent by you.</p>
            {address ? (
                <Typography.Paragraph className="small" copyable={{ text: address }}>
                    The client’s page: {address}
                </Typography.Paragraph>
            ) : (
                <Button size="small" loading={page.isPending} onClick={() => page.mutate()}>
                    Make the address of the client’s page
                </Button>
            )}
            {page.isError && <Says kind="bad">{saysWhy(page.error)}</Says>}
            {letters.isError && <Says kind="bad">{saysWhy(letters.error)}</Says>}
            {found?.data.length === 0 && <p className="soft my-6">There is nothing to write about now.</p>}
            {found?.data.map((l) => (
                <Letter
                    key={l.about + (address ?? '')}
                    order={quote.order.id}
                    about={l.about}
                    subject={l.subject}
                    text={address ? l.text.replaceAll(found.page, address) : l.text}
                    to={/[^\s,;<>]+@[^\s,;<>]+/.exec(found.reach ?? '')?.[0] ?? ''}
                    maySend={found.may_send}
                />
            ))}
        </section>
    );
}

function Letter({
    order,
    about,
    subject,
    text,
    to,
    maySend,
}: {
    order: number;
    about: string;
    subject: string;
    text: string;
    to: string;
    maySend: boolean;
}) {
    const notices = useNotices();
    const [words, setWords] = useState(text);
    const [whom, setWhom] = useState(to);
    const [opened, setOpened] = useState(false);
    const send = useMutation({
        mutationFn: () => sendLetter(order, { to: whom, subject, text: words }),
        onSuccess: () => notices.done('Sent.'),
    });
    if (!opened)
        return (
            <Button type="link" className="m-0" onClick={() => setOpened(true)}>
                {about}
            </Button>
        );
    return (
        <Flex vertical gap={6} className="my-6">
            <Field label={subject}>
                <Input.TextArea
                    autoSize={{ minRows: 6 }}
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                />
            </Field>
            <Flex gap={8} align="center" wrap>
                <Typography.Text copyable={{ text: words, tooltips: ['Copy the words', 'Copied'] }}>
                    Copy
                </Typography.Text>
                <a
                    href={`mailto:${whom}?subject=${encodeURIComponent(subject)}&body=${encodeURIComponent(words)}`}
                >
                    In your mail program
                </a>
            </Flex>
            {maySend && (
                <Flex gap={8} align="end">
                    <Field label="To">
                        <Input type="email" value={whom} onChange={(e) => setWhom(e.target.value)} />
                    </Field>
                    <Button loading={send.isPending} disabled={whom === ''} onClick={() => send.mutate()}>
                        Send it
                    </Button>
                </Flex>
            )}
            {send.isError && <Says kind="bad">{saysWhy(send.error)}</Says>}
        </Flex>
    );
}
