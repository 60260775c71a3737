import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { Link, useNavigate } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Certificate, Check, CheckUnit } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { StageStrip } from '../../ui/marks';
import { Empty, Failed, Loading } from '../../ui/states';

export default function ChecksPage() {
    const query = useQuery({ queryKey: ['checks'], queryFn: () => api.get<{ data: CheckUnit[] }>('checks') });
    const signed = useQuery({
        queryKey: ['sign-offs'],
        queryFn: () =>
            api.get<{
                data: { number: number; kind: string; signed_at: string; by: string; pieces: string[] }[];
            }>('sign-offs'),
    });
    const person = usePerson();
    const go = useNavigate();
    const queries = useQueryClient();
    const { message, modal } = App.useApp();
    const say = (e: unknown) => void message.error(saysWhy(e), 6);
    const open = useMutation({
        mutationFn: (piece: number) => api.post<Check>(`pieces/${piece}/check`),
        onSuccess: (check) => go(`/check/${check.id}`),
        onError: say,
    });
    const sign = useMutation({
        mutationFn: (pieces: number[]) => api.post<Certificate>('sign-offs', { pieces }),
        onSuccess: async (c) => {
            await queries.invalidateQueries();
            await go(`/certificates/${c.number}`);
        },
        onError: say,
    });
    const ask = (u: CheckUnit, pieces: number[]) =>
        modal.confirm({
            title: `Sign off ${pieces.length} ${pieces.length === 1 ? 'model' : 'models'}?`,
            icon: null,
            okText: 'Sign off',
            cancelText: 'Not yet',
            width: 480,
            content: (
                <p>
                    {u.sculpt}, {u.tier}, standard v{u.standard_version}. The record holds what was asked,
                    every answer and fault, who painted and who checked. Nobody can change it later; it can
                    only be withdrawn.
                </p>
            ),
            onOk: () => sign.mutateAsync(pieces).catch(() => undefined),
        });
    return (
        <>
            <Top>
                <h1>Check</h1>
                <span className="soft">what waits to be looked at and signed</span>
            </Top>
            <div
                className="page"
                style={{
                    display: 'grid',
                    gap: 14,
                    gridTemplateColumns: 'minmax(0, 1fr) 280px',
                    alignItems: 'start',
                }}
            >
                <div style={{ display: 'grid', gap: 14 }}>
                    {query.isPending ? (
                        <Loading what="what waits" />
                    ) : query.isError ? (
                        <Failed error={query.error} again={() => void query.refetch()} />
                    ) : query.data.data.length === 0 ? (
                        <Empty title="Nothing waits for a check">
                            <p>Painters offer finished models from the bench. Then they are here.</p>
                        </Empty>
                    ) : (
                        query.data.data.map((u) => {
                            const waiting = u.pieces.filter((p) => p.stage === 'offered');
                            const passed = u.pieces.filter((p) => p.stage === 'passed');
                            return (
                                <section key={u.id} className="card pad" style={{ display: 'grid', gap: 10 }}>
                                    <div
                                        style={{
                                            display: 'flex',
                                            gap: 12,
                                            alignItems: 'center',
                                            flexWrap: 'wrap',
                                        }}
                                    >
                                        <div style={{ flex: 1 }}>
                                            <h2>{u.sculpt}</h2>
                                            <span className="soft">
                                                {u.tier} v{u.standard_version} · {u.title} · {u.order_number}
                                            </span>
                                        </div>
                                        {passed.length > 0 && can(person, 'sign') && (
                                            <button
                                                className="btn main"
                                                onClick={() =>
                                                    ask(
                                                        u,
                                                        passed.map((p) => p.id),
                                                    )
                                                }
                                            >
                                                Sign off {passed.length} passed
                                            </button>
                                        )}
                                    </div>
                                    <StageStrip pieces={u.pieces} />
                                    {waiting.length > 0 && (
                                        <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
                                            {waiting.map((p) =>
                                                p.open_check !== null ? (
                                                    <Link
                                                        key={p.id}
                                                        className="btn"
                                                        to={`/check/${p.open_check}`}
                                                    >
                                                        Go on with model {p.number}
                                                    </Link>
                                                ) : (
                                                    can(person, 'check.answer') && (
                                                        <button
                                                            key={p.id}
                                                            className="btn"
                                                            disabled={open.isPending}
                                                            onClick={() => open.mutate(p.id)}
                                                        >
                                                            Check model {p.number}
                                                            {p.rounds > 0 ? ', again' : ''}
                                                        </button>
                                                    )
                                                ),
                                            )}
                                        </div>
                                    )}
                                    {waiting.length === 0 && passed.length === 0 && (
                                        <span className="soft small">
                                            {u.pieces.some((p) => p.stage === 'rework')
                                                ? 'Sent back models are on the bench.'
                                                : 'All signed off.'}
                                        </span>
                                    )}
                                </section>
                            );
                        })
                    )}
                </div>
                <section className="card pad">
                    <div className="eyebrow">Signed off</div>
                    {signed.data?.data.length === 0 && <p className="soft small">Nothing yet.</p>}
                    {signed.data?.data.map((s) => (
                        <p key={s.number} style={{ margin: '8px 0 0' }}>
                            <Link to={`/certificates/${s.number}`} className="strong">
                                No. {s.number}
                                {s.kind === 'withdrawal' ? ', withdrawal' : ''}
                            </Link>
                            <br />
                            <span className="small soft">
                                {new Date(s.signed_at).toLocaleDateString('en-GB', {
                                    day: 'numeric',
                                    month: 'short',
                                    year: 'numeric',
                                })}
                                , {s.by}, {s.pieces.length} {s.pieces.length === 1 ? 'model' : 'models'}
                            </span>
                        </p>
                    ))}
                </section>
            </div>
        </>
    );
}
