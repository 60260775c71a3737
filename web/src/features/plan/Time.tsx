import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { SprayedOrBrushed, Stops, UnitPlan } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { minutes, Swatch, TierMark } from '../../ui/marks';
import { Loading } from '../../ui/states';
import { areaName, fewMinutes } from './bend';

/** Where the minutes go, what spraying would make of them, and where the work could stop. */
export function Time({ data }: { data: UnitPlan }) {
    const { totals, areas } = data.plan;
    const person = usePerson();
    const most = Math.max(1, ...areas.map((a) => a.minutes ?? 0));
    const cell = (name: string, value: number, more?: string) => (
        <div>
            <div className="eyebrow">{name}</div>
            <div style={{ font: '700 20px var(--head)' }} className="num">
                {minutes(value)}
            </div>
            {more && <div className="small soft">{more}</div>}
        </div>
    );
    return (
        <div style={{ padding: 16, display: 'grid', gap: 20 }}>
            <div className="figures-row">
                {cell('A model, in passes', totals.by_passes, 'one pot over many areas')}
                {cell('Area by area', totals.by_area, 'with every handling')}
                {cell('Setting up', totals.setup, 'once for the batch')}
                {cell('Waiting for paint', totals.waiting, `with ${data.unit.count} in the batch`)}
                {cell('One model alone', totals.drying_chain, 'work and drying in a chain')}
            </div>
            <section>
                <div className="eyebrow" style={{ marginBottom: 6 }}>
                    By area, minutes a model
                </div>
                <div style={{ display: 'grid', gap: 3 }}>
                    {[...areas]
                        .sort((a, b) => (b.minutes ?? 0) - (a.minutes ?? 0))
                        .map((a) => (
                            <div key={a.area} className="time-row">
                                <span>{areaName(data, a.area)}</span>
                                <span className="bar">
                                    <i style={{ width: `${(100 * (a.minutes ?? 0)) / most}%` }} />
                                </span>
                                <span className="num right">
                                    {a.minutes === null ? '–' : fewMinutes(a.minutes)}
                                </span>
                            </div>
                        ))}
                </div>
            </section>
            {can(person, 'plan.edit') && (
                <>
                    <Spraying data={data} />
                    <StoppingPoints data={data} />
                </>
            )}
        </div>
    );
}

function Spraying({ data }: { data: UnitPlan }) {
    const query = useQuery({
        queryKey: ['spraying', data.unit.id, data.unit.revision],
        queryFn: () =>
            api.get<{ pieces: number; colours: SprayedOrBrushed[] }>(`units/${data.unit.id}/spraying`),
    });
    if (query.isPending) return <Loading what="what spraying would take" />;
    if (query.isError) return <p className="says bad">{saysWhy(query.error)}</p>;
    return (
        <section>
            <div className="eyebrow">Spray or brush, the unit of {query.data.pieces}</div>
            <table className="plain small">
                <thead>
                    <tr>
                        <th>Colour</th>
                        <th>Areas</th>
                        <th className="right">Airbrush</th>
                        <th className="right">Brush</th>
                        <th>Cheaper</th>
                    </tr>
                </thead>
                <tbody>
                    {query.data.colours.map((c, i) => (
                        <tr key={i}>
                            <td className="strong">
                                <Swatch hex={c.hex} /> {c.paint ?? 'no colour yet'}
                            </td>
                            <td>
                                {c.areas.join(', ').toLowerCase()}
                                {c.masked.length > 0 && (
                                    <div className="soft">masks {c.masked.join(', ').toLowerCase()}</div>
                                )}
                            </td>
                            <td className="right num">
                                {minutes(c.spray.total)}
                                <div className="soft">
                                    {fewMinutes(c.spray.setup)} set up, {fewMinutes(c.spray.hand)} by hand
                                    {c.spray.masking > 0 ? `, ${fewMinutes(c.spray.masking)} masking` : ''}
                                </div>
                            </td>
                            <td className="right num">
                                {minutes(c.brush.total)}
                                <div className="soft">
                                    {fewMinutes(c.brush.setup)} set up, {fewMinutes(c.brush.hand)} by hand
                                </div>
                            </td>
                            <td>
                                {c.spray.total < c.brush.total
                                    ? `airbrush, by ${minutes(c.brush.total - c.spray.total)}`
                                    : `brush, by ${minutes(c.spray.total - c.brush.total)}`}
                                <div className="soft">
                                    {c.sprayed ? 'sprayed in this plan' : 'brushed in this plan'}
                                </div>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function StoppingPoints({ data }: { data: UnitPlan }) {
    const [open, setOpen] = useState(false);
    const query = useQuery({
        queryKey: ['stops', data.unit.id, data.unit.revision],
        queryFn: () => api.get<Stops>(`units/${data.unit.id}/stops`),
    });
    if (query.isPending) return <Loading what="where work could stop" />;
    if (query.isError) return <p className="says bad">{saysWhy(query.error)}</p>;
    const stops = query.data;
    return (
        <section>
            <div className="eyebrow">A good place to stop</div>
            <p className="small soft" style={{ margin: '2px 0 8px' }}>
                Done in this order, the work meets these tiers on the way. Varnish, joining, the rim and the
                final look are done wherever it stops; the minutes hold them.
            </p>
            <table className="plain">
                <tbody>
                    {stops.stops.map((s) => (
                        <tr key={s.tier}>
                            <td style={{ width: 36 }}>
                                <TierMark order={s.order} status="offered" />
                            </td>
                            <td className="strong" style={{ width: 130 }}>
                                {s.name}
                            </td>
                            <td>
                                {s.reason === null ? (
                                    <span className="num">
                                        after {s.steps} of {stops.steps} steps, {minutes(s.minutes ?? 0)} a
                                        model
                                    </span>
                                ) : (
                                    <span className="says warn small" style={{ display: 'block' }}>
                                        No place to stop: {s.reason}
                                    </span>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="small soft">
                Waiting for paint: {minutes(stops.waiting_then)} in this order, {minutes(stops.waiting)} as
                planned.{' '}
                <button
                    className="btn quiet"
                    style={{ padding: 0, minHeight: 0 }}
                    onClick={() => setOpen(!open)}
                >
                    {open ? 'Close the order' : 'See the order'}
                </button>
            </p>
            {open && (
                <ol className="small" style={{ columns: 2, margin: 0 }}>
                    {stops.order.map((s, i) => (
                        <li key={s.key}>
                            {s.name} <span className="soft">on {areaName(data, s.area).toLowerCase()}</span>
                            {stops.order[i + 1]?.tier !== s.tier && s.tier !== null && (
                                <b style={{ display: 'block', color: 'var(--accent)' }}>
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
