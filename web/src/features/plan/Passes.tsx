import { Table } from 'antd';
import type { PlanPass, UnitPlan } from '../../api/types';
import { Swatch } from '../../ui/marks';
import { areaName, colourWords, fewMinutes, longName } from './names';
import { PaintNeeds } from './PaintNeeds';

/** The same work as one pot over many areas, the way it is painted. */
export function Passes({ data, setLit }: { data: UnitPlan; setLit: (key: string | null) => void }) {
    const { plan } = data;
    const card = (p: PlanPass) => data.techniques.find((t) => t.key === p.technique);
    const swatch = (p: PlanPass) => plan.steps.find((s) => s.no === p.steps[0])?.colour?.hex ?? null;
    return (
        <Table
            size="small"
            pagination={false}
            rowKey="no"
            dataSource={plan.passes}
            onRow={(p) => ({ onMouseEnter: () => setLit(p.areas[0] ?? null) })}
            columns={[
                { title: 'No', dataIndex: 'no', className: 'num' },
                {
                    title: 'Pass',
                    render: (_, p) => (
                        <>
                            <b>{longName(data, p.technique)}</b>
                            {data.said[p.no - 1]?.put_right && (
                                <div className="small soft">{data.said[p.no - 1]?.put_right}</div>
                            )}
                        </>
                    ),
                },
                {
                    title: 'Areas',
                    render: (_, p) =>
                        p.areas.length === 0
                            ? 'whole model'
                            : p.areas.map((a) => areaName(data, a)).join(', '),
                },
                {
                    title: 'Paint',
                    render: (_, p) =>
                        p.paint && (
                            <>
                                <Swatch hex={swatch(p)} /> {p.paint}
                            </>
                        ),
                },
                {
                    title: 'Brush and thinning',
                    className: 'small soft',
                    render: (_, p) => [card(p)?.tools, card(p)?.consistency].filter(Boolean).join('; '),
                },
                { title: 'Min', align: 'right', className: 'num', render: (_, p) => fewMinutes(p.minutes) },
                {
                    title: 'Dries',
                    align: 'right',
                    className: 'num soft',
                    render: (_, p) => (p.dry > 0 ? `${p.dry} min` : ''),
                },
            ]}
        />
    );
}

/** Each pot once, with what it is used for, and how much of each paint the unit takes. */
export function Paints({ data }: { data: UnitPlan }) {
    const { plan } = data;
    const paints = new Map(plan.steps.filter((s) => s.colour).map((s) => [colourWords(s) ?? '', s]));
    const uses = (paint: string) => [
        ...new Set(
            plan.steps
                .filter((s) => colourWords(s) === paint)
                .map(
                    (s) =>
                        `${longName(data, s.technique).toLowerCase()} on ${areaName(data, s.area).toLowerCase()}`,
                ),
        ),
    ];
    return (
        <>
            <Table
                size="small"
                pagination={false}
                rowKey="paint"
                dataSource={[...paints.entries()].map(([paint, step]) => ({ paint, step }))}
                columns={[
                    {
                        title: 'Paint',
                        width: 260,
                        className: 'strong',
                        render: (_, { paint, step }) => (
                            <>
                                <Swatch hex={step.colour?.hex ?? null} /> {paint}
                            </>
                        ),
                    },
                    {
                        title: 'Used for',
                        className: 'small',
                        render: (_, { paint }) => uses(paint).join(', '),
                    },
                ]}
            />
            <div className="p-16">
                <PaintNeeds data={data} />
            </div>
        </>
    );
}
