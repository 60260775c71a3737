import { useQuery } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { api } from '../../api/client';
import type { Change, Ladder } from '../../api/types';
import { Top } from '../../app/Frame';
import { Failed, Loading } from '../../ui/states';
import { NoLadder } from './NoLadder';
import { useDraft } from './draft';
import { StandardTabs } from './StandardTabs';
import { plain, valuesOf } from './words';

interface Price {
    size: string;
    role: string;
    tier: string;
    low: string;
    high: string | null;
}

/** What a model costs the client, by size, role and tier; "and up" where there is no upper end. */
export default function PricesPage() {
    const { message } = App.useApp();
    const draft = useDraft((text) => void message.info(text));
    const ladder = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    const number = ladder.data?.version.number;
    const file = useQuery({
        queryKey: ['standard', 'file', number, ladder.data?.version.revision],
        queryFn: () => api.get<{ prices: Price[] }>(`standard/versions/${number ?? 0}/export`),
        enabled: number !== undefined,
        placeholderData: (b) => b,
    });
    const [row, setRow] = useState({ size: 'infantry', role: 'regular' });
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    if (file.isError) return <Failed error={file.error} again={() => void file.refetch()} />;
    if (ladder.isPending || file.isPending) return <Loading what="the prices" />;
    const writes = ladder.data.editable && ladder.data.version.status === 'draft';
    const tiers = ladder.data.tiers.filter((t) => t.status !== 'retired');
    const prices = file.data.prices;
    const rows = valuesOf('size')
        .flatMap((size) => valuesOf('role').map((role) => ({ size, role })))
        .filter((r) => prices.some((p) => p.size === r.size && p.role === r.role));
    const make = (before: Price | null, after: Price | null) =>
        void draft.make([
            {
                what: 'price',
                tier: null,
                before: before && { ...before },
                after: after && { ...after },
            } satisfies Change,
        ]);
    const put = (
        p: Price | null,
        key: { size: string; role: string; tier: string },
        low: string,
        high: string,
    ) => {
        if (low === (p?.low ?? '') && high === (p?.high ?? '')) return;
        if (low === '') {
            if (p) make(p, null);
            return;
        }
        make(p, { ...key, low, high: high === '' ? null : high });
    };
    return (
        <>
            <Top>
                <h1>Prices</h1>
                <span className="pill">
                    v{number}, {ladder.data.version.status}
                </span>
                <span className="room" />
                {writes && (
                    <button
                        className="btn"
                        disabled={draft.busy || !draft.canUndo()}
                        onClick={() => void draft.undo()}
                    >
                        Undo
                    </button>
                )}
            </Top>
            <StandardTabs />
            <div className="page">
                <p className="soft" style={{ marginTop: 0 }}>
                    {ladder.data.currency} for each model, low to high; no upper end reads “and up”.{' '}
                    {writes
                        ? 'An empty low end takes the range out.'
                        : 'Open a draft on the ladder to change them.'}
                </p>
                <div className="card" style={{ overflow: 'auto' }}>
                    <table className="plain">
                        <thead>
                            <tr>
                                <th>Model</th>
                                {tiers.map((t) => (
                                    <th key={t.key}>{t.name}</th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {[
                                ...rows,
                                ...(writes && !rows.some((r) => r.size === row.size && r.role === row.role)
                                    ? [row]
                                    : []),
                            ].map((r) => (
                                <tr key={`${r.size} ${r.role}`}>
                                    <th scope="row">
                                        {plain(r.size)}, {r.role}
                                    </th>
                                    {tiers.map((t) => {
                                        const p =
                                            prices.find(
                                                (x) =>
                                                    x.tier === t.key &&
                                                    x.size === r.size &&
                                                    x.role === r.role,
                                            ) ?? null;
                                        return (
                                            <td key={t.key} className="num">
                                                {writes ? (
                                                    <PriceCell
                                                        key={`${p?.low ?? ''} ${p?.high ?? ''}`}
                                                        price={p}
                                                        name={`${r.size} ${r.role} at ${t.name}`}
                                                        put={(low, high) =>
                                                            put(p, { ...r, tier: t.key }, low, high)
                                                        }
                                                    />
                                                ) : p ? (
                                                    `${p.low}${p.high ? `–${p.high}` : ' and up'}`
                                                ) : (
                                                    <span className="soft">·</span>
                                                )}
                                            </td>
                                        );
                                    })}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
                {writes && (
                    <p className="small soft">
                        Another row:{' '}
                        <select
                            className="btn"
                            aria-label="size"
                            value={row.size}
                            onChange={(e) => setRow({ ...row, size: e.target.value })}
                        >
                            {valuesOf('size').map((s) => (
                                <option key={s}>{s}</option>
                            ))}
                        </select>{' '}
                        <select
                            className="btn"
                            aria-label="role"
                            value={row.role}
                            onChange={(e) => setRow({ ...row, role: e.target.value })}
                        >
                            {valuesOf('role').map((s) => (
                                <option key={s}>{s}</option>
                            ))}
                        </select>
                    </p>
                )}
            </div>
        </>
    );
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
        <span
            style={{ display: 'inline-flex', gap: 2 }}
            onBlur={(e) => {
                if (!e.currentTarget.contains(e.relatedTarget)) put(low.trim(), high.trim());
            }}
        >
            <input
                className="slot"
                style={{ width: 62 }}
                aria-label={`${name}, low`}
                value={low}
                onChange={(e) => setLow(e.target.value)}
            />
            –
            <input
                className="slot"
                style={{ width: 60 }}
                aria-label={`${name}, high`}
                placeholder="and up"
                value={high}
                onChange={(e) => setHigh(e.target.value)}
            />
        </span>
    );
}
