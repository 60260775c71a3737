import { Flex, Image } from 'antd';
import { day } from '../../ui/when';
import css from './Client.module.css';
import type { PageProps } from './ForYouPage';

/** What came of it: photographs of finished work, certificates, parcels. */
export function Came({ order, secret }: PageProps) {
    const out = order.parcels.filter((p) => p.direction === 'out');
    if (order.photographs.length + order.certificates.length + out.length === 0) return null;
    return (
        <section className={css.block} aria-label="Finished">
            <h2>Finished</h2>
            <Flex gap={8} wrap>
                <Image.PreviewGroup>
                    {order.photographs.map((p) => (
                        <figure key={p.sha256} className={css.photo}>
                            <Image
                                height={150}
                                src={`/api/v1/${secret ? `for-you/${secret}/` : ''}pictures/${p.sha256}`}
                                alt={`Finished model, ${p.view}`}
                            />
                            {p.drawn && <figcaption>drawn</figcaption>}
                        </figure>
                    ))}
                </Image.PreviewGroup>
            </Flex>
            {order.certificates.length > 0 && (
                <p className="m-0">
                    {order.certificates.length === 1 ? 'Its certificate: ' : 'Certificates: '}
                    {order.certificates.map((c, i) => (
                        <span key={c.number}>
                            {i > 0 && ', '}
                            <a href={c.path}>number {c.number}</a>
                        </span>
                    ))}
                </p>
            )}
            {out.map((p, i) => (
                <p key={i} className="m-0">
                    {p.models} {p.models === 1 ? 'model' : 'models'} sent {day(p.on_day)} by {p.way}
                    {p.tracking && <>, number {p.tracking}</>}
                </p>
            ))}
        </section>
    );
}
