import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { Ladder, StandardChange } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Failed, Loading } from '../../ui/states';
import { ChangeList } from './StandardPage';
import { StandardTabs } from './StandardTabs';

interface Version {
    number: number;
    status: string;
    note: string | null;
    sha256: string | null;
    published_at: string | null;
    published_by: string | null;
}

export default function VersionsPage() {
    const queries = useQueryClient();
    const person = usePerson();
    const { message, modal } = App.useApp();
    const query = useQuery({
        queryKey: ['standard', 'versions'],
        queryFn: () => api.get<{ data: Version[] }>('standard/versions'),
    });
    const open = useQuery({ queryKey: ['standard'], queryFn: () => api.get<Ladder>('standard') });
    const versions = query.data?.data ?? [];
    const [pair, setPair] = useState<{ from: number; to: number } | null>(null);
    const from = pair?.from ?? versions[1]?.number ?? versions[0]?.number ?? 0;
    const to = pair?.to ?? versions[0]?.number ?? 0;
    const compared = useQuery({
        queryKey: ['compare', from, to, open.data?.version.revision],
        queryFn: () => api.get<{ changes: StandardChange[] }>(`standard/compare?from=${from}&to=${to}`),
        enabled: from > 0 && to > 0,
    });
    const discard = useMutation({
        mutationFn: () => api.remove('standard/draft', { revision: open.data?.version.revision }),
        onSuccess: () => queries.invalidateQueries(),
        onError: (e) => void message.error(saysWhy(e)),
    });
    if (query.isPending) return <Loading what="the versions" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    const choose = (label: string, value: number, pick: (n: number) => void) => (
        <label className="small soft">
            {label}{' '}
            <select
                className="btn"
                aria-label={label}
                value={value}
                onChange={(e) => pick(Number(e.target.value))}
            >
                {versions.map((v) => (
                    <option key={v.number} value={v.number}>
                        v{v.number}
                        {v.status === 'draft' ? ', draft' : ''}
                    </option>
                ))}
            </select>
        </label>
    );
    return (
        <>
            <Top>
                <h1>Versions</h1>
                <span className="room" />
                {choose('From', from, (n) => setPair({ from: n, to }))}
                {choose('to', to, (n) => setPair({ from, to: n }))}
            </Top>
            <StandardTabs />
            <div
                className="page"
                style={{
                    display: 'grid',
                    gridTemplateColumns: '360px minmax(0, 1fr)',
                    gap: 16,
                    alignItems: 'start',
                }}
            >
                <div style={{ display: 'grid', gap: 10 }}>
                    {versions.map((v) => (
                        <section key={v.number} className="card pad" aria-label={`Version ${v.number}`}>
                            <div style={{ display: 'flex', gap: 8, alignItems: 'baseline' }}>
                                <h2 style={{ flex: 1 }}>Version {v.number}</h2>
                                <span className="small soft">
                                    {v.status === 'draft'
                                        ? 'draft'
                                        : v.published_at &&
                                          new Date(v.published_at).toLocaleDateString('en-GB', {
                                              day: 'numeric',
                                              month: 'short',
                                              year: 'numeric',
                                          })}
                                </span>
                            </div>
                            <p style={{ margin: '4px 0' }}>
                                {v.note ?? (
                                    <span className="soft">
                                        {v.status === 'draft' ? 'Not published yet.' : 'No note.'}
                                    </span>
                                )}
                            </p>
                            {v.published_by && (
                                <p className="small soft" style={{ margin: 0 }}>
                                    {v.published_by}
                                </p>
                            )}
                            {v.sha256 && (
                                <p className="small soft" style={{ margin: 0, wordBreak: 'break-all' }}>
                                    SHA-256 {v.sha256.slice(0, 16)}…
                                </p>
                            )}
                            <a
                                className="btn quiet"
                                href={`/api/v1/standard/versions/${v.number}/export`}
                                download
                            >
                                Download
                            </a>
                            {v.status === 'draft' && can(person, 'standard.edit') && (
                                <button
                                    className="btn quiet"
                                    style={{ color: 'var(--fault)' }}
                                    onClick={() =>
                                        modal.confirm({
                                            title: `Throw draft v${v.number} away?`,
                                            content:
                                                'What was changed since the last published version is lost. Published versions stay.',
                                            okText: 'Throw it away',
                                            cancelText: 'Keep it',
                                            onOk: () => discard.mutateAsync(),
                                        })
                                    }
                                >
                                    Throw away
                                </button>
                            )}
                        </section>
                    ))}
                </div>
                <section className="card pad">
                    <div className="eyebrow">
                        What changes from v{from} to v{to}
                    </div>
                    {compared.isPending ? (
                        <p className="soft">Comparing …</p>
                    ) : compared.isError ? (
                        <p className="says bad">{saysWhy(compared.error)}</p>
                    ) : compared.data.changes.length === 0 ? (
                        <p className="soft">Nothing{from === to ? ': it is the same version' : ''}.</p>
                    ) : (
                        <ChangeList changes={compared.data.changes} />
                    )}
                </section>
            </div>
        </>
    );
}
