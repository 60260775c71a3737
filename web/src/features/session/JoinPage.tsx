import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { useNavigate, useParams } from 'react-router';
import { saysWhy } from '../../api/client';
import { invitationQuery, takeInvitation } from '../../api/people';
import { Says } from '../../ui/Says';
import { Empty, Loading } from '../../ui/states';
import { PASSWORD } from '../settings/roles';
import css from './SignIn.module.css';

/** Where a link leads that the lead gave: a password is set, and the studio is open. */
export default function JoinPage() {
    const { secret = '' } = useParams();
    const query = useQuery(invitationQuery(secret));
    const queries = useQueryClient();
    const go = useNavigate();
    const join = useMutation({
        mutationFn: ({ password }: { password: string }) => takeInvitation(secret, password),
        onSuccess: async () => {
            queries.clear();
            await go('/', { replace: true });
        },
    });
    if (query.isPending) return <Loading what="the link" />;
    if (query.isError)
        return (
            <Empty title="This link opens nothing">
                <p>{saysWhy(query.error)}</p>
            </Empty>
        );
    const { name, email, first } = query.data;
    return (
        <main className={css.door}>
            <Form<{ password: string }>
                className={`card ${css.form}`}
                layout="vertical"
                requiredMark={false}
                onFinish={(given) => join.mutate(given)}
            >
                <img src="/mark.svg" alt="" width="52" height="52" />
                <h1 className="mt-16">{first ? `Welcome, ${name}` : name}</h1>
                <p className="soft mt-4 mb-18">
                    Set a password of your own. You sign in with it as <b>{email}</b>.
                </p>
                <Form.Item
                    name="password"
                    label={`Password, at least ${PASSWORD} characters`}
                    rules={[{ required: true, min: PASSWORD, message: `At least ${PASSWORD} characters.` }]}
                >
                    <Input.Password autoComplete="new-password" />
                </Form.Item>
                {join.isError && (
                    <Says kind="bad" className="mb-14">
                        {saysWhy(join.error)}
                    </Says>
                )}
                <Button type="primary" htmlType="submit" block loading={join.isPending}>
                    {first ? 'Come in' : 'Set it and come in'}
                </Button>
            </Form>
        </main>
    );
}
