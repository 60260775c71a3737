import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Flex, Progress, Table } from 'antd';
import { saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { stopsQuery } from '../../api/units';
import { can, usePerson } from '../../app/session';
import { minutes, TierMark } from '../../ui/marks';
import { Loading } from '../../ui/states';
import { areaName, fewMinutes } from './names';
import { Says } from '../../ui/Says';
import { Spraying } from './Spraying';

/** Where the minutes go, what spraying would make of them, and where the work could stop. */
export function Time({ data }: { data: UnitPlan }) {
    const { totals, areas } = data.plan;
    const person = usePerson();
    const most = Math.max(1, ...areas.map((a) => a.minutes ?? 0));
    const cell = (name: string, value: number, more?: string) => (
        <div>
            <div className="eyebrow">{name}</div>
            <div className="num figure-large">{minutes(value)}</div>
            {more && <div className="small soft">{more}</div>}
        </div>
    );
    return (
        <Flex vertical gap={20} className="p-16">
            <div className="figures-row">
                {cell('A model, in passes', totals.by_passes, 'one pot over many areas')}
                {cell('Area by area', totals.by_area, 'with every handling')}
                {cell('Setting up', totals.setup, 'once for the batch')}
                {cell('Waiting for paint', totals.waiting, `with ${data.unit.count} in the batch`)}
                {cell('One model alone', totals.drying_chain, 'work and drying in a chain')}
            </div>
            <section>
                <div className="eyebrow mb-6">By area, minutes a model</div>
                <Flex vertical gap={3}>
                    {[...areas]
                        .sort((a, b) => (b.minutes ?? 0) - (a.minutes ?? 0))
                        .map((a) => (
                            <div key={a.area} className="time-row">
                                <span>{areaName(data, a.area)}</span>
                                <Progress
                                    percent={(100 * (a.minutes ?? 0)) / most}
                                    showInfo={false}
                                    size="small"
                                    aria-label={areaName(data, a.area)}
                                />
                                <span className="num right">
                                    {a.minutes === null ? '–' : fewMinutes(a.minutes)}
                                </span>
                            </div>
                        ))}
                </Flex>
            </section>
            {can(person, 'plan.edit') && (
                <>
                    <Spraying data={data} />
                    <StoppingPoints data={data} />
                </>
            )}
        </Flex>
    );
}

function StoppingPoints({ data }: { data: UnitPlan }) {
    const [open, setOpen] = useState(false);
    const query = useQuery(stopsQuery(data.unit.id, data.unit.revision));
    if (query.isPending) return <Loading what="where work could stop" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    const stops = query.data;
    return (
        <section>
            <div className="eyebrow">A good place to stop</div>
            <p className="small soft mt-2 mx-0 mb-8">
                Done in this order, the work meets these tiers on the way. Varnish, joining, the rim and the
                final look are done wherever it stops; the minutes hold them.
            </p>
            <Table
                size="small"
                className=""
                showHeader={false}
                pagination={false}
                rowKey={(s) => s.tier}
                dataSource={stops.stops}
                columns={[
                    { key: '0', width: 36, render: (_, s) => <TierMark order={s.order} status="offered" /> },
                    { key: '1', width: 130, className: 'strong', render: (_, s) => s.name },
                    {
                        key: '2',
                        render: (_, s) =>
                            s.reason === null ? (
                                <span className="num">
                                    after {s.steps} of {stops.steps} steps, {minutes(s.minutes ?? 0)} a model
                                </span>
                            ) : (
                                <Says kind="warn">No place to stop: {s.reason}</Says>
                            ),
                    },
                ]}
            />
            <p className="small soft">
                Waiting for paint: {minutes(stops.waiting_then)} in this order, {minutes(stops.waiting)} as
                planned.{' '}
                <Button type="link" onClick={() => setOpen(!open)}>
                    {open ? 'Close the order' : 'See the order'}
                </Button>
            </p>
            {open && (
                <ol className="small m-0 columns">
                    {stops.order.map((s, i) => (
                        <li key={s.key}>
                            {s.name} <span className="soft">on {areaName(data, s.area).toLowerCase()}</span>
                            {stops.order[i + 1]?.tier !== s.tier && s.tier !== null && (
                                <b className="met-here">
                                    — {stops.stops.find((x) => x.tier === s.tier)?.name} is met here
                                </b>
                            )}
                        </li>
                    ))}
                </ol>
            )}
        </section>
    );
}
