import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Progress } from 'antd';
import { useEffect } from 'react';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { callOffImport, importQuery } from '../../api/standard';
import { Says } from '../../ui/Says';

type Schemas = components['schemas'];
export type Taken = Schemas['ImportFileAnswer'] | Schemas['ImportQueuedAnswer'];

/** A long file on its way in: how far it is, and a way to call it off. */
export function LongImport({ id }: { id: number }) {
    const queries = useQueryClient();
    const query = useQuery(importQuery(id));
    const stop = useMutation({
        mutationFn: () => callOffImport(id),
        onSuccess: (state) => queries.setQueryData(importQuery(id).queryKey, state),
    });
    const state = query.data?.state;
    // What was taken in shows elsewhere.
    useEffect(() => {
        if (state === 'done')
            void queries.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'import' });
    }, [state, queries]);
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    if (query.data === undefined) return <p className="soft">Looking how far it is …</p>;
    const { done, all, said, problems } = query.data;
    if (state === 'done') return <Says kind="good">{said}</Says>;
    if (state === 'refused' || state === 'cancelled')
        return (
            <Says kind={state === 'refused' ? 'bad' : 'warn'}>
                {problems.length === 0 ? (said ?? 'It was called off. Nothing of it was taken in.') : ''}
                {problems.map((p) => (
                    <div key={p.pointer + p.detail}>
                        <span className="num">{p.pointer || 'the file'}</span> {p.detail}
                    </div>
                ))}
            </Says>
        );
    return (
        <>
            <p>
                {state === 'waiting'
                    ? 'It waits for its turn.'
                    : 'It is being taken in. You can leave this page; nobody waits for it.'}
            </p>
            <Progress
                percent={all === 0 ? 0 : Math.floor((100 * done) / all)}
                aria-label="How much is in"
                status="active"
            />
            <Button danger loading={stop.isPending} onClick={() => stop.mutate()}>
                Call it off
            </Button>
        </>
    );
}
