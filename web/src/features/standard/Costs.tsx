import { useQuery } from '@tanstack/react-query';
import { Table, Tag } from 'antd';
import { costsQuery } from '../../api/quotes';
import type { Ladder } from '../../api/types';
import { money } from '../../ui/money';

/** What a model of each figure costs at each tier, beside what it is sold for: the middle of the card. */
export function Costs({ ladder }: { ladder: Ladder }) {
    const tiers = ladder.tiers.filter((t) => t.status === 'offered');
    return (
        <section className="mt-16" aria-label="Price beside cost">
            <h2>Price beside cost</h2>
            <p className="soft my-6">
                The middle of the card as published, and under it what one model costs you: minutes with
                setting up, paint, overhead. In a batch setting up is shared.
            </p>
            <Table
                className="card"
                pagination={{ pageSize: 12, hideOnSinglePage: true }}
                scroll={{ x: 'max-content' }}
                rowKey="slug"
                dataSource={ladder.sculpts}
                columns={[
                    { title: 'Figure', rowScope: 'row', dataIndex: 'name' },
                    ...tiers.map((t) => ({
                        key: t.key,
                        title: t.name,
                        className: 'num',
                        render: (_: unknown, s: { slug: string }) => <Cost slug={s.slug} tier={t.key} />,
                    })),
                ]}
            />
        </section>
    );
}

function Cost({ slug, tier }: { slug: string; tier: string }) {
    const query = useQuery(costsQuery(slug));
    const row = query.data?.data.find((r) => r.tier === tier);
    if (!row || !query.data) return <span className="soft">…</span>;
    return (
        <>
            {row.price === null ? (
                <span className="soft">by hand</span>
            ) : (
                <b>{money(row.price, query.data.currency)}</b>
            )}
            {row.cost !== null && (
                <>
                    <br />
                    <span className="soft">{money(row.cost, query.data.currency)}</span>
                </>
            )}{' '}
            {row.below_cost && <Tag color="error">below cost</Tag>}
        </>
    );
}
