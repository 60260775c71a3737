import { useMutation, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { Button, Flex, InputNumber, Typography } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../api/client';
import { withdrawShare } from '../api/standard';
import { useLinkBase } from '../app/session';
import { Says } from './Says';
import { day } from './when';

/** A link that was just made. */
export function NewLink({ path }: { path: string }) {
    const base = useLinkBase();
    return (
        <Says kind="good" className="mt-8">
            Copy it now, it is not shown again:{' '}
            <Typography.Text strong copyable>
                {base + path}
            </Typography.Text>
        </Says>
    );
}

/** Makes a link that holds for some days. */
export function MakeLink({
    button,
    label,
    first,
    make,
    kept,
}: {
    button: string;
    /** Of the field for the days. */
    label: string;
    first: number;
    make: (days: number) => Promise<{ path: string }>;
    /** The list that it is in from then on. */
    kept: QueryKey;
}) {
    const queries = useQueryClient();
    const [days, setDays] = useState(first);
    const link = useMutation({
        mutationFn: () => make(days),
        onSuccess: () => queries.invalidateQueries({ queryKey: kept }),
    });
    return (
        <>
            <Flex gap={8} align="center" wrap>
                <span className="small soft">
                    Holds for{' '}
                    <InputNumber
                        min={1}
                        max={365}
                        precision={0}
                        value={days}
                        aria-label={label}
                        onChange={(n) => setDays(n ?? 1)}
                    />{' '}
                    days
                </span>
                <Button loading={link.isPending} onClick={() => link.mutate()}>
                    {button}
                </Button>
            </Flex>
            {link.data && <NewLink path={link.data.path} />}
            {link.isError && <Says kind="bad">{saysWhy(link.error)}</Says>}
        </>
    );
}

/** Links that were made, each of which can be withdrawn. */
export function MadeLinks({
    links,
    kept,
}: {
    links: { id: number; says: string; holds: boolean; expires_at: string; ends?: string }[];
    kept: QueryKey;
}) {
    const queries = useQueryClient();
    const withdraw = useMutation({
        mutationFn: withdrawShare,
        onSuccess: () => queries.invalidateQueries({ queryKey: kept }),
    });
    return (
        <>
            {links.map((l) => (
                <Flex key={l.id} gap={8} align="center" justify="space-between" className="small mt-8">
                    <span>
                        {l.says}:{' '}
                        {l.holds ? (l.ends ?? `until ${day(l.expires_at)}`) : 'shows nothing any more'}
                    </span>
                    {l.holds && (
                        <Button type="link" size="small" onClick={() => withdraw.mutate(l.id)}>
                            Withdraw
                        </Button>
                    )}
                </Flex>
            ))}
            {withdraw.isError && <Says kind="bad">{saysWhy(withdraw.error)}</Says>}
        </>
    );
}
