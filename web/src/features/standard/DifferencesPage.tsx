import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { saysWhy } from '../../api/client';
import { differenceQuery, ladderQuery } from '../../api/standard';
import type { Difference } from '../../api/types';
import { Top } from '../../app/Top';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Empty, Loading } from '../../ui/states';
import { NoLadder } from './NoLadder';
import css from './Standard.module.css';
import { NoFigure, StandardTabs } from './StandardTabs';
import { trialFigure } from './trial';
import { moneyRange } from '../../ui/money';
import { ForPainter } from './ForPainter';

/** Two tiers on one figure, in the painter's terms and in plain words. */
export default function DifferencesPage() {
    const [search, setSearch] = useSearchParams();
    const ladder = useQuery(ladderQuery());
    const tiers = ladder.data?.tiers.filter((t) => t.status === 'offered') ?? [];
    const from = search.get('from') ?? tiers[tiers.length > 2 ? 1 : 0]?.key ?? '';
    const to = search.get('to') ?? tiers[tiers.length > 2 ? 2 : 1]?.key ?? '';
    const sculpt = search.get('sculpt') ?? (ladder.data ? trialFigure(ladder.data) : '');
    const query = useQuery(differenceQuery(from, to, sculpt, ladder.data));
    if (ladder.isPending) return <Loading what="the ladder" />;
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    const pick = (key: string, value: string, options: { key: string; name: string }[], label: string) => (
        <span className="small soft">
            {label}{' '}
            <Pick
                aria-label={label}
                value={value}
                onChange={(value) => setSearch({ from, to, sculpt, [key]: value })}
                options={options.map((o) => ({ value: o.key, label: o.name }))}
            />
        </span>
    );
    const d = query.data;
    return (
        <>
            <Top>
                <h1>Between two tiers</h1>
                <span className="room" />
                {pick('from', from, tiers, 'From')}
                {pick('to', to, tiers, 'to')}
                {pick(
                    'sculpt',
                    sculpt,
                    ladder.data.sculpts.map((s) => ({ key: s.slug, name: s.name })),
                    'on',
                )}
            </Top>
            <StandardTabs />
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {ladder.data.sculpts.length === 0 ? (
                <NoFigure />
            ) : tiers.length < 2 ? (
                <Empty title="Fewer than two tiers are offered">
                    <p>Add a rung on the ladder: then there is something to tell apart.</p>
                </Empty>
            ) : !d ? (
                <Loading what="both plans" />
            ) : (
                <div className={`page ${css.halves}`}>
                    <ForPainter difference={d} />
                    <ForClient difference={d} />
                </div>
            )}
        </>
    );
}

function ForClient({ difference: d }: { difference: Difference }) {
    const price = (p: Difference['from']['price']) => (p ? moneyRange(p, d.currency) : 'no price set');
    return (
        <section className="card pad">
            <div className="eyebrow">For the client</div>
            <h2 className="mt-2 mx-0 mb-8">
                {price(d.from.price)} → {price(d.to.price)}
            </h2>
            <p className="m-0">
                {d.to.name} gives, over {d.from.name}:
            </p>
            <ul className="pl-18">
                {d.gains.map((g) => (
                    <li className="mb-4" key={g}>
                        {g}
                    </li>
                ))}
            </ul>
            {d.losses.length > 0 && (
                <>
                    <p className="m-0">and leaves out:</p>
                    <ul className="pl-18">
                        {d.losses.map((g) => (
                            <li key={g}>{g}</li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}
