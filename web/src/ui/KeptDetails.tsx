import { Image } from 'antd';
import type { components } from '../api/schema';
import css from './KeptDetails.module.css';

/** Details of finished work, large on pressing; behind a link they are had by that. */
export function KeptDetails({
    details,
    secret,
}: {
    details: components['schemas']['KeptDetail'][];
    secret?: string | undefined;
}) {
    if (details.length === 0) return null;
    const from = secret === undefined ? '/api/v1/pictures' : `/api/v1/shared/${secret}/pictures`;
    return (
        <section aria-label="From finished work" className={css.details}>
            <p className="small strong m-0">From finished work</p>
            <div className={css.row}>
                {details.map((d) => (
                    <figure key={d.sha256} className={css.detail}>
                        <Image
                            width={84}
                            height={66}
                            style={{ objectFit: 'cover' }}
                            src={`${from}/${d.sha256}`}
                            alt={`${d.area} of ${d.figure}`}
                        />
                        <figcaption className="small soft">
                            {d.area}, {d.figure}
                            {d.drawn ? ', drawn' : ''}
                        </figcaption>
                    </figure>
                ))}
            </div>
        </section>
    );
}
