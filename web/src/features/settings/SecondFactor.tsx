import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input, QRCode } from 'antd';
import { saysWhy } from '../../api/client';
import { beginSecondFactor, confirmSecondFactor, removeSecondFactor } from '../../api/people';
import { sessionQuery } from '../../api/session';
import type { Person } from '../../api/types';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';

/** A code of a device beside the password: set up with a picture, confirmed with a code, kept safe on paper. */
export function SecondFactor({ person }: { person: Person }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const read = () => queries.invalidateQueries({ queryKey: sessionQuery().queryKey });
    const begin = useMutation({ mutationFn: beginSecondFactor });
    const confirm = useMutation({ mutationFn: confirmSecondFactor });
    const remove = useMutation({
        mutationFn: removeSecondFactor,
        onSuccess: async () => {
            await read();
            notices.done('Your second factor is taken away.');
        },
    });
    const isThere = person.second_factor === 'there';
    const codes = isThere ? undefined : confirm.data?.codes;
    return (
        <section className="card pad settings-form" aria-label="Second factor">
            <Flex vertical gap={12}>
                <div className="eyebrow">Second factor</div>
                {person.second_factor === 'wanted' && !codes && (
                    <Says kind="warn">
                        Your role wants one before anything else: set it up here, with an app for one-time
                        codes.
                    </Says>
                )}
                {codes ? (
                    <>
                        <Says kind="good">
                            It holds from now on. Each of these opens the door once without it:
                        </Says>
                        <pre className="num m-0">{codes.join('\n')}</pre>
                        <span className="soft">Write them down. They are not shown again.</span>
                        <Button type="primary" onClick={() => void read()}>
                            I have them on paper
                        </Button>
                    </>
                ) : begin.data && !isThere ? (
                    <Form<{ code: string }>
                        layout="vertical"
                        requiredMark={false}
                        onFinish={({ code }) => confirm.mutate(code)}
                    >
                        <QRCode
                            value={begin.data.address}
                            bordered={false}
                            type="svg"
                            marginSize={4}
                            color="#000"
                            bgColor="#fff"
                        />
                        <p className="soft">
                            Take a picture of this with the app, or type <code>{begin.data.secret}</code>
                        </p>
                        <Form.Item
                            name="code"
                            label="The code that it shows now"
                            rules={[{ required: true, message: 'The code, please.' }]}
                        >
                            <Input autoComplete="one-time-code" inputMode="numeric" />
                        </Form.Item>
                        {confirm.isError && <Says kind="bad">{saysWhy(confirm.error)}</Says>}
                        <Button type="primary" htmlType="submit" loading={confirm.isPending}>
                            Have it hold
                        </Button>
                    </Form>
                ) : (
                    <>
                        <span className="soft">
                            {isThere
                                ? 'Signing in wants a code of your device beside your password.'
                                : 'A code of a device that changes every half minute, beside your password.'}
                        </span>
                        <WithPassword isThere={isThere} first={isThere ? remove : begin} />
                    </>
                )}
            </Flex>
        </section>
    );
}

function WithPassword({
    isThere,
    first,
}: {
    isThere: boolean;
    first: { mutate: (current: string) => void; isPending: boolean; isError: boolean; error: Error | null };
}) {
    return (
        <Form<{ current: string }>
            layout="vertical"
            requiredMark={false}
            onFinish={({ current }) => first.mutate(current)}
        >
            <Form.Item
                name="current"
                label="Your password"
                rules={[{ required: true, message: 'Your password, please.' }]}
            >
                <Input.Password autoComplete="current-password" />
            </Form.Item>
            {first.isError && <Says kind="bad">{saysWhy(first.error)}</Says>}
            <Button htmlType="submit" danger={isThere} loading={first.isPending}>
                {isThere ? 'Take it away' : 'Set it up'}
            </Button>
        </Form>
    );
}
