import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { Button } from 'antd';
import { planQuery } from '../../api/units';
import { Top } from '../../app/Top';
import { Figure } from '../../ui/Figure';
import { minutes } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { Paper } from '../../ui/Paper';
import { areaName } from './names';
import { PotsAtHand } from './PaintNeeds';
import { CardPasses } from './CardPasses';

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
