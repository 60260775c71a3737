import { Button, Flex, List } from 'antd';
import { useState } from 'react';
import { Says } from '../../ui/Says';
import { time } from '../../ui/when';
import type { Tap } from './taps';

/** Taps that wait for a connection, and those that the server would not have: none is lost, none goes out twice. */
export function KeptTaps({
    waiting,
    refused,
    since,
    forget,
}: {
    waiting: Tap[];
    refused: (Tap & { why: string })[];
    since: string | null;
    forget: (key: string) => void;
}) {
    const [open, setOpen] = useState(false);
    const [oldest] = waiting;
    return (
        <>
            {since !== null && oldest && (
                <Says kind="warn">
                    <Flex gap={8} align="baseline" wrap>
                        <b>No connection since {time(since)}.</b>
                        <span>
                            Go on painting: {waiting.length} {waiting.length === 1 ? 'tap is' : 'taps are'}{' '}
                            kept on this device, in order, and go out once. {survives()}
                        </span>
                        <Button size="small" onClick={() => setOpen(!open)}>
                            {open ? 'Hide them' : 'Show them'}
                        </Button>
                    </Flex>
                    {open && (
                        <List
                            size="small"
                            dataSource={waiting}
                            renderItem={(t) => (
                                <List.Item>
                                    {time(t.at)} {t.words}
                                    {t.done ? '' : ', taken back'}
                                </List.Item>
                            )}
                        />
                    )}
                </Says>
            )}
            {refused.map((t) => (
                <Says kind="bad" key={t.key}>
                    {time(t.at)} {t.words}: {t.why}{' '}
                    <Button size="small" onClick={() => forget(t.key)}>
                        I have seen it
                    </Button>
                </Says>
            ))}
        </>
    );
}

/** Over https the page itself comes back without a connection; else only what was tapped does. */
const survives = (): string =>
    'serviceWorker' in navigator && navigator.serviceWorker.controller !== null
        ? 'This page can be loaded anew meanwhile.'
        : 'Do not load this page anew until the connection is back.';
