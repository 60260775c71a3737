import { useQuery } from '@tanstack/react-query';
import { Table } from 'antd';
import { saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { sprayingQuery } from '../../api/units';
import { minutes, Swatch } from '../../ui/marks';
import { Loading } from '../../ui/states';
import { fewMinutes } from './names';
import { Says } from '../../ui/Says';

export function Spraying({ data }: { data: UnitPlan }) {
    const query = useQuery(sprayingQuery(data.unit.id, data.unit.revision));
    if (query.isPending) return <Loading what="what spraying would take" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    return (
        <section>
            <div className="eyebrow">Spray or brush, the unit of {query.data.pieces}</div>
            <Table
                size="small"
                className="small"
                pagination={false}
                rowKey={(c) => `${c.paint ?? ''} ${c.areas.join()}`}
                dataSource={query.data.colours}
                columns={[
                    {
                        key: '0',
                        title: 'Colour',
                        className: 'strong',
                        render: (_, c) => (
                            <>
                                <Swatch hex={c.hex} /> {c.paint ?? 'no colour yet'}
                            </>
                        ),
                    },
                    {
                        key: '1',
                        title: 'Areas',
                        render: (_, c) => (
                            <>
                                {c.areas.join(', ').toLowerCase()}
                                {c.masked.length > 0 && (
                                    <div className="soft">masks {c.masked.join(', ').toLowerCase()}</div>
                                )}
                            </>
                        ),
                    },
                    {
                        key: '2',
                        title: 'Airbrush',
                        align: 'right',
                        className: 'num',
                        render: (_, c) => (
                            <>
                                {minutes(c.spray.total)}
                                <div className="soft">
                                    {fewMinutes(c.spray.setup)} set up, {fewMinutes(c.spray.hand)} by hand
                                    {c.spray.masking > 0 ? `, ${fewMinutes(c.spray.masking)} masking` : ''}
                                </div>
                            </>
                        ),
                    },
                    {
                        key: '3',
                        title: 'Brush',
                        align: 'right',
                        className: 'num',
                        render: (_, c) => (
                            <>
                                {minutes(c.brush.total)}
                                <div className="soft">
                                    {fewMinutes(c.brush.setup)} set up, {fewMinutes(c.brush.hand)} by hand
                                </div>
                            </>
                        ),
                    },
                    {
                        key: '4',
                        title: 'Cheaper',
                        render: (_, c) => (
                            <>
                                {c.spray.total < c.brush.total
                                    ? `airbrush, by ${minutes(c.brush.total - c.spray.total)}`
                                    : `brush, by ${minutes(c.spray.total - c.brush.total)}`}
                                <div className="soft">
                                    {c.sprayed ? 'sprayed in this plan' : 'brushed in this plan'}
                                </div>
                            </>
                        ),
                    },
                ]}
            />
        </section>
    );
}
