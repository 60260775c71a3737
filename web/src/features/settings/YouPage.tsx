import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { saysWhy } from '../../api/client';
import { changePassword, signOutElsewhere } from '../../api/people';
import { useNotices } from '../../app/notices';
import { usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Says } from '../../ui/Says';
import { PASSWORD, ROLES } from './roles';
import { SecondFactor } from './SecondFactor';
import { SettingsTabs } from './SettingsTabs';
import { TokensCard } from './TokensCard';

interface Passwords {
    current: string;
    password: string;
}

/** Everybody's own password, and their other sign-ins. */
export default function YouPage() {
    const person = usePerson();
    const notices = useNotices();
    const [form] = Form.useForm<Passwords>();
    const keep = useMutation({
        mutationFn: changePassword,
        onSuccess: () => {
            form.resetFields();
            notices.done('The new password holds. Elsewhere you are signed out.');
        },
    });
    const leave = useMutation({
        mutationFn: signOutElsewhere,
        onSuccess: () => notices.done('You are signed in here only.'),
        onError: notices.failed,
    });
    return (
        <>
            <Top>
                <h1>{person?.name}</h1>
                <span className="soft">
                    {person && ROLES[person.role]}
                    {person?.may_sign ? ', may sign' : ''}
                </span>
            </Top>
            <SettingsTabs />
            <div className="page">
                <Flex gap={16} wrap align="start">
                    <Form<Passwords>
                        form={form}
                        layout="vertical"
                        requiredMark={false}
                        className="card pad settings-form"
                        onFinish={(given) => keep.mutate(given)}
                    >
                        <div className="eyebrow mb-10">Your password</div>
                        <Form.Item
                            name="current"
                            label="The one of today"
                            rules={[{ required: true, message: 'Your password of today, please.' }]}
                        >
                            <Input.Password autoComplete="current-password" />
                        </Form.Item>
                        <Form.Item
                            name="password"
                            label={`A new one, at least ${PASSWORD} characters`}
                            rules={[
                                {
                                    required: true,
                                    min: PASSWORD,
                                    message: `At least ${PASSWORD} characters.`,
                                },
                            ]}
                        >
                            <Input.Password autoComplete="new-password" />
                        </Form.Item>
                        {keep.isError && (
                            <Says kind="bad" className="mb-10">
                                {saysWhy(keep.error)}
                            </Says>
                        )}
                        <Button type="primary" htmlType="submit" loading={keep.isPending}>
                            Change it
                        </Button>
                    </Form>
                    <section className="card pad settings-form">
                        <div className="eyebrow mb-6">Other places</div>
                        <p className="soft">
                            Left signed in on a tablet or another computer? This ends every sign-in of yours
                            but this one.
                        </p>
                        <Button loading={leave.isPending} onClick={() => leave.mutate()}>
                            Sign out everywhere else
                        </Button>
                    </section>
                    {person && <SecondFactor person={person} />}
                    <TokensCard />
                </Flex>
            </div>
        </>
    );
}
