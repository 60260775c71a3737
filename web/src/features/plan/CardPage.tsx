import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { api } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { Top } from '../../app/Frame';
import { Figure } from '../../ui/Figure';
import { extentWords, minutes, Swatch } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { areaName, longName, fewMinutes } from './bend';

/** What lies on the bench while a unit is painted: figure, passes with swatches and mixes, notes, cautions. For A4. */
export default function CardPage() {
    const { id } = useParams();
    const [search] = useSearchParams();
    const piece = search.get('piece');
    const query = useQuery({
        queryKey: ['plan', id ?? '', piece],
        queryFn: () => api.get<UnitPlan>(`units/${id ?? ''}/plan${piece ? `?piece=${piece}` : ''}`),
    });
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
    const notes = (steps: number[]) => [
        ...new Set(
            steps
                .map((no) => data.arranged.notes[plan.steps.find((s) => s.no === no)?.key ?? ''])
                .filter(Boolean),
        ),
    ];
    const seen = (view: 'front' | 'back') => data.figure.some((f) => (f.outline[view]?.length ?? 0) > 0);
    return (
        <>
            <Top>
                <Link to={`/units/${unit.id}/plan`} className="soft">
                    Plan
                </Link>
                <h1>Bench card</h1>
                <span className="room" />
                <button className="btn main" onClick={() => window.print()}>
                    Print
                </button>
            </Top>
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
                                    .map(
                                        (k) =>
                                            `model ${k.pieces.join(', ')}${k.variant ? `: ${k.variant}` : ''}${k.lacks.length > 0 ? `, without ${k.lacks.map((a) => areaName(data, a).toLowerCase()).join(', ')}` : ''}`,
                                    )
                                    .join('; ')}
                                .
                            </p>
                        )}
                    </div>
                    <table className="plain">
                        <thead>
                            <tr>
                                <th></th>
                                <th>Pass</th>
                                <th>On</th>
                                <th>Paint and mix</th>
                                <th>Brush, thinning</th>
                                <th className="right">Min</th>
                                <th className="right">Dries</th>
                            </tr>
                        </thead>
                        <tbody>
                            {plan.passes.map((p) => {
                                const s = plan.steps.find((x) => x.no === p.steps[0]);
                                const t = data.techniques.find((x) => x.key === p.technique);
                                return (
                                    <tr key={p.no}>
                                        <td className="tick">{p.no}</td>
                                        <td className="strong">
                                            {longName(data, p.technique)}
                                            {s && s.extent !== 'full' && (
                                                <span className="small soft">, {extentWords(s.extent)}</span>
                                            )}
                                            {notes(p.steps).map((n) => (
                                                <div key={n} className="note">
                                                    {n}
                                                </div>
                                            ))}
                                        </td>
                                        <td className="small">
                                            {p.areas.length === 0
                                                ? 'whole model'
                                                : p.areas
                                                      .map(
                                                          (a) =>
                                                              `${data.figure.find((f) => f.key === a)?.no ?? ''} ${areaName(data, a)}`,
                                                      )
                                                      .join(', ')}
                                        </td>
                                        <td className="small">
                                            {s?.colour && (
                                                <>
                                                    <Swatch hex={s.colour.hex} />{' '}
                                                    {s.colour.mixed_with
                                                        ? `${s.colour.paint} + ${s.colour.mixed_with}, 1:1, ten drops of each`
                                                        : s.colour.paint}
                                                </>
                                            )}
                                        </td>
                                        <td className="small">
                                            {[t?.tools, t?.consistency].filter(Boolean).join('; ')}
                                        </td>
                                        <td className="right num">{fewMinutes(p.minutes)}</td>
                                        <td className="right num small">{p.dry > 0 ? `${p.dry} min` : ''}</td>
                                    </tr>
                                );
                            })}
                        </tbody>
                    </table>
                </div>
                {cautions.length > 0 && (
                    <footer>
                        <b>Cautions.</b> {cautions.map(([text, name]) => `${name}: ${text}`).join(' ')} Local
                        rules, the product’s safety data sheet and trained advice come first.
                    </footer>
                )}
            </article>
        </>
    );
}
