import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useParams } from 'react-router';
import { certificateForClientQuery } from '../../api/work';
import { BehindLink } from '../../ui/BehindLink';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import css from './Certificate.module.css';
import { Pictured } from './Pictured';

/** A signed record as its client reads it by its address: nothing else is behind it. */
export default function ClientCertificatePage() {
    const { secret } = useParams();
    const query = useQuery(certificateForClientQuery(secret ?? ''));
    return (
        <BehindLink query={query} what="the certificate">
            {(c) => (
                <main className="page shared">
                    <article className={`card ${css.sheet}`}>
                        {c.withdrawn_at !== null && (
                            <Says kind="bad" className="mb-12">
                                <b>This sign-off was withdrawn</b> on {day(c.withdrawn_at)}. Ask the studio.
                            </Says>
                        )}
                        <Flex justify="space-between" align="flex-start" gap={12}>
                            <div>
                                <div className="eyebrow">
                                    {c.studio}, order {c.order.number}
                                </div>
                                <h1 className={css.title}>{c.order.title}</h1>
                            </div>
                            <Button
                                className="no-print"
                                type="primary"
                                href={`/api/v1/certificates/${secret ?? ''}/paper`}
                            >
                                Keep as PDF
                            </Button>
                        </Flex>
                        <p className={css.lead}>
                            {c.models.length} × {c.figure}, painted and checked to <b>{c.tier}</b>: {c.intent}{' '}
                            Made to be seen from {c.distance_cm} cm.
                        </p>
                        <Pictured
                            pictures={c.pictures}
                            from={`/api/v1/certificates/${secret ?? ''}/pictures`}
                        />
                        <h2>What was promised</h2>
                        <ul>
                            {c.promised.map((p) => (
                                <li key={p}>{p}</li>
                            ))}
                        </ul>
                        {(c.agreed.length > 0 || c.unpainted.length > 0) && (
                            <>
                                <h2>What was agreed beside it</h2>
                                <ul>
                                    {c.agreed.map((a) => (
                                        <li key={a}>{a}</li>
                                    ))}
                                    {c.unpainted.length > 0 && (
                                        <li>Left unpainted: {c.unpainted.join(', ')}</li>
                                    )}
                                </ul>
                            </>
                        )}
                        <h2>What the check found</h2>
                        {c.side_by_side !== null && <p className="my-4">{c.side_by_side}</p>}
                        {c.found.map((f) => (
                            <p className="my-4" key={f.model}>
                                <b>
                                    Model {f.model}, {f.code}
                                </b>
                                : {f.said}
                            </p>
                        ))}
                        <div className={css.chain}>
                            <div className="eyebrow">
                                Record {c.number}, signed {day(c.signed_at)}, standard version{' '}
                                {c.standard_version}
                            </div>
                            {c.holds ? (
                                <p className="m-0">
                                    The record is as it was signed, and stands unbroken among the records of
                                    the studio.
                                </p>
                            ) : (
                                <Says kind="bad">The record is not as it was signed. Ask the studio.</Says>
                            )}
                            <code className={css.hash}>{c.hash}</code>
                        </div>
                    </article>
                </main>
            )}
        </BehindLink>
    );
}
