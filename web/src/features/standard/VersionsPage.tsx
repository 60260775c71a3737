import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Flex } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { comparedQuery, discardDraft, ladderQuery, versionsQuery } from '../../api/standard';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';
import { day } from '../../ui/when';
import { ChangeList } from './ChangeList';
import css from './Standard.module.css';
import { StandardTabs } from './StandardTabs';

export default function VersionsPage() {
    const queries = useQueryClient();
    const person = usePerson();
    const notices = useNotices();
    const { modal } = App.useApp();
    const query = useQuery(versionsQuery());
    const open = useQuery(ladderQuery());
    const versions = query.data?.data ?? [];
    const [pair, setPair] = useState<{ from: number; to: number } | null>(null);
    const from = pair?.from ?? versions[1]?.number ?? versions[0]?.number ?? 0;
    const to = pair?.to ?? versions[0]?.number ?? 0;
    const compared = useQuery({
        ...comparedQuery(from, to, open.data?.version.revision),
        enabled: from > 0 && to > 0,
    });
    const discard = useMutation({
        mutationFn: () => discardDraft(open.data?.version.revision ?? 0),
        onSuccess: () => queries.invalidateQueries(),
        onError: notices.failed,
    });
    if (query.isPending) return <Loading what="the versions" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    const choose = (label: string, value: number, pick: (n: number) => void) => (
        <span className="small soft">
            {label}{' '}
            <Pick
                aria-label={label}
                value={value}
                onChange={pick}
                options={versions.map((v) => ({
                    value: v.number,
                    label: `v${v.number}${v.status === 'draft' ? ', draft' : ''}`,
                }))}
            />
        </span>
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
            <div className={`page ${css.packs}`}>
                <Flex vertical gap={10}>
                    {versions.map((v) => (
                        <section key={v.number} className="card pad" aria-label={`Version ${v.number}`}>
                            <Flex gap={8} align="baseline">
                                <h2 className="grow">Version {v.number}</h2>
                                <span className="small soft">
                                    {v.status === 'draft' ? 'draft' : v.published_at && day(v.published_at)}
                                </span>
                            </Flex>
                            <p className="my-4 mx-0">
                                {v.note ?? (
                                    <span className="soft">
                                        {v.status === 'draft' ? 'Not published yet.' : 'No note.'}
                                    </span>
                                )}
                            </p>
                            {v.published_by && <p className="small soft m-0">{v.published_by}</p>}
                            {v.sha256 && <p className="small soft m-0">SHA-256 {v.sha256.slice(0, 16)}…</p>}
                            <Button
                                type="link"
                                href={`/api/v1/standard/versions/${v.number}/export`}
                                download
                            >
                                Download
                            </Button>
                            {v.status === 'draft' && can(person, 'standard.edit') && (
                                <Button
                                    type="link"
                                    onClick={() =>
                                        void modal.confirm({
                                            title: `Throw draft v${v.number} away?`,
                                            content:
                                                'What was changed since the last published ' +
                                                'version is lost. Published versions stay.',
                                            okText: 'Throw it away',
                                            cancelText: 'Keep it',
                                            onOk: () => discard.mutateAsync(),
                                        })
                                    }
                                >
                                    Throw away
                                </Button>
                            )}
                        </section>
                    ))}
                </Flex>
                <section className="card pad">
                    <div className="eyebrow">
                        What changes from v{from} to v{to}
                    </div>
                    {compared.isPending ? (
                        <p className="soft">Comparing …</p>
                    ) : compared.isError ? (
                        <Says kind="bad">{saysWhy(compared.error)}</Says>
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
