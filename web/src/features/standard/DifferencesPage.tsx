import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Difference, Ladder } from '../../api/types';
import { Top } from '../../app/Frame';
import { minutes } from '../../ui/marks';
import { Empty, Loading } from '../../ui/states';
import { trialFigure } from './StandardPage';
import { NoLadder } from './NoLadder';
import { NoFigure, StandardTabs } from './StandardTabs';

const SIGNS: Record<string, string> = {
    added: '+',
    dropped: '−',
    strengthened: '▲',
    weakened: '▼',
    changed: '~',
    allows_more: '↑',
    allows_less: '↓',
};

/** Two tiers on one figure, in the painter's terms and in plain words. */
export default function DifferencesPage() {
    const [search, setSearch] = useSearchParams();
    const ladder = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    const tiers = ladder.data?.tiers.filter((t) => t.status === 'offered') ?? [];
    const from = search.get('from') ?? tiers[tiers.length > 2 ? 1 : 0]?.key ?? '';
    const to = search.get('to') ?? tiers[tiers.length > 2 ? 2 : 1]?.key ?? '';
    const sculpt = search.get('sculpt') ?? (ladder.data ? trialFigure(ladder.data) : '');
    const query = useQuery({
        queryKey: ['difference', from, to, sculpt, ladder.data?.version.revision],
        queryFn: () => api.get<Difference>(`standard/difference?from=${from}&to=${to}&sculpt=${sculpt}`),
        enabled: from !== '' && to !== '' && sculpt !== '',
        placeholderData: (before) => before,
    });
    if (ladder.isPending) return <Loading what="the ladder" />;
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    const pick = (key: string, value: string, options: { key: string; name: string }[], label: string) => (
        <label className="small soft">
            {label}{' '}
            <select
                className="btn"
                aria-label={label}
                value={value}
                onChange={(e) => setSearch({ from, to, sculpt, [key]: e.target.value })}
            >
                {options.map((o) => (
                    <option key={o.key} value={o.key}>
                        {o.name}
                    </option>
                ))}
            </select>
        </label>
    );
    const d = query.data;
    const price = (p: Difference['from']['price']) =>
        p ? `${d?.currency ?? ''} ${p.low}${p.high ? `–${p.high}` : ' and up'}` : 'no price set';
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
            {query.isError && (
                <p className="says bad" role="alert" style={{ margin: 20 }}>
                    {saysWhy(query.error)}
                </p>
            )}
            {ladder.data.sculpts.length === 0 ? (
                <NoFigure />
            ) : tiers.length < 2 ? (
                <Empty title="Fewer than two tiers are offered">
                    <p>Add a rung on the ladder: then there is something to tell apart.</p>
                </Empty>
            ) : !d ? (
                <Loading what="both plans" />
            ) : (
                <div
                    className="page"
                    style={{
                        display: 'grid',
                        gridTemplateColumns: 'minmax(0, 1.5fr) minmax(0, 1fr)',
                        gap: 16,
                        alignItems: 'start',
                    }}
                >
                    <section className="card pad">
                        <div className="eyebrow">For the painter</div>
                        <h2 className="num" style={{ margin: '2px 0 8px' }}>
                            {d.from.name} {minutes(d.from.minutes)} → {d.to.name} {minutes(d.to.minutes)}{' '}
                            <span className="soft">
                                ({d.to.minutes >= d.from.minutes ? '+' : '−'}
                                {minutes(Math.abs(d.to.minutes - d.from.minutes))} a model)
                            </span>
                        </h2>
                        {d.painter.length === 0 && <p className="soft">Nothing differs on this figure.</p>}
                        <table className="plain">
                            <tbody>
                                {d.painter.map((l, i) => (
                                    <tr key={i}>
                                        <td style={{ width: 22 }} title={l.change.replace('_', ' ')}>
                                            <b aria-label={l.change.replace('_', ' ')}>{SIGNS[l.change]}</b>
                                        </td>
                                        <td>
                                            <b>{l.what}</b>
                                            <div className="small soft">
                                                {l.areas.slice(0, 6).join(', ')}
                                                {l.areas.length > 6 ? ` and ${l.areas.length - 6} more` : ''}
                                            </div>
                                        </td>
                                        <td className="small" style={{ width: '42%' }}>
                                            {l.before ?? 'not asked'} → <b>{l.after ?? 'not asked'}</b>
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                        <h3 style={{ margin: '16px 0 6px' }}>Techniques that change</h3>
                        {Object.entries(d.techniques).map(([area, t]) => (
                            <p key={area} className="small" style={{ margin: '3px 0' }}>
                                <b>{area}</b> {t.gained.map((g) => `+ ${g}`).join(', ')}
                                {t.gained.length > 0 && t.dropped.length > 0 ? ' · ' : ''}
                                <span className="soft">{t.dropped.map((g) => `− ${g}`).join(', ')}</span>
                            </p>
                        ))}
                    </section>
                    <section className="card pad">
                        <div className="eyebrow">For the client</div>
                        <h2 style={{ margin: '2px 0 8px' }}>
                            {price(d.from.price)} → {price(d.to.price)}
                        </h2>
                        <p style={{ margin: 0 }}>
                            {d.to.name} gives, over {d.from.name}:
                        </p>
                        <ul style={{ paddingLeft: 18 }}>
                            {d.gains.map((g) => (
                                <li key={g} style={{ marginBottom: 4 }}>
                                    {g}
                                </li>
                            ))}
                        </ul>
                        {d.losses.length > 0 && (
                            <>
                                <p style={{ margin: 0 }}>and leaves out:</p>
                                <ul style={{ paddingLeft: 18 }}>
                                    {d.losses.map((g) => (
                                        <li key={g}>{g}</li>
                                    ))}
                                </ul>
                            </>
                        )}
                    </section>
                </div>
            )}
        </>
    );
}
