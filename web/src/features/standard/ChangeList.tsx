import type { StandardChange } from '../../api/types';
import css from './Standard.module.css';

const SIGNS: Record<StandardChange['kind'], string> = {
    added: '+',
    dropped: '−',
    tightened: '▲',
    loosened: '▼',
    changed: '~',
};

/** What differs between two versions, in words. */
export function ChangeList({ changes }: { changes: StandardChange[] }) {
    return (
        <ul className={css.changes}>
            {changes.map((c, i) => (
                <li key={i} className="small">
                    <b>
                        {SIGNS[c.kind]} {c.label}
                    </b>{' '}
                    <span className="soft">
                        {c.kind}
                        {c.what !== 'clause' ? ` · ${c.what}` : ''}
                        {c.tiers.length > 0 ? ` · ${c.tiers.join(', ')}` : ''}
                    </span>
                    <br />
                    {c.before !== null && <span className="soft">{c.before}</span>}
                    {c.before !== null && c.after !== null && ' → '}
                    {c.after}
                </li>
            ))}
        </ul>
    );
}
