import type { BatchPass } from '../../api/types';
import { Says } from '../../ui/Says';
import css from './Bench.module.css';

type Need = BatchPass['pot']['paints'][number];

/** More drops than this are told by their number alone. */
const COUNTABLE = 12;

/** What goes on the palette for the models that still need the pass, drop by drop. */
export function PotDrops({ pot }: { pot: BatchPass['pot'] }) {
    if (pot.models === 0 || pot.paints.length === 0) return null;
    const short = pot.paints.filter((n) => n.short);
    return (
        <div className={css.pot} aria-label="What goes on the palette">
            <span className="small soft">
                on the palette, for {pot.models} {pot.models === 1 ? 'model' : 'models'}
            </span>
            {pot.paints.map((n) => (
                <span key={n.paint ?? 'medium'} className={css.drops}>
                    {n.drops <= COUNTABLE && <Drops need={n} />}
                    <b>{n.drops}</b> {n.drops === 1 ? 'drop' : 'drops'} {n.paint ?? 'medium'}
                </span>
            ))}
            {short.map((n) => (
                <Says kind="warn" key={n.paint}>
                    {n.paint} runs short: {n.ml.toFixed(1)} ml are needed, {(n.left_ml ?? 0).toFixed(1)} ml
                    are left.
                </Says>
            ))}
        </div>
    );
}

function Drops({ need }: { need: Need }) {
    const wide = 11;
    return (
        <svg width={wide * need.drops} height={14} aria-hidden>
            {Array.from({ length: need.drops }, (_, i) => (
                <path
                    key={i}
                    d="M5 1 C 7 5, 9 7, 9 9.5 A 4 4 0 0 1 1 9.5 C 1 7, 3 5, 5 1 Z"
                    transform={`translate(${i * wide} 0)`}
                    fill={need.hex ?? 'none'}
                    stroke="var(--faint)"
                />
            ))}
        </svg>
    );
}
