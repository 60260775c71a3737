import { Button, Flex, Input, Table } from 'antd';
import { useState } from 'react';
import type { Ladder, Price } from '../../api/types';
import { useNotices } from '../../app/notices';
import { Top } from '../../app/Top';
import { Pick } from '../../ui/Pick';
import { Costs } from './Costs';
import { useDraft } from './draft';
import { StandardTabs } from './StandardTabs';
import { plain, valuesOf } from './words';

interface Kind {
    size: string;
    role: string;
}

export function Prices({ ladder, prices }: { ladder: Ladder; prices: Price[] }) {
    const draft = useDraft(useNotices());
    const [more, setMore] = useState<Kind>({ size: 'infantry', role: 'regular' });
    const writes = ladder.editable && ladder.version.status === 'draft';
    const tiers = ladder.tiers.filter((t) => t.status !== 'retired');
    const priceOf = (kind: Kind, tier: string) =>
        prices.find((p) => p.tier === tier && p.size === kind.size && p.role === kind.role) ?? null;
    const priced: Kind[] = valuesOf('size')
        .flatMap((size) => valuesOf('role').map((role) => ({ size, role })))
        .filter((k) => prices.some((p) => p.size === k.size && p.role === k.role));
    const isNew = !priced.some((k) => k.size === more.size && k.role === more.role);
    const put = (was: Price | null, key: Kind & { tier: string }, low: string, high: string) => {
        if (low === (was?.low ?? '') && high === (was?.high ?? '')) return;
        const after = low === '' ? null : { ...key, low, high: high === '' ? null : high };
        if (was || after) void draft.make([{ what: 'price', tier: null, before: was && { ...was }, after }]);
    };
    return (
        <>
            <Top>
                <h1>Prices</h1>
                <span className="pill">
                    v{ladder.version.number}, {ladder.version.status}
                </span>
                <span className="room" />
                {writes && (
                    <Button disabled={draft.busy || !draft.canUndo} onClick={() => void draft.undo()}>
                        Undo
                    </Button>
                )}
            </Top>
            <StandardTabs />
            <div className="page">
                <p className="soft mt-0">
                    {ladder.currency} for each model, low to high; no upper end reads “and up”.{' '}
                    {writes
                        ? 'An empty low end takes the range out.'
                        : 'Open a draft on the ladder to change them.'}
                </p>
                <Table
                    className="card prices"
                    pagination={false}
                    scroll={{ x: 'max-content' }}
                    rowKey={(k) => `${k.size} ${k.role}`}
                    dataSource={[...priced, ...(writes && isNew ? [more] : [])]}
                    columns={[
                        {
                            title: 'Model',
                            rowScope: 'row',
                            render: (_, k) => `${plain(k.size)}, ${plain(k.role)}`,
                        },
                        ...tiers.map((t) => ({
                            key: t.key,
                            title: t.name,
                            className: 'num',
                            render: (_: unknown, k: Kind) => {
                                const p = priceOf(k, t.key);
                                return writes ? (
                                    <PriceCell
                                        key={`${p?.low ?? ''} ${p?.high ?? ''}`}
                                        price={p}
                                        name={`${k.size} ${k.role} at ${t.name}`}
                                        put={(low, high) => put(p, { ...k, tier: t.key }, low, high)}
                                    />
                                ) : (
                                    <Range price={p} />
                                );
                            },
                        })),
                    ]}
                />
                {writes && (
                    <Flex gap={8} align="center" className="small soft mt-12">
                        Another row:
                        <Pick
                            aria-label="size"
                            value={more.size}
                            onChange={(size) => setMore({ ...more, size })}
                            options={valuesOf('size').map((s) => ({ value: s, label: plain(s) }))}
                        />
                        <Pick
                            aria-label="role"
                            value={more.role}
                            onChange={(role) => setMore({ ...more, role })}
                            options={valuesOf('role').map((s) => ({ value: s, label: plain(s) }))}
                        />
                    </Flex>
                )}
                {ladder.version.status !== 'draft' && <Costs ladder={ladder} />}
            </div>
        </>
    );
}

function Range({ price }: { price: Price | null }) {
    if (price === null) return <span className="soft">·</span>;
    return <>{`${price.low}${price.high ? `–${price.high}` : ' and up'}`}</>;
}

function PriceCell({
    price,
    name,
    put,
}: {
    price: Price | null;
    name: string;
    put: (low: string, high: string) => void;
}) {
    const [low, setLow] = useState(price?.low ?? '');
    const [high, setHigh] = useState(price?.high ?? '');
    return (
        <Flex
            gap={2}
            align="center"
            onBlur={(e) => {
                if (!e.currentTarget.contains(e.relatedTarget)) put(low.trim(), high.trim());
            }}
        >
            <Input
                size="small"
                className="price"
                aria-label={`${name}, low`}
                value={low}
                onChange={(e) => setLow(e.target.value)}
            />
            –
            <Input
                size="small"
                className="price"
                aria-label={`${name}, high`}
                placeholder="and up"
                value={high}
                onChange={(e) => setHigh(e.target.value)}
            />
        </Flex>
    );
}
