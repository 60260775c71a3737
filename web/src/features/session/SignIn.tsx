import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { Session } from '../../api/types';

const DOES: Record<string, string> = {
    lead: 'Lead painter: the standard, plans, checks, sign-off',
    painter: 'Painter: the bench, and checks of others',
    desk: 'Front desk: clients and orders',
};

export function SignIn({ demo }: { demo: Session['demo'] }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const queries = useQueryClient();
    const signIn = useMutation({
        mutationFn: (with_: { email: string; password: string }) => api.post<Session>('session', with_),
        onSuccess: (session) => queries.setQueryData(['session'], session),
    });
    const submit = (e: FormEvent) => {
        e.preventDefault();
        signIn.mutate({ email, password });
    };
    return (
        <main style={{ minHeight: '100vh', display: 'grid', placeItems: 'center', padding: 20 }}>
            <div
                style={{
                    display: 'grid',
                    gridTemplateColumns:
                        demo.length > 0
                            ? 'minmax(280px, 360px) minmax(280px, 420px)'
                            : 'minmax(280px, 360px)',
                    gap: 20,
                }}
            >
                <form
                    className="card"
                    style={{ padding: 28, display: 'grid', gap: 16, alignContent: 'start' }}
                    onSubmit={submit}
                >
                    <img src="/mark.svg" alt="" width="52" height="52" />
                    <div>
                        <h1>Ordotype</h1>
                        <p className="soft" style={{ margin: '4px 0 0' }}>
                            From the standard to the signed piece.
                        </p>
                    </div>
                    <label className="field">
                        <span>E-mail address</span>
                        <input
                            className="input"
                            type="email"
                            autoComplete="username"
                            required
                            value={email}
                            onChange={(e) => setEmail(e.target.value)}
                        />
                    </label>
                    <label className="field">
                        <span>Password</span>
                        <input
                            className="input"
                            type="password"
                            autoComplete="current-password"
                            required
                            value={password}
                            onChange={(e) => setPassword(e.target.value)}
                        />
                    </label>
                    {signIn.isError && (
                        <p className="says bad" role="alert" style={{ margin: 0 }}>
                            {saysWhy(signIn.error)}
                        </p>
                    )}
                    <button className="btn main" disabled={signIn.isPending}>
                        Sign in
                    </button>
                </form>
                {demo.length > 0 && (
                    <section className="card" style={{ padding: 28 }}>
                        <div className="eyebrow">Demo studio</div>
                        <h2 style={{ margin: '4px 0 12px' }}>Heron Lane: who are you today?</h2>
                        <div style={{ display: 'grid', gap: 8 }}>
                            {demo.map((p) => (
                                <button
                                    key={p.email}
                                    className="btn"
                                    style={{
                                        justifyContent: 'flex-start',
                                        height: 'auto',
                                        padding: '8px 12px',
                                        textAlign: 'left',
                                        whiteSpace: 'normal',
                                    }}
                                    onClick={() => signIn.mutate({ email: p.email, password: p.password })}
                                >
                                    <span>
                                        <b>{p.name}</b>
                                        {p.may_sign && (
                                            <span
                                                className="pill"
                                                style={{ marginLeft: 8, padding: '0 8px' }}
                                            >
                                                may sign
                                            </span>
                                        )}
                                        <br />
                                        <span className="soft small" style={{ fontWeight: 400 }}>
                                            {DOES[p.role]}
                                        </span>
                                    </span>
                                </button>
                            ))}
                        </div>
                        <p className="soft small" style={{ margin: '14px 0 0' }}>
                            Password for all of them: <b>{demo[0]?.password}</b>. People, orders and figures
                            are made up.
                        </p>
                    </section>
                )}
            </div>
        </main>
    );
}
