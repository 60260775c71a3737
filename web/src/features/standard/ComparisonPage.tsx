import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { Comparison as Sheet, Ladder, ShareLink } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Empty, Failed, Loading } from '../../ui/states';
import { Comparison } from './Comparison';
import { NoLadder } from './NoLadder';
import { NoFigure, StandardTabs } from './StandardTabs';

export default function ComparisonPage() {
    const queries = useQueryClient();
    const person = usePerson();
    const [chosen, setSculpt] = useState('');
    const [prices, setPrices] = useState(true);
    const [days, setDays] = useState(30);
    const ladder = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    const figures = ladder.data?.sculpts ?? [];
    const sculpt = chosen || (figures.find((s) => s.role === 'regular') ?? figures[0])?.slug || '';
    const query = useQuery({
        queryKey: ['comparison', sculpt],
        queryFn: () => api.get<Sheet>(`standard/comparison?sculpt=${sculpt}`),
        placeholderData: (before) => before,
        enabled: sculpt !== '' && ladder.data?.published != null,
    });
    const links = useQuery({
        queryKey: ['shares'],
        queryFn: () => api.get<{ data: ShareLink[] }>('shares'),
        enabled: can(person, 'share'),
    });
    const share = useMutation({
        mutationFn: () => api.post<{ path: string; expires_at: string }>('shares', { sculpt, prices, days }),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['shares'] }),
    });
    const withdraw = useMutation({
        mutationFn: (id: number) => api.remove(`shares/${id}`),
        onSuccess: () => queries.invalidateQueries({ queryKey: ['shares'] }),
    });
    if (ladder.isPending) return <Loading what="the ladder" />;
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    const date = (text: string) =>
        new Date(text).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
    return (
        <>
            <Top>
                <h1>Comparison sheet</h1>
                {query.data && <span className="pill">from v{query.data.version}, as published</span>}
                <span className="room" />
                <label className="small soft">
                    Figure{' '}
                    <select
                        className="btn"
                        aria-label="Figure"
                        value={sculpt}
                        onChange={(e) => {
                            setSculpt(e.target.value);
                            share.reset();
                        }}
                    >
                        {figures.map((s) => (
                            <option key={s.slug} value={s.slug}>
                                {s.name}
                            </option>
                        ))}
                    </select>
                </label>
                <label className="small soft">
                    <input type="checkbox" checked={prices} onChange={(e) => setPrices(e.target.checked)} />{' '}
                    with prices
                </label>
                <button className="btn main" onClick={() => window.print()}>
                    Print
                </button>
            </Top>
            <StandardTabs />
            <div className="page" style={{ display: 'grid', gap: 14 }}>
                {figures.length === 0 ? (
                    <NoFigure />
                ) : !ladder.data.published ? (
                    <Empty title="Nothing is published yet">
                        <p>A client sees what is binding: publish the draft, and the sheet is here.</p>
                    </Empty>
                ) : query.isPending ? (
                    <Loading what="the plans of every tier" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : (
                    <>
                        <h2 className="only-print">
                            {query.data.studio}: the {query.data.sculpt} at every tier
                        </h2>
                        <Comparison sheet={query.data} prices={prices} />
                    </>
                )}
                {can(person, 'share') && sculpt !== '' && (
                    <section className="card pad no-print" aria-label="Links for clients">
                        <div className="eyebrow">Links for clients</div>
                        <p className="small soft" style={{ margin: '4px 0 8px' }}>
                            Whoever has the link sees this sheet and nothing else, without signing in, until
                            it expires or you withdraw it.
                        </p>
                        <div style={{ display: 'flex', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
                            <label className="small soft">
                                Holds for{' '}
                                <input
                                    className="slot num"
                                    type="number"
                                    min={1}
                                    max={365}
                                    style={{ width: 54 }}
                                    value={days}
                                    onChange={(e) => setDays(Number(e.target.value))}
                                    aria-label="days"
                                />{' '}
                                days
                            </label>
                            <button className="btn" disabled={share.isPending} onClick={() => share.mutate()}>
                                Make a link
                            </button>
                            {share.data && (
                                <span className="says good small" role="status">
                                    Copy it now, it is not shown again:{' '}
                                    <b className="num">
                                        {window.location.origin}
                                        {share.data.path}
                                    </b>
                                </span>
                            )}
                            {share.isError && (
                                <span className="says bad small" role="alert">
                                    {saysWhy(share.error)}
                                </span>
                            )}
                        </div>
                        {(links.data?.data.length ?? 0) > 0 && (
                            <table className="plain" style={{ marginTop: 8 }}>
                                <tbody>
                                    {links.data?.data.map((l) => (
                                        <tr key={l.id}>
                                            <td>
                                                {l.sculpt}, v{l.version}
                                                {l.prices ? ', with prices' : ''}
                                            </td>
                                            <td>
                                                {l.holds
                                                    ? `until ${date(l.expires_at)}`
                                                    : 'shows nothing any more'}
                                            </td>
                                            <td className="right">
                                                {l.holds && (
                                                    <button
                                                        className="btn quiet"
                                                        onClick={() => withdraw.mutate(l.id)}
                                                    >
                                                        Withdraw
                                                    </button>
                                                )}
                                            </td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        )}
                    </section>
                )}
            </div>
        </>
    );
}
