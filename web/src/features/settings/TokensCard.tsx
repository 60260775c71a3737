import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input, Popconfirm, Select, Tag, Typography } from 'antd';
import { saysWhy } from '../../api/client';
import { makeToken, revokeToken, type Token, tokensQuery } from '../../api/tokens';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import { word } from '../standard/words';

interface New {
    name: string;
    abilities: string[];
    days: number;
}

const DAYS = [7, 30, 90, 365].map((days) => ({ value: days, label: `${days} days` }));

/** What lets a person's scripts in, each for some of their rights and until a day. */
export function TokensCard() {
    const queries = useQueryClient();
    const [form] = Form.useForm<New>();
    const tokens = useQuery(tokensQuery());
    const again = () => queries.invalidateQueries({ queryKey: tokensQuery().queryKey });
    const make = useMutation({
        mutationFn: makeToken,
        onSuccess: () => form.resetFields(),
        onSettled: again,
    });
    return (
        <section className="card pad settings-form">
            <div className="eyebrow mb-6">Tokens for scripts</div>
            <p className="soft">
                A script signs in with a token instead of a password. It may do what you choose, never more
                than you, and until its day.
            </p>
            {make.data && (
                <Says kind="good" className="mb-10">
                    {make.data.told_again === true &&
                        'The answer before this one was lost; the token in it opens nothing. '}
                    The new token, shown this once:{' '}
                    <Typography.Text strong copyable className="token">
                        {make.data.token}
                    </Typography.Text>
                </Says>
            )}
            {tokens.data?.data.map((token) => (
                <OneToken key={token.id} token={token} again={again} />
            ))}
            {tokens.isError && <Says kind="bad">{saysWhy(tokens.error)}</Says>}
            <Form<New>
                form={form}
                layout="vertical"
                requiredMark={false}
                initialValues={{ days: 90, abilities: [] }}
                onFinish={(given) => make.mutate(given)}
            >
                <Form.Item
                    name="name"
                    label="What it is for"
                    rules={[{ required: true, max: 100, message: 'A name, please.' }]}
                >
                    <Input placeholder="Nightly export" />
                </Form.Item>
                <Form.Item
                    name="abilities"
                    label="It may"
                    rules={[{ required: true, message: 'At least one.' }]}
                >
                    <Select
                        mode="multiple"
                        showSearch={{ optionFilterProp: 'label' }}
                        options={tokens.data?.abilities.map((key) => ({
                            value: key,
                            label: word('ability', key),
                        }))}
                    />
                </Form.Item>
                <Form.Item name="days" label="For">
                    <Select options={DAYS} />
                </Form.Item>
                {make.isError && (
                    <Says kind="bad" className="mb-10">
                        {saysWhy(make.error)}
                    </Says>
                )}
                <Button htmlType="submit" loading={make.isPending}>
                    Make a token
                </Button>
            </Form>
        </section>
    );
}

function OneToken({ token, again }: { token: Token; again: () => Promise<void> }) {
    const notices = useNotices();
    const revoke = useMutation({
        mutationFn: () => revokeToken(token.id),
        onError: notices.failed,
        onSettled: again,
    });
    return (
        <Flex justify="space-between" align="start" gap={8} className="mb-10">
            <div>
                <b>{token.name}</b> {token.expired && <Tag color="warning">over</Tag>}
                <div className="small soft">
                    may {token.abilities.map((key) => word('ability', key)).join(', ')}; until{' '}
                    {token.expires_at === null ? 'revoked' : day(token.expires_at)};{' '}
                    {token.last_used_at === null ? 'never used' : `last used ${day(token.last_used_at)}`}
                </div>
            </div>
            <Popconfirm
                title="Scripts with it are out at once."
                okText="Revoke it"
                onConfirm={() => revoke.mutate()}
            >
                <Button size="small" danger loading={revoke.isPending}>
                    Revoke
                </Button>
            </Popconfirm>
        </Flex>
    );
}
