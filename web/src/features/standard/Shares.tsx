import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, InputNumber, Table, Typography } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { share as makeLink, sharesQuery, withdrawShare } from '../../api/standard';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';

/** Links to the sheet for somebody without an account. */
export function Shares({ sculpt, prices }: { sculpt: string; prices: boolean }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const [days, setDays] = useState(30);
    const links = useQuery(sharesQuery());
    const again = () => queries.invalidateQueries({ queryKey: sharesQuery().queryKey });
    const share = useMutation({ mutationFn: () => makeLink(sculpt, prices, days), onSuccess: again });
    const withdraw = useMutation({
        mutationFn: withdrawShare,
        onSuccess: again,
        onError: notices.failed,
    });
    return (
        <section className="card pad no-print" aria-label="Links for clients">
            <div className="eyebrow">Links for clients</div>
            <p className="small soft mt-4 mb-8">
                Whoever has the link sees this sheet and nothing else, without signing in, until it expires or
                you withdraw it.
            </p>
            <Flex gap={8} align="center" wrap>
                <span className="small soft">
                    Holds for{' '}
                    <InputNumber
                        min={1}
                        max={365}
                        precision={0}
                        value={days}
                        aria-label="days"
                        onChange={(n) => setDays(n ?? 1)}
                    />{' '}
                    days
                </span>
                <Button loading={share.isPending} onClick={() => share.mutate()}>
                    Make a link
                </Button>
            </Flex>
            {share.data && (
                <Says kind="good" className="mt-8">
                    Copy it now, it is not shown again:{' '}
                    <Typography.Text strong copyable>
                        {window.location.origin + share.data.path}
                    </Typography.Text>
                </Says>
            )}
            {share.isError && <Says kind="bad">{saysWhy(share.error)}</Says>}
            {(links.data?.data.length ?? 0) > 0 && (
                <Table
                    size="small"
                    className="mt-8"
                    showHeader={false}
                    pagination={false}
                    rowKey="id"
                    dataSource={links.data?.data ?? []}
                    columns={[
                        {
                            key: 'what',
                            render: (_, l) => `${l.sculpt}, v${l.version}${l.prices ? ', with prices' : ''}`,
                        },
                        {
                            key: 'until',
                            render: (_, l) =>
                                l.holds ? `until ${day(l.expires_at)}` : 'shows nothing any more',
                        },
                        {
                            key: 'act',
                            align: 'right',
                            render: (_, l) =>
                                l.holds && (
                                    <Button type="link" onClick={() => withdraw.mutate(l.id)}>
                                        Withdraw
                                    </Button>
                                ),
                        },
                    ]}
                />
            )}
        </section>
    );
}
