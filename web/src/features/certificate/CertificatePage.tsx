import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Certificate } from '../../api/types';
import { certificateQuery, withdrawSignOff } from '../../api/work';
import { useNotices } from '../../app/notices';
import { Top } from '../../app/Top';
import { Field } from '../../ui/Field';
import { LinkButton } from '../../ui/LinkButton';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';
import css from './Certificate.module.css';
import { Chain } from './Chain';
import { Signed } from './Signed';

export default function CertificatePage() {
    const { number } = useParams();
    const query = useQuery(certificateQuery(Number(number)));
    if (query.isPending) return <Loading what="the certificate" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Sheet data={query.data} />;
}

function Sheet({ data }: { data: Certificate }) {
    const { record } = data;
    const [withdrawing, setWithdrawing] = useState(false);
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
                {data.may_withdraw && !withdrawing && (
                    <Button danger onClick={() => setWithdrawing(true)}>
                        Withdraw …
                    </Button>
                )}
                {data.path !== null && <LinkButton to={data.path}>As the client reads it</LinkButton>}
                {data.file !== null && <Button href={data.file}>Record</Button>}
                {data.paper !== null && <Button href={data.paper}>PDF</Button>}
                <Button type="primary" onClick={() => window.print()}>
                    Print
                </Button>
            </Top>
            <div className="page">
                {withdrawing && <Withdraw number={data.number} leave={() => setWithdrawing(false)} />}
                <article className={`card ${css.sheet}`}>
                    {data.withdrawn_by !== null && (
                        <Says kind="bad" className="mb-12">
                            <b>This sign-off was withdrawn</b> by{' '}
                            <Link to={`/certificates/${data.withdrawn_by}`}>record {data.withdrawn_by}</Link>.
                        </Says>
                    )}
                    <div className="eyebrow">
                        {record.standard?.name ?? 'Record'} · no. {data.number}
                    </div>
                    {withdrawal ? (
                        <>
                            <h1 className={css.title}>Sign-off {record.of?.number} is withdrawn</h1>
                            <p className={css.lead}>{record.reason}</p>
                        </>
                    ) : (
                        <Signed data={data} />
                    )}
                    <Chain data={data} />
                </article>
            </div>
        </>
    );
}

function Withdraw({ number, leave }: { number: number; leave: () => void }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const [reason, setReason] = useState('');
    const withdraw = useMutation({
        mutationFn: () => withdrawSignOff(number, reason),
        onSuccess: async (next) => {
            await queries.invalidateQueries();
            await go(`/certificates/${next.number}`);
        },
        onError: notices.failed,
    });
    return (
        <Form layout="vertical" className="card pad no-print stack mb-14" onFinish={() => withdraw.mutate()}>
            <Field label="Why is the sign-off withdrawn? Its models return to the check; this record stays.">
                <Input autoFocus value={reason} onChange={(e) => setReason(e.target.value)} />
            </Field>
            <Flex gap={8}>
                <Button danger htmlType="submit" disabled={!reason.trim() || withdraw.isPending}>
                    Withdraw the sign-off
                </Button>
                <Button onClick={leave}>Leave it</Button>
            </Flex>
        </Form>
    );
}
