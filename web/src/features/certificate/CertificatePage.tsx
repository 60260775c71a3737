import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Certificate } from '../../api/types';
import { Top } from '../../app/Frame';
import { Failed, Loading } from '../../ui/states';
import { plain } from '../standard/words';

export default function CertificatePage() {
    const { number } = useParams();
    const query = useQuery({
        queryKey: ['certificate', number],
        queryFn: () => api.get<Certificate>(`sign-offs/${number ?? ''}`),
    });
    if (query.isPending) return <Loading what="the certificate" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Sheet data={query.data} />;
}

function Sheet({ data }: { data: Certificate }) {
    const { record } = data;
    const queries = useQueryClient();
    const go = useNavigate();
    const { message } = App.useApp();
    const [reason, setReason] = useState<string | null>(null);
    const withdraw = useMutation({
        mutationFn: () => api.post<Certificate>(`sign-offs/${data.number}/withdrawal`, { reason }),
        onSuccess: async (next) => {
            await queries.invalidateQueries();
            await go(`/certificates/${next.number}`);
        },
        onError: (e) => void message.error(saysWhy(e)),
    });
    const date = new Date(data.signed_at);
    const { asked, names } = data.words;
    const withdrawal = data.kind === 'withdrawal';
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>
                    {withdrawal ? 'Withdrawal' : 'Certificate'} {data.number}
                </h1>
                <span className="room" />
                {data.may_withdraw && reason === null && (
                    <button className="btn danger" onClick={() => setReason('')}>
                        Withdraw …
                    </button>
                )}
                <button className="btn main" onClick={() => window.print()}>
                    Print
                </button>
            </Top>
            <div className="page">
                {reason !== null && (
                    <form
                        className="card pad no-print"
                        style={{ maxWidth: 820, margin: '0 auto 14px', display: 'grid', gap: 10 }}
                        onSubmit={(e) => {
                            e.preventDefault();
                            withdraw.mutate();
                        }}
                    >
                        <label className="field">
                            <span>
                                Why is the sign-off withdrawn? Its models return to the check; this record
                                stays.
                            </span>
                            <input
                                className="input"
                                autoFocus
                                value={reason}
                                onChange={(e) => setReason(e.target.value)}
                            />
                        </label>
                        <div style={{ display: 'flex', gap: 8 }}>
                            <button className="btn danger" disabled={!reason.trim() || withdraw.isPending}>
                                Withdraw the sign-off
                            </button>
                            <button type="button" className="btn" onClick={() => setReason(null)}>
                                Leave it
                            </button>
                        </div>
                    </form>
                )}
                <article className="card certificate">
                    {data.withdrawn_by !== null && (
                        <p className="says bad">
                            <b>This sign-off was withdrawn</b> by{' '}
                            <Link to={`/certificates/${data.withdrawn_by}`}>record {data.withdrawn_by}</Link>.
                        </p>
                    )}
                    <div className="eyebrow">
                        {record.standard?.name ?? 'Record'} · no. {data.number}
                    </div>
                    {withdrawal ? (
                        <>
                            <h1 style={{ fontSize: 30, margin: '6px 0 12px' }}>
                                Sign-off {record.of?.number} is withdrawn
                            </h1>
                            <p style={{ fontSize: 16 }}>{record.reason}</p>
                        </>
                    ) : (
                        <>
                            <h1 style={{ fontSize: 32, margin: '6px 0 4px' }}>{record.sculpt}</h1>
                            <p style={{ fontSize: 17, margin: '0 0 18px' }}>
                                painted and checked to <b>{record.tier?.name}</b>, standard version{' '}
                                <b>{record.standard?.version}</b>
                            </p>
                            <table className="plain" style={{ marginBottom: 18 }}>
                                <tbody>
                                    <tr>
                                        <td className="soft" style={{ width: 150, paddingLeft: 0 }}>
                                            For
                                        </td>
                                        <td>
                                            {record.order?.client}, {record.order?.title} (
                                            {record.order?.number})
                                        </td>
                                    </tr>
                                    <tr>
                                        <td className="soft" style={{ paddingLeft: 0 }}>
                                            Models
                                        </td>
                                        <td>
                                            {record.pieces.map((p) => `${p.number} (${p.code})`).join(', ')}
                                        </td>
                                    </tr>
                                    <tr>
                                        <td className="soft" style={{ paddingLeft: 0 }}>
                                            Painted by
                                        </td>
                                        <td>
                                            {[
                                                ...new Set(record.pieces.flatMap((p) => p.painters ?? [])),
                                            ].join(', ')}
                                        </td>
                                    </tr>
                                    <tr>
                                        <td className="soft" style={{ paddingLeft: 0 }}>
                                            Signed by
                                        </td>
                                        <td>
                                            {record.by.name},{' '}
                                            {[...new Set(record.pieces.map((p) => p.rule))].join('; ')}
                                        </td>
                                    </tr>
                                    <tr>
                                        <td className="soft" style={{ paddingLeft: 0 }}>
                                            On
                                        </td>
                                        <td>
                                            {date.toLocaleString('en-GB', {
                                                dateStyle: 'long',
                                                timeStyle: 'short',
                                            })}
                                        </td>
                                    </tr>
                                </tbody>
                            </table>
                            <h2>What it was held against</h2>
                            <p>{asked.join('; ')}.</p>
                            <h2>What the check found</h2>
                            {record.pieces.map((p) => {
                                const checks = p.checks ?? [];
                                const faults = checks.flatMap((c) =>
                                    c.faults.map((f) => ({ ...f, round: c.round })),
                                );
                                return (
                                    <p key={p.code} style={{ margin: '4px 0' }}>
                                        <b>Model {p.number}</b>:{' '}
                                        {checks.reduce((n, c) => n + c.answers.length, 0)} questions answered
                                        in {checks.length} {checks.length === 1 ? 'round' : 'rounds'}
                                        {faults.length === 0
                                            ? ', passed first time without a fault'
                                            : `; ${faults.map((f) => `${names[f.fault] ?? plain(f.fault)}${f.area ? ` on ${names[f.area] ?? plain(f.area)}` : ''} (${f.severity}, round ${f.round})`).join(', ')}`}
                                        {checks.some((c) => c.verdict === 'accepted')
                                            ? `; accepted as it is: ${checks.find((c) => c.verdict === 'accepted')?.reason ?? ''}`
                                            : ''}
                                        .
                                    </p>
                                );
                            })}
                        </>
                    )}
                    <div style={{ borderTop: '1px solid var(--rule)', marginTop: 24, paddingTop: 14 }}>
                        <div className="eyebrow">Record {data.number} of the chain</div>
                        <div className="hash">{data.hash}</div>
                        <p className="small soft" style={{ margin: '6px 0 0' }}>
                            follows{' '}
                            <span className="hash" style={{ fontWeight: 400 }}>
                                {data.previous.slice(0, 16)}…
                            </span>
                            . Nobody can change it; <code>ordotype:verify</code> names the first link that
                            does not fit.
                            {record.standard && (
                                <>
                                    {' '}
                                    Standard v{record.standard.version}:{' '}
                                    <span className="hash" style={{ fontWeight: 400 }}>
                                        {record.standard.sha256.slice(0, 16)}…
                                    </span>
                                </>
                            )}
                        </p>
                    </div>
                </article>
            </div>
        </>
    );
}
