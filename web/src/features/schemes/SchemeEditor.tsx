import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { saysWhy } from '../../api/client';
import { changeScheme, type Scheme, schemeQuery, triedSchemeQuery } from '../../api/colours';
import type { SchemeTried } from '../../api/types';
import { useKept } from '../../app/kept';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Judge } from './Judge';
import { OUTCOME, type SchemeDocument } from './scheme';
import { SchemeFigures } from './SchemeFigures';
import { Slots } from './Slots';
import { Versions } from './Versions';

export function SchemeEditor({ scheme, order }: { scheme: Scheme; order: number | null }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const editable = can(usePerson(), 'schemes.edit');
    const was = scheme.document as SchemeDocument;
    const {
        now: document,
        setNow: setDocument,
        changed,
        forget,
    } = useKept<SchemeDocument>(`scheme.${scheme.slug}.${scheme.number}`, was);
    const [lit, setLit] = useState<string | null>(null);
    const [judging, setJudging] = useState(false);
    const tried = useQuery({
        ...triedSchemeQuery({ ...document }, order),
        enabled: changed && editable,
        placeholderData: keepPreviousData,
    });
    const shown: SchemeTried = changed && tried.data ? tried.data : scheme;
    const put = (next: Scheme) => queries.setQueryData(schemeQuery(scheme.slug, order).queryKey, next);
    const save = useMutation({
        mutationFn: () =>
            changeScheme(scheme.slug, {
                number: scheme.number,
                document: { ...document },
                ...(order === null ? {} : { order }),
            }),
        onSuccess: (next) => {
            forget();
            put(next);
            void queries.invalidateQueries({ queryKey: ['plan'] });
            void queries.invalidateQueries({ queryKey: ['schemes'] });
            notices.done(
                next.number === scheme.number
                    ? 'Kept.'
                    : `Kept as version ${next.number}: what is on the bench stays with version ${scheme.number}.`,
            );
        },
        onError: notices.failed,
    });
    const untried = scheme.versions.find((v) => v.number === scheme.number)?.outcome === 'untried';
    return (
        <>
            <Top>
                <Link to="/schemes" className="soft">
                    Schemes
                </Link>
                <h1>{scheme.name}</h1>
                <span className="pill">v{scheme.number}</span>
                <span className="pill">
                    {OUTCOME[scheme.versions.find((v) => v.number === scheme.number)?.outcome ?? 'untried']}
                </span>
                <ShownOn scheme={scheme} order={order} />
                <span className="room" />
                {editable && untried && <Button onClick={() => setJudging(true)}>Test model</Button>}
                {editable && changed && <Button onClick={() => setDocument(was)}>Leave as it was</Button>}
                {editable && (
                    <Button
                        type="primary"
                        disabled={!changed || save.isPending || tried.isError}
                        onClick={() => save.mutate()}
                    >
                        Keep
                    </Button>
                )}
            </Top>
            {tried.isError && <Says kind="bad">{saysWhy(tried.error)}</Says>}
            <div className="scheme-page">
                <Slots
                    slots={shown.slots}
                    paints={shown.paints}
                    document={document}
                    editable={editable}
                    change={setDocument}
                    lit={setLit}
                />
                <aside className="stack">
                    <SchemeFigures figures={shown.figures} lit={lit} />
                    <Versions versions={scheme.versions} />
                </aside>
            </div>
            <Modal
                open={judging}
                title={`The test model of version ${scheme.number}`}
                footer={null}
                onCancel={() => setJudging(false)}
                destroyOnHidden
            >
                <Judge
                    scheme={scheme}
                    done={(next) => {
                        setJudging(false);
                        put(next);
                        void queries.invalidateQueries();
                    }}
                />
            </Modal>
        </>
    );
}

function ShownOn({ scheme, order }: { scheme: Scheme; order: number | null }) {
    const [search, setSearch] = useSearchParams();
    return (
        <Pick
            aria-label="Shown on the figures of"
            value={order ?? 0}
            onChange={(id) => {
                const next = new URLSearchParams(search);
                if (id > 0) next.set('order', String(id));
                else next.delete('order');
                setSearch(next);
            }}
            options={[
                { value: 0, label: 'on every figure' },
                ...scheme.orders.map((o) => ({
                    value: o.id,
                    label: `on the figures of ${o.number}, ${o.title}`,
                })),
            ]}
        />
    );
}
