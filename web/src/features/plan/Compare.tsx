import { useMutation, useQuery } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { PlanComparison, TierMove, UnitPlan, Use } from '../../api/types';
import { extentWords, minutes } from '../../ui/marks';
import { Loading } from '../../ui/states';

/** This plan beside another: what only one of them does, area by area. */
export function Compare({ data }: { data: UnitPlan }) {
    const [other, setOther] = useState('quickest');
    const tiers = useQuery({
        queryKey: ['tiers', data.unit.id, data.unit.revision],
        queryFn: () => api.get<{ data: TierMove[] }>(`units/${data.unit.id}/tiers`),
    });
    const query = useQuery({
        queryKey: ['compare', data.unit.id, data.unit.revision, other],
        queryFn: () =>
            api.get<PlanComparison>(`units/${data.unit.id}/compare?with=${encodeURIComponent(other)}`),
        placeholderData: (b) => b,
    });
    const c = query.data;
    const words = (list: Use[]) =>
        list
            .map(
                (u) =>
                    `${u.name.toLowerCase()}${u.extent === 'full' ? '' : ` (${extentWords(u.extent)})`}${u.passes > 1 ? ` ×${u.passes}` : ''}, ${minutes(u.minutes)}`,
            )
            .join('; ') || '–';
    return (
        <>
            <label className="field">
                <span>Beside this plan</span>
                <select className="input" value={other} onChange={(e) => setOther(e.target.value)}>
                    <option value="planner">as the planner has it, without changes by hand</option>
                    <option value="quickest">the quickest that passes</option>
                    <option value="best">the best within the minutes</option>
                    <optgroup label="Another tier">
                        {tiers.data?.data
                            .filter((t) => t.key !== data.unit.tier.key)
                            .map((t) => (
                                <option key={t.key} value={`tier:${t.key}`}>
                                    {t.name}
                                </option>
                            ))}
                    </optgroup>
                    {data.alike.length > 0 && (
                        <optgroup label="Another unit of this figure">
                            {data.alike.map((u) => (
                                <option key={u.id} value={`unit:${u.id}`}>
                                    {u.order_number}
                                    {u.label ? `, ${u.label}` : ''}, {u.tier}
                                </option>
                            ))}
                        </optgroup>
                    )}
                    {data.kinds.length > 1 && (
                        <optgroup label="A model that differs">
                            {data.kinds
                                .filter((k) => !k.plain)
                                .map((k) => (
                                    <option key={k.pieces[0]} value={`piece:${k.pieces[0] ?? 1}`}>
                                        model {k.pieces[0]}
                                        {k.variant ? `, ${k.variant}` : ''}
                                    </option>
                                ))}
                        </optgroup>
                    )}
                </select>
            </label>
            {query.isError && <p className="says bad">{saysWhy(query.error)}</p>}
            {query.isPending && <Loading what="the other plan" />}
            {c && (
                <div style={{ maxHeight: '60vh', overflow: 'auto', marginTop: 12 }}>
                    <table className="plain small">
                        <thead>
                            <tr>
                                <th>Area</th>
                                <th>Only in this plan</th>
                                <th>Only in {c.name}</th>
                                <th className="right">Min</th>
                            </tr>
                        </thead>
                        <tbody>
                            <tr>
                                <td className="strong">Altogether</td>
                                <td className="num">
                                    {minutes(c.minutes)}, {minutes(c.waiting)} waiting
                                    {c.short > 0 ? `, ${c.short} short` : ''}
                                    {c.over > 0 ? `, ${c.over} over` : ''}
                                </td>
                                <td className="num">
                                    {minutes(c.minutes_other)}, {minutes(c.waiting_other)} waiting
                                    {c.short_other > 0 ? `, ${c.short_other} short` : ''}
                                    {c.over_other > 0 ? `, ${c.over_other} over` : ''}
                                </td>
                                <td className="right num strong">
                                    {Math.round(c.minutes_other) === Math.round(c.minutes)
                                        ? '='
                                        : `${c.minutes_other > c.minutes ? '+' : '−'}${Math.abs(Math.round(c.minutes_other) - Math.round(c.minutes))}`}
                                </td>
                            </tr>
                            {c.differences.map((d) => (
                                <tr key={d.area ?? '*'}>
                                    <td className="strong">{d.name}</td>
                                    <td>{words(d.only_here)}</td>
                                    <td>{words(d.only_there)}</td>
                                    <td className="right num">
                                        {d.minutes === null || d.minutes_other === null
                                            ? ''
                                            : `${d.minutes_other >= d.minutes ? '+' : '−'}${Math.abs(Math.round(d.minutes_other - d.minutes))}`}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    {c.differences.length === 0 && <p className="soft">The two do the same on every area.</p>}
                </div>
            )}
        </>
    );
}

/** What was changed by hand goes to another unit of the same figure, as far as its tier lets it. */
export function Copy({ data, close }: { data: UnitPlan; close: () => void }) {
    const { message } = App.useApp();
    const open = data.alike.filter((u) => !u.released);
    const copy = useMutation({
        mutationFn: (u: (typeof open)[number]) =>
            api.post<{ edits_gone: string[] }>(`units/${data.unit.id}/copy`, {
                to: u.id,
                revision: u.revision,
            }),
        onSuccess: (done) => {
            close();
            void message.info(
                done.edits_gone.length === 0
                    ? 'Copied.'
                    : `Copied, but for ${done.edits_gone.join(', ')}: what was changed there does not go with that tier.`,
                6,
            );
        },
        onError: (e) => void message.error(saysWhy(e)),
    });
    const changed = Object.keys(data.unit.edits).length;
    if (changed === 0) return <p className="soft">Nothing was changed by hand in this plan.</p>;
    if (open.length === 0)
        return <p className="soft">There is no other unit of this figure that is still to be released.</p>;
    return (
        <>
            <p className="soft" style={{ marginTop: 0 }}>
                {changed} {changed === 1 ? 'area was' : 'areas were'} changed by hand. What does not go with
                the other unit’s tier is left out and named.
            </p>
            <div style={{ display: 'grid', gap: 6 }}>
                {open.map((u) => (
                    <button
                        key={u.id}
                        className="btn"
                        style={{ justifyContent: 'flex-start' }}
                        disabled={copy.isPending}
                        onClick={() => copy.mutate(u)}
                    >
                        {u.order_number}
                        {u.label ? `, ${u.label}` : ''}, {u.tier}
                    </button>
                ))}
            </div>
        </>
    );
}
