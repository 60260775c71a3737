import { useMutation, useQuery } from '@tanstack/react-query';
import { Table } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { schoolsQuery, setMethod } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Field } from '../../ui/Field';
import { minutes } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { word } from '../standard/words';
import { SchoolAnswers, type Scoped } from './SchoolAnswers';
import { changesOf } from './bend';

/** The schools that may be answered for one area only. */
const BY_AREA = [
    'build',
    'skin_wash',
    'metal_ground',
    'gold_light',
    'edges',
    'decals',
    'backs',
    'weathering',
];

/** The method of the order: each school's answers, with what each would change. */
export function Schools({ data, put }: { data: UnitPlan; put: (next: UnitPlan) => void }) {
    const notices = useNotices();
    const query = useQuery(schoolsQuery(data.unit.id, data.unit.revision));
    const [area, setArea] = useState('');
    const set = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (method: Record<string, unknown>) =>
            setMethod(data.unit.id, {
                revision: data.unit.revision,
                order_revision: data.order_revision,
                method,
            }),
        onSuccess: put,
        onError: notices.failed,
    });
    if (query.isPending) return <Loading what="what each school takes" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    const { now, schools } = query.data;
    const scoped = (school: string): Scoped =>
        Array.isArray(data.method[school]) ? (data.method[school] as Scoped) : [];
    const whole = (school: string): string | null =>
        typeof data.method[school] === 'string'
            ? data.method[school]
            : (scoped(school).find((c) => Object.keys(c.scope).length === 0)?.value ?? null);
    const chosen = (school: string) =>
        area === ''
            ? whole(school)
            : (scoped(school).find((c) => c.scope.area?.includes(area))?.value ?? null);
    const answer = (school: string, value: string | null) => {
        const { [school]: _, ...rest } = data.method;
        const others = scoped(school).filter(
            (c) => Object.keys(c.scope).length > 0 && !(area !== '' && c.scope.area?.includes(area)),
        );
        const some = area !== '' && value !== null ? [{ scope: { area: [area] }, value }, ...others] : others;
        const all = area === '' ? value : whole(school);
        set.mutate(
            some.length > 0
                ? { ...rest, [school]: all === null ? some : [...some, { scope: {}, value: all }] }
                : all === null
                  ? rest
                  : { ...rest, [school]: all },
        );
    };
    return (
        <>
            <p className="soft mt-0">
                It holds for the whole order: <b className="num">{minutes(now)}</b> a model as it is. Beside
                each answer stands what it would change: minutes a model, what would be short, and whether the
                order of work changes.
            </p>
            <Field label="For">
                <Pick
                    value={area}
                    onChange={(value) => setArea(value)}
                    options={[
                        { value: '', label: 'the whole model' },
                        ...data.figure.map((f) => ({ value: f.key, label: `${f.name} only` })),
                    ]}
                />
            </Field>
            <Table
                size="small"
                showHeader={false}
                pagination={false}
                rowKey={(s) => s.school}
                dataSource={schools.filter((s) => area === '' || BY_AREA.includes(s.school))}
                columns={[
                    {
                        key: '0',
                        rowScope: 'row',
                        width: 150,
                        render: (_, s) => (
                            <>
                                {word('school', s.school)}
                                {area === '' && s.answer === null && (
                                    <div className="small soft">nobody has said</div>
                                )}
                            </>
                        ),
                    },
                    {
                        key: '1',
                        render: (_, s) => (
                            <SchoolAnswers
                                data={data}
                                school={s}
                                now={now}
                                chosen={chosen(s.school)}
                                scoped={area === '' ? scoped(s.school) : null}
                                busy={set.isPending}
                                answer={(value) => answer(s.school, value)}
                            />
                        ),
                    },
                ]}
            />
        </>
    );
}
