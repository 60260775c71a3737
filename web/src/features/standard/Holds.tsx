import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import { setStudio, studioQuery } from '../../api/session';
import type { Change, Consequences, Finding, Ladder } from '../../api/types';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';

const KIND_WORDS: Record<Finding['kind'], string> = {
    asks_less: 'A higher rung asks for less',
    same_as: 'Two rungs are the same',
    matches_nothing: 'Matches nothing',
    nobody_may: 'Nobody may do it',
    nobody_sees: 'No check can see it',
    floor_above_ceiling: 'Floor above ceiling',
    lowers_bar: 'Lowers the bar',
    cannot_be_met: 'Cannot be met',
    over_minutes: 'Over its minutes',
    below_cost: 'Priced below cost',
};

/** Whether the ladder contradicts itself, and what it does to the orders that are under way. */
export function Holds({
    says,
    ladder,
    writes,
    busy,
    make,
}: {
    says: Consequences;
    ladder: Ladder;
    writes: boolean;
    busy: boolean;
    make: (c: Change[]) => void;
}) {
    return (
        <>
            <section className="card pad" aria-label="Does the ladder hold?">
                <div className="eyebrow">Does the ladder hold?</div>
                {says.lint.length === 0 && (
                    <Says kind="good" className="mt-6">
                        Nothing contradicts itself, no rung asks for less than the one below, and the figures
                        fit their minutes and prices.
                    </Says>
                )}
                {says.lint.map((f) => (
                    <Says kind="warn" className="mt-8" key={f.why}>
                        <span className="eyebrow">
                            {KIND_WORDS[f.kind]} · {ladder.tiers.find((t) => t.key === f.tier)?.name}
                        </span>
                        <br />
                        <b>{f.why}</b>
                        <br />
                        {f.change}
                        {writes && f.changes.length > 0 && (
                            <div className="mt-4">
                                <Button size="small" disabled={busy} onClick={() => make(f.changes)}>
                                    Do that
                                </Button>
                            </div>
                        )}
                    </Says>
                ))}
                <Rate currency={ladder.currency} writes={ladder.editable} />
            </section>
            <OpenOrders says={says} />
        </>
    );
}

function OpenOrders({ says }: { says: Consequences }) {
    const moved = says.units.filter((u) => Math.round(u.before) !== Math.round(u.after));
    return (
        <section className="card pad">
            <div className="eyebrow">Open orders</div>
            <p className="small soft my-4">
                {says.on_bench} {says.on_bench === 1 ? 'unit is' : 'units are'} on the bench and{' '}
                {says.units.length} {says.units.length === 1 ? 'is' : 'are'} to be released: all keep their
                version. Moved on, these would take:
            </p>
            {moved.length === 0 && <p className="small soft m-0">the same minutes as now.</p>}
            {moved.map((u) => (
                <div key={u.unit} className="small num">
                    <Link className="underlined" to={`/units/${u.unit}/plan`}>
                        {u.order}
                    </Link>{' '}
                    {u.label}, {u.tier}: {minutes(u.before)} → <b>{minutes(u.after)}</b>
                </div>
            ))}
        </section>
    );
}

function Rate({ currency, writes }: { currency: string; writes: boolean }) {
    const queries = useQueryClient();
    const rate = useQuery(studioQuery());
    const set = useMutation({
        mutationFn: (hourly_rate: string) => setStudio({ hourly_rate }),
        onSuccess: () =>
            Promise.all([
                queries.invalidateQueries({ queryKey: studioQuery().queryKey }),
                queries.invalidateQueries({ queryKey: ['consequences'] }),
            ]),
    });
    if (!rate.data) return null;
    const { hourly_rate } = rate.data;
    return (
        <div className="small soft mt-8">
            Costs are held against{' '}
            <Input
                key={hourly_rate}
                className="slot-input num"
                size="small"
                aria-label="What an hour at the bench costs"
                disabled={!writes}
                defaultValue={hourly_rate}
                onBlur={(e) => {
                    if (e.target.value !== hourly_rate) set.mutate(e.target.value);
                }}
            />{' '}
            {currency} an hour at the bench.
            {set.isError && <Says kind="bad">{saysWhy(set.error)}</Says>}
        </div>
    );
}
