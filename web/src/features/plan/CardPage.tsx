import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { Button, Table } from 'antd';
import type { PlanPass, UnitPlan } from '../../api/types';
import { planQuery } from '../../api/units';
import { Top } from '../../app/Top';
import { Figure } from '../../ui/Figure';
import { extentWords, minutes, Swatch } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { Paper } from '../../ui/Paper';
import { areaName, longName, fewMinutes } from './names';
import { PotsAtHand } from './PaintNeeds';

/** What lies on the bench while a unit is painted: figure, passes with swatches and mixes, notes, cautions. For A4. */
export default function CardPage() {
    const { id } = useParams();
    const [search] = useSearchParams();
    const piece = search.get('piece');
    const query = useQuery(planQuery(Number(id), piece === null ? null : Number(piece)));
    if (query.isPending) return <Loading what="the card" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    const data = query.data;
    const { plan, unit } = data;
    const cautions = [
        ...new Map(
            plan.passes
                .map((p) => data.techniques.find((t) => t.key === p.technique))
                .filter((t) => t?.caution)
                .map((t) => [t?.caution ?? '', t?.name ?? '']),
        ).entries(),
    ];
    const lacking = (areas: string[]) => areas.map((a) => areaName(data, a).toLowerCase()).join(', ');
    const seen = (view: 'front' | 'back') => data.figure.some((f) => (f.outline[view]?.length ?? 0) > 0);
    return (
        <>
            <Top>
                <Link to={`/units/${unit.id}/plan`} className="soft">
                    Plan
                </Link>
                <h1>Bench card</h1>
                <span className="room" />
                <Button type="primary" onClick={() => window.print()}>
                    Print
                </Button>
            </Top>
            <Paper>
                <article className="bench-card">
                    <header>
                        <div>
                            <h1>
                                {data.piece === null
                                    ? `${unit.count} × ${unit.sculpt}`
                                    : `Model ${data.piece}, ${unit.sculpt}`}
                                {unit.label ? `, ${unit.label}` : ''}
                            </h1>
                            <span>
                                {unit.order_number} · {unit.tier.name}, standard v{unit.standard_version}
                                {data.scheme ? ` · ${data.scheme.name} v${data.scheme.number}` : ''}
                            </span>
                        </div>
                        <div className="num right">
                            <b>{minutes(plan.totals.by_passes)}</b> a model
                            <br />
                            {minutes(data.whole.minutes + data.whole.setup)} the unit
                        </div>
                    </header>
                    <div className="body">
                        <div className="side">
                            {seen('front') && (
                                <Figure areas={data.figure} view="front" frame={unit.frame_mm} numbers />
                            )}
                            {seen('back') && (
                                <Figure areas={data.figure} view="back" frame={unit.frame_mm} numbers />
                            )}
                            <ol className="small legend">
                                {data.figure.map((f) => (
                                    <li key={f.key} value={f.no}>
                                        {f.name}
                                    </li>
                                ))}
                            </ol>
                            {data.kinds.length > 1 && (
                                <p className="small">
                                    <b>Not all alike:</b>{' '}
                                    {data.kinds
                                        .filter((k) => !k.plain)
                                        .map((k) =>
                                            [
                                                `model ${k.pieces.join(', ')}${k.variant ? `: ${k.variant}` : ''}`,
                                                ...(k.lacks.length > 0
                                                    ? [`without ${lacking(k.lacks)}`]
                                                    : []),
                                            ].join(', '),
                                        )
                                        .join('; ')}
                                    .
                                </p>
                            )}
                        </div>
                        <div>
                            <CardPasses data={data} />
                            <PotsAtHand data={data} />
                        </div>
                    </div>
                    {cautions.length > 0 && (
                        <footer>
                            <b>Cautions.</b> {cautions.map(([text, name]) => `${name}: ${text}`).join(' ')}{' '}
                            Local rules, the product’s safety data sheet and trained advice come first.
                        </footer>
                    )}
                </article>
            </Paper>
        </>
    );
}

/** The passes in their order, each with its pot, its brush and what is noted for it. */
function CardPasses({ data }: { data: UnitPlan }) {
    const step = (p: PlanPass) => data.plan.steps.find((s) => s.no === p.steps[0]);
    const technique = (p: PlanPass) => data.techniques.find((t) => t.key === p.technique);
    const notes = (p: PlanPass) =>
        new Set(
            p.steps
                .map((no) => data.arranged.notes[data.plan.steps.find((s) => s.no === no)?.key ?? ''])
                .filter(Boolean),
        );
    const numbered = (area: string) =>
        `${data.figure.find((f) => f.key === area)?.no ?? ''} ${areaName(data, area)}`;
    const mix = (p: PlanPass) => {
        const colour = step(p)?.colour;
        if (!colour) return null;
        return (
            <>
                <Swatch hex={colour.hex} />{' '}
                {colour.mixed_with
                    ? `${colour.paint} + ${colour.mixed_with}, 1:1, ten drops of each`
                    : colour.paint}
            </>
        );
    };
    return (
        <Table
            size="small"
            pagination={false}
            rowKey="no"
            dataSource={data.plan.passes}
            columns={[
                { title: '', dataIndex: 'no', className: 'tick' },
                {
                    title: 'Pass',
                    className: 'strong',
                    render: (_, p) => (
                        <>
                            {longName(data, p.technique)}
                            {(step(p)?.extent ?? 'full') !== 'full' && (
                                <span className="small soft">, {extentWords(step(p)?.extent ?? 'full')}</span>
                            )}
                            {data.said[p.no - 1]?.put_right && (
                                <div className="small plain">{data.said[p.no - 1]?.put_right}</div>
                            )}
                            {data.said[p.no - 1]?.why && (
                                <div className="small soft plain">{data.said[p.no - 1]?.why}</div>
                            )}
                            {[...notes(p)].map((n) => (
                                <div key={n} className="note">
                                    {n}
                                </div>
                            ))}
                        </>
                    ),
                },
                {
                    title: 'On',
                    className: 'small',
                    render: (_, p) =>
                        p.areas.length === 0 ? 'whole model' : p.areas.map(numbered).join(', '),
                },
                { title: 'Paint and mix', className: 'small', render: (_, p) => mix(p) },
                {
                    title: 'Brush, thinning',
                    className: 'small',
                    render: (_, p) =>
                        [technique(p)?.tools, technique(p)?.consistency].filter(Boolean).join('; '),
                },
                { title: 'Min', align: 'right', className: 'num', render: (_, p) => fewMinutes(p.minutes) },
                {
                    title: 'Dries',
                    align: 'right',
                    className: 'num small',
                    render: (_, p) => (p.dry > 0 ? `${p.dry} min` : ''),
                },
            ]}
        />
    );
}
