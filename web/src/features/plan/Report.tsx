import { useMutation } from '@tanstack/react-query';
import { App } from 'antd';
import { api, saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { minutes } from '../../ui/marks';
import { effectWords } from '../standard/words';
import { areaName, type Bend, longName, usesOn } from './bend';

/** How the plan stands to the tier: what is short, over or beyond, each with what puts it right. */
export function Report({ data, bend, pick }: { data: UnitPlan; bend: Bend; pick: (key: string) => void }) {
    const { message } = App.useApp();
    const { plan, unit } = data;
    const states = plan.requirements.filter((r) => r.state !== null);
    const count = (s: string) => states.filter((r) => r.state === s).length;
    const [bad, over] = [count('short') + count('conflict'), count('over')];
    const leave = useMutation({
        mutationFn: ({ area, technique }: { area: string; technique: string }) =>
            api.post<UnitPlan>(`units/${unit.id}/amendments`, {
                revision: unit.revision,
                amendment: {
                    level: 'unit',
                    do: 'omit',
                    clause: null,
                    technique,
                    scope: { area: [area] },
                    values: {},
                    reason: 'It will not be seen.',
                    price: null,
                    on: null,
                },
            }),
        onSuccess: bend.put,
        onError: (e) => void message.error(saysWhy(e)),
    });
    const doubtful = plan.warnings.filter((w) => w.kind === 'hardly_seen');
    const others = plan.warnings.filter((w) => w.kind !== 'hardly_seen' && w.kind !== 'rule_overruled');
    const lacking = (kind: string, subject: string, by: number) =>
        kind === 'minutes'
            ? `${minutes(by)} too many`
            : kind === 'steps'
              ? `${Math.round(by)} colour ${Math.round(by) === 1 ? 'step' : 'steps'}`
              : `${effectWords(subject)}, ${Math.round(by)} ${Math.round(by) === 1 ? 'pass' : 'passes'}`;
    return (
        <section className="card pad" aria-label="Against the standard">
            <div className="eyebrow">
                Against {unit.tier.name}, v{unit.standard_version}
            </div>
            <h2 style={{ margin: '2px 0 6px' }}>
                {bad === 0 ? 'Meets the tier' : `${bad} short`}
                {over > 0 ? ` · ${over} over` : ''}
            </h2>
            <p className="small soft" style={{ margin: 0 }}>
                {count('met')} met
                {plan.surplus.some((s) => !s.beyond && !s.practice)
                    ? ` · ${plan.surplus.filter((s) => !s.beyond && !s.practice).length} steps to spare`
                    : ''}{' '}
                · {plan.requirements.length - states.length} judged on the finished work
            </p>
            {states
                .filter((r) => r.state !== 'met')
                .map((r, i) => (
                    <div
                        key={i}
                        className={`says small ${r.state === 'over' ? 'warn' : 'bad'}`}
                        style={{ marginTop: 8 }}
                    >
                        <b>
                            {r.state === 'over' ? 'Over' : 'Short'}: {areaName(data, r.area)}
                        </b>
                        <br />
                        {lacking(r.kind, r.subject, r.off_by)}{' '}
                        {r.state === 'over' && r.kind === 'steps'
                            ? 'too many'
                            : r.kind === 'minutes'
                              ? ''
                              : 'lacking'}
                        {r.reason?.startsWith('method.')
                            ? `, because of the method: ${r.reason.slice(7).replaceAll('_', ' ')}`
                            : ''}
                        {r.area && data.unit.edits[r.area] && data.editable && (
                            <>
                                {' '}
                                <button
                                    className="btn quiet"
                                    style={{ padding: 0, minHeight: 0 }}
                                    onClick={() => bend.edit(r.area ?? '', null)}
                                >
                                    As planned
                                </button>
                            </>
                        )}
                    </div>
                ))}
            {plan.surplus
                .filter((s) => s.beyond || s.practice)
                .map((s) => {
                    const it = plan.steps.find((x) => x.no === s.step);
                    return (
                        it && (
                            <div
                                key={s.step}
                                className={`says small ${s.beyond ? 'warn' : ''}`}
                                style={{ marginTop: 8 }}
                            >
                                <b>
                                    {s.beyond ? 'Beyond' : 'Practice'}:{' '}
                                    {longName(data, it.technique).toLowerCase()} on{' '}
                                    {areaName(data, it.area).toLowerCase()}
                                </b>
                                <br />
                                {minutes(s.minutes)} a model, {minutes(s.minutes * unit.count)} the unit
                                {s.beyond ? ', that nobody pays for.' : ', not counted as given away.'}
                                {data.editable && it.area !== null && s.beyond && (
                                    <>
                                        {' '}
                                        <button
                                            className="btn quiet"
                                            style={{ padding: 0, minHeight: 0 }}
                                            onClick={() =>
                                                bend.edit(
                                                    it.area ?? '',
                                                    usesOn(data, it.area ?? '').filter(
                                                        (u) => u.technique !== it.technique,
                                                    ),
                                                )
                                            }
                                        >
                                            Take out
                                        </button>{' '}
                                        ·{' '}
                                        <button
                                            className="btn quiet"
                                            style={{ padding: 0, minHeight: 0 }}
                                            onClick={() => pick(it.key)}
                                        >
                                            Keep, say why
                                        </button>
                                    </>
                                )}
                            </div>
                        )
                    );
                })}
            {others.map((w, i) => (
                <div key={i} className="says small" style={{ marginTop: 8 }}>
                    {w.text}
                </div>
            ))}
            {doubtful.length > 0 && (
                <details className="small" style={{ marginTop: 8 }}>
                    <summary>
                        {doubtful.length} {doubtful.length === 1 ? 'step' : 'steps'} that will hardly be seen
                    </summary>
                    {doubtful.map((w, i) => (
                        <p key={i} style={{ margin: '6px 0' }}>
                            {w.text}{' '}
                            {data.editable && data.piece === null && w.area && w.technique && (
                                <button
                                    className="btn quiet"
                                    style={{ padding: 0, minHeight: 0 }}
                                    disabled={leave.isPending}
                                    onClick={() =>
                                        leave.mutate({ area: w.area ?? '', technique: w.technique ?? '' })
                                    }
                                >
                                    Leave it out
                                </button>
                            )}
                        </p>
                    ))}
                </details>
            )}
            {plan.not_applicable.length > 0 && (
                <details className="small" style={{ marginTop: 8 }}>
                    <summary>{plan.not_applicable.length} asked for what cannot be there</summary>
                    {plan.not_applicable.map((n, i) => (
                        <p key={i} style={{ margin: '4px 0' }}>
                            {areaName(data, n.area)}: {effectWords(n.subject)}, {n.reason}
                        </p>
                    ))}
                </details>
            )}
        </section>
    );
}
