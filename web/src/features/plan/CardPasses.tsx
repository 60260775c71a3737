import { Table } from 'antd';
import type { PlanPass, UnitPlan } from '../../api/types';
import { extentWords, Swatch } from '../../ui/marks';
import { areaName, longName, fewMinutes } from './names';

/** The passes in their order, each with its pot, its brush and what is noted for it. */
export function CardPasses({ data }: { data: UnitPlan }) {
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
