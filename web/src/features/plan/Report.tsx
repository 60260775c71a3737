import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import type { UnitPlan } from '../../api/types';
import { amend } from '../../api/units';
import { useNotices } from '../../app/notices';
import { minutes } from '../../ui/marks';
import { effectWords } from '../standard/words';
import { type Bend, changesOf } from './bend';
import { areaName, longName, usesOn } from './names';
import { Says } from '../../ui/Says';
import { More } from '../../ui/More';

/** How the plan stands to the tier: what is short, over or beyond, each with what puts it right. */
export function Report({ data, bend, pick }: { data: UnitPlan; bend: Bend; pick: (key: string) => void }) {
    const notices = useNotices();
    const { plan, unit } = data;
    const states = plan.requirements.filter((r) => r.state !== null);
    const count = (s: string) => states.filter((r) => r.state === s).length;
    const [bad, over] = [count('short') + count('conflict'), count('over')];
    const leave = useMutation({
        mutationKey: changesOf(unit.id),
        mutationFn: ({ area, technique }: { area: string; technique: string }) =>
            amend(unit.id, {
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
        onError: notices.failed,
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
            <h2 className="mt-2 mx-0 mb-6">
                {bad === 0 ? 'Meets the tier' : `${bad} short`}
                {over > 0 ? ` · ${over} over` : ''}
            </h2>
            <p className="small soft m-0">
                {count('met')} met
                {plan.surplus.some((s) => !s.beyond && !s.practice)
                    ? ` · ${plan.surplus.filter((s) => !s.beyond && !s.practice).length} steps to spare`
                    : ''}{' '}
                · {plan.requirements.length - states.length} judged on the finished work
            </p>
            {states
                .filter((r) => r.state !== 'met')
                .map((r, i) => (
                    <Says key={i} kind={r.state === 'over' ? 'warn' : 'bad'}>
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
                                <Button type="link" onClick={() => bend.edit(r.area ?? '', null)}>
                                    As planned
                                </Button>
                            </>
                        )}
                    </Says>
                ))}
            {plan.surplus
                .filter((s) => s.beyond || s.practice)
                .map((s) => {
                    const it = plan.steps.find((x) => x.no === s.step);
                    return (
                        it && (
                            <Says key={s.step} kind={s.beyond ? 'warn' : 'plain'}>
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
                                        <Button
                                            type="link"
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
                                        </Button>{' '}
                                        ·{' '}
                                        <Button type="link" onClick={() => pick(it.key)}>
                                            Keep, say why
                                        </Button>
                                    </>
                                )}
                            </Says>
                        )
                    );
                })}
            {others.map((w, i) => (
                <Says kind="plain" key={i}>
                    {w.text}
                </Says>
            ))}
            {doubtful.length > 0 && (
                <More
                    className="small mt-8"
                    label={
                        <>
                            {doubtful.length} {doubtful.length === 1 ? 'step' : 'steps'} that will hardly be
                            seen
                        </>
                    }
                >
                    {doubtful.map((w, i) => (
                        <p className="my-6 mx-0" key={i}>
                            {w.text}{' '}
                            {data.editable && data.piece === null && w.area && w.technique && (
                                <Button
                                    type="link"
                                    disabled={leave.isPending}
                                    onClick={() =>
                                        leave.mutate({ area: w.area ?? '', technique: w.technique ?? '' })
                                    }
                                >
                                    Leave it out
                                </Button>
                            )}
                        </p>
                    ))}
                </More>
            )}
            {plan.not_applicable.length > 0 && (
                <More
                    className="small mt-8"
                    label={<>{plan.not_applicable.length} asked for what cannot be there</>}
                >
                    {plan.not_applicable.map((n, i) => (
                        <p className="my-4 mx-0" key={i}>
                            {areaName(data, n.area)}: {effectWords(n.subject)}, {n.reason}
                        </p>
                    ))}
                </More>
            )}
        </section>
    );
}
