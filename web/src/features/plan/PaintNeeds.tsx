import { useQuery } from '@tanstack/react-query';
import { Table } from 'antd';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import type { UnitPlan } from '../../api/types';
import { paintsOfUnitQuery } from '../../api/units';
import { Swatch } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';

type Need = components['schemas']['PaintNeed'];

/** Hundredths under one millilitre: single drops count there. */
const ml = (n: number) => (n < 0.01 ? 'under 0.01 ml' : `${n.toFixed(n < 1 ? 2 : 1)} ml`);
const name = (n: Need) => n.paint ?? 'medium';

/** How much of each paint the unit takes, beside what the shelf has. */
export function PaintNeeds({ data }: { data: UnitPlan }) {
    const query = useQuery(paintsOfUnitQuery(data.unit.id, data.unit.revision));
    if (query.isPending) return <Loading what="the paint it takes" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    if (query.data.paints.length === 0) return null;
    return (
        <section>
            <div className="eyebrow">Paint, the unit of {query.data.pieces}</div>
            <p className="small soft mt-2 mx-0 mb-8">
                A wet film over each painted part, with what stays on the palette. Mixes are split by their
                parts.
            </p>
            <Table
                size="small"
                className="small paint-needs"
                pagination={false}
                rowKey={name}
                dataSource={query.data.paints}
                columns={[
                    {
                        key: 'paint',
                        title: 'Paint',
                        className: 'strong',
                        render: (_, n) => (
                            <>
                                {n.paint !== null && <Swatch hex={n.hex} />} {name(n)}
                            </>
                        ),
                    },
                    {
                        key: 'ml',
                        title: 'Takes',
                        align: 'right',
                        className: 'num',
                        render: (_, n) => ml(n.ml),
                    },
                    {
                        key: 'drops',
                        title: 'In drops',
                        align: 'right',
                        className: 'num',
                        render: (_, n) => (n.drops === 1 ? '1 drop' : `${n.drops} drops`),
                    },
                    {
                        key: 'left',
                        title: 'On the shelf',
                        align: 'right',
                        className: 'num',
                        render: (_, n) => {
                            if (n.paint === null) return '';
                            if (n.left_ml === null) return <span className="soft">not on the shelf</span>;
                            return n.short ? (
                                <Says kind="warn">{ml(n.left_ml)}, runs short</Says>
                            ) : (
                                ml(n.left_ml)
                            );
                        },
                    },
                ]}
            />
        </section>
    );
}

/** One line for the card: what to have at hand. */
export function PotsAtHand({ data }: { data: UnitPlan }) {
    const query = useQuery(paintsOfUnitQuery(data.unit.id, data.unit.revision));
    const paints = query.data?.paints ?? [];
    if (paints.length === 0) return null;
    return (
        <p className="small">
            <b>Paint for {data.unit.count === 1 ? 'the model' : `all ${data.unit.count}`}:</b>{' '}
            {paints
                .map((n) => `${name(n)} ${ml(n.ml)}${n.short ? ` (only ${ml(n.left_ml ?? 0)} left)` : ''}`)
                .join(', ')}
            .
        </p>
    );
}
