import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Button, InputNumber, Table } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { Edits, UnitPlan } from '../../api/types';
import { spare } from '../../api/units';
import { Field } from '../../ui/Field';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';

/** What more minutes would buy, and what would go if there were fewer. */
export function SpareMinutes({ data, edit }: { data: UnitPlan; edit: (edits: Edits) => void }) {
    const now = data.plan.totals.by_passes;
    const [to, setTo] = useState(Math.round(now) + 15);
    const query = useQuery({
        queryKey: ['spare', data.unit.id, data.unit.revision, to],
        queryFn: () => spare(data.unit.id, to),
        placeholderData: keepPreviousData,
    });
    const s = query.data;
    const take = () => {
        if (!s) return;
        const edits: Edits = { ...data.unit.edits };
        for (const b of s.buys)
            edits[b.area] = [
                ...(edits[b.area] ??
                    data.plan.areas
                        .find((a) => a.area === b.area)
                        ?.techniques.map(({ technique, passes, extent }) => ({
                            technique,
                            passes,
                            extent,
                        })) ??
                    []),
                { technique: b.technique, passes: 1, extent: 'full' },
            ];
        edit(edits);
    };
    return (
        <>
            <Field label="A model may take, in minutes">
                <InputNumber min={0} value={to} onChange={(value) => setTo(value ?? 0)} />
            </Field>
            {s && (
                <p className="small soft num">
                    Now {minutes(s.now)}. The quickest that meets the tier: {minutes(s.quickest)}; the best
                    within the tier’s minutes: {minutes(s.best)}.
                </p>
            )}
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {s?.cuts && (
                <>
                    {s.cuts.go.length > 0 && (
                        <>
                            <p className="strong mt-8 mx-0 mb-2">These would go, least noticed first</p>
                            {s.cuts.go.map((g, i) => (
                                <div key={i} className="small">
                                    −{' '}
                                    {g.amendment === null
                                        ? `${g.name} on ${g.area_name.toLowerCase()}`
                                        : g.name}
                                    , {minutes(g.minutes)}
                                </div>
                            ))}
                        </>
                    )}
                    <p className={`says small ${s.cuts.enough ? 'good' : 'warn'}`}>
                        {s.cuts.enough
                            ? `That brings it to ${minutes(s.cuts.left)}.`
                            : `The tier itself takes ${minutes(s.cuts.left)}, and its floor is never cut.`}{' '}
                        {!s.cuts.enough &&
                            (s.cuts.tier
                                ? `The highest tier that fits is ${s.cuts.tier.name},` +
                                  ` with ${minutes(s.cuts.tier.minutes)}.`
                                : 'No tier fits into that.')}
                    </p>
                </>
            )}
            {s &&
                !s.cuts &&
                (s.buys.length === 0 ? (
                    <p className="soft">Nothing the tier allows fits into that.</p>
                ) : (
                    <>
                        <p className="strong mt-8 mx-0 mb-2">
                            The most to be noticed for {minutes(s.buys.reduce((m, b) => m + b.minutes, 0))}
                        </p>
                        <Table
                            size="small"
                            className=""
                            showHeader={false}
                            pagination={false}
                            rowKey={(b) => `${b.area} ${b.technique}`}
                            dataSource={s.buys}
                            columns={[
                                {
                                    key: '0',
                                    render: (_, b) => (
                                        <>
                                            {b.name} on {b.area_name.toLowerCase()}
                                            {b.on_request && <span className="pill ml-6">+ on request</span>}
                                        </>
                                    ),
                                },
                                {
                                    key: '1',
                                    align: 'right',
                                    className: 'num',
                                    render: (_, b) => minutes(b.minutes),
                                },
                            ]}
                        />
                        <Button type="primary" onClick={take}>
                            Put these into the plan
                        </Button>
                    </>
                ))}
        </>
    );
}
