import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input, Tag } from 'antd';
import { Problem, saysWhy } from '../../api/client';
import { sessionQuery, signIn } from '../../api/session';
import type { Session } from '../../api/types';
import { Says } from '../../ui/Says';
import css from './SignIn.module.css';

const DOES: Record<string, string> = {
    lead: 'Lead painter: the standard, plans, checks, sign-off',
    painter: 'Painter: the bench, and checks of others',
    desk: 'Front desk: clients and orders',
};

interface Credentials {
    email: string;
    password: string;
    code?: string;
}

export function SignIn({ demo, studio }: Pick<Session, 'demo' | 'studio'>) {
    const queries = useQueryClient();
    const enter = useMutation({
        mutationFn: signIn,
        onSuccess: (session) => queries.setQueryData(sessionQuery().queryKey, session),
    });
    // Whether there is a second factor is told to whoever knows the password alone.
    const wantsCode = enter.error instanceof Problem && enter.error.body.errors[0]?.pointer === '/code';
    return (
        <main className={css.door}>
            <div className={css.both}>
                <Form<Credentials>
                    className={`card ${css.form}`}
                    layout="vertical"
                    requiredMark={false}
                    onFinish={(who) => enter.mutate(who)}
                >
                    <img src="/mark.svg" alt="" width="52" height="52" />
                    <h1 className="mt-16">{studio.name || 'Ordotype'}</h1>
                    <p className="soft mt-4 mb-18">From the standard to the signed piece.</p>
                    <Form.Item
                        name="email"
                        label="E-mail address"
                        rules={[{ required: true, type: 'email', message: 'Your e-mail address, please.' }]}
                    >
                        <Input type="email" autoComplete="username" />
                    </Form.Item>
                    <Form.Item
                        name="password"
                        label="Password"
                        rules={[{ required: true, message: 'Your password, please.' }]}
                    >
                        <Input.Password autoComplete="current-password" />
                    </Form.Item>
                    {wantsCode && (
                        <Form.Item name="code" label="Code of your device, or one from paper">
                            <Input autoFocus autoComplete="one-time-code" />
                        </Form.Item>
                    )}
                    {enter.isError && (
                        <Says kind="bad" className="mb-14">
                            {saysWhy(enter.error)}
                        </Says>
                    )}
                    <Button type="primary" htmlType="submit" block loading={enter.isPending}>
                        Sign in
                    </Button>
                </Form>
                {demo.length > 0 && (
                    <Demo people={demo} enter={({ email, password }) => enter.mutate({ email, password })} />
                )}
            </div>
        </main>
    );
}

function Demo({ people, enter }: { people: Session['demo']; enter: (who: Credentials) => void }) {
    return (
        <section className={`card ${css.demo}`}>
            <div className="eyebrow">Demo studio</div>
            <h2 className="mt-4 mb-12">Heron Lane: who are you today?</h2>
            <Flex vertical gap={8}>
                {people.map((p) => (
                    <Button key={p.email} className={css.person} onClick={() => enter(p)}>
                        <span>
                            <b>{p.name}</b> {p.may_sign && <Tag>may sign</Tag>}
                            <br />
                            <span className="soft small">{DOES[p.role]}</span>
                        </span>
                    </Button>
                ))}
            </Flex>
            <p className="soft small mt-14">
                Password for all of them: <b>{people[0]?.password}</b>. People, orders and figures are made
                up.
            </p>
        </section>
    );
}
