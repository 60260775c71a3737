import { useQuery } from '@tanstack/react-query';
import { Select, Table } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { PlanComparison, UnitPlan, Use } from '../../api/types';
import { besideQuery, tiersQuery } from '../../api/units';
import { Field } from '../../ui/Field';
import { extentWords, minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';

const used = (list: Use[]): string =>
    list
        .map(
            (u) =>
                `${u.name.toLowerCase()}${u.extent === 'full' ? '' : `, ${extentWords(u.extent)}`}` +
                (u.passes > 1 ? ` ×${u.passes}` : ''),
        )
        .join('; ');

/** +12 or −3 whole minutes; nothing where both take the same. */
const more = (one: number, other: number): string => {
    const by = Math.round(other) - Math.round(one);
    return by === 0 ? '=' : `${by > 0 ? '+' : '−'}${Math.abs(by)}`;
};

const altogether = (m: number, waiting: number, short: number, over: number): string =>
    `${minutes(m)}, ${minutes(waiting)} ` +
    `waiting${short > 0 ? `, ${short} short` : ''}${over > 0 ? `, ${over} over` : ''}`;

/** This plan beside another: what only one of them does, area by area. */
export function Compare({ data }: { data: UnitPlan }) {
    const [other, setOther] = useState('quickest');
    const tiers = useQuery(tiersQuery(data.unit.id, data.unit.revision));
    const query = useQuery(besideQuery(data.unit.id, other, data.unit.revision));
    const groups = [
        {
            label: 'The planner',
            options: [
                { value: 'quickest', label: 'quickest that passes' },
                { value: 'best', label: 'best within the minutes' },
                { value: 'planner', label: 'as the planner has it, without changes by hand' },
            ],
        },
        {
            label: 'Another tier',
            options: (tiers.data?.data ?? [])
                .filter((t) => t.key !== data.unit.tier.key && t.minutes !== null)
                .map((t) => ({ value: `tier:${t.key}`, label: t.name })),
        },
        {
            label: 'Another unit of this figure',
            options: data.alike.map((u) => ({
                value: `unit:${u.id}`,
                label: `${u.order_number}${u.label ? `, ${u.label}` : ''}`,
            })),
        },
        {
            label: 'A model that differs',
            options: data.kinds
                .filter((k) => !k.plain)
                .map((k) => ({
                    value: `piece:${k.pieces[0] ?? 1}`,
                    label: `model ${k.pieces[0] ?? 1}${k.variant ? `, ${k.variant}` : ''}`,
                })),
        },
    ];
    return (
        <>
            <Field label="This plan beside">
                <Select
                    aria-label="This plan beside"
                    value={other}
                    onChange={setOther}
                    options={groups.filter((g) => g.options.length > 0)}
                />
            </Field>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {query.isPending && <Loading what="the other plan" />}
            {query.data && <Differences comparison={query.data} />}
        </>
    );
}

function Differences({ comparison: c }: { comparison: PlanComparison }) {
    const rows = [
        {
            name: 'Altogether',
            here: altogether(c.minutes, c.waiting, c.short, c.over),
            there: altogether(c.minutes_other, c.waiting_other, c.short_other, c.over_other),
            by: more(c.minutes, c.minutes_other),
        },
        ...c.differences.map((d) => ({
            name: d.name,
            here: used(d.only_here),
            there: used(d.only_there),
            by: d.minutes === null || d.minutes_other === null ? '' : more(d.minutes, d.minutes_other),
        })),
    ];
    return (
        <>
            <Table
                className="mt-12"
                size="small"
                pagination={false}
                scroll={{ y: '56vh' }}
                rowKey="name"
                dataSource={rows}
                columns={[
                    { title: 'Area', dataIndex: 'name', className: 'strong' },
                    { title: 'Only in this plan', dataIndex: 'here' },
                    { title: `Only in ${c.name}`, dataIndex: 'there' },
                    { title: 'Min', dataIndex: 'by', align: 'right', className: 'num', width: 70 },
                ]}
            />
            {c.differences.length === 0 && <p className="soft">The two do the same on every area.</p>}
        </>
    );
}
