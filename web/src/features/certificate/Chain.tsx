import type { Certificate } from '../../api/types';
import css from './Certificate.module.css';

const SHOWN = 16;

/** Where the record stands in the chain that nobody can change. */
export function Chain({ data }: { data: Certificate }) {
    const { standard } = data.record;
    return (
        <div className={css.chain}>
            <div className="eyebrow">Record {data.number} of the chain</div>
            <div>
                <code className={css.hash} aria-label="Checksum of the record">
                    {data.hash}
                </code>
            </div>
            <p className="small soft mt-6">
                follows <span className={css.short}>{data.previous.slice(0, SHOWN)}…</span>. Nobody can change
                it; <code>ordotype:verify</code> names the first link that does not fit.
                {standard && (
                    <>
                        {' '}
                        Standard v{standard.version}:{' '}
                        <span className={css.short}>{standard.sha256.slice(0, SHOWN)}…</span>
                    </>
                )}
            </p>
        </div>
    );
}
