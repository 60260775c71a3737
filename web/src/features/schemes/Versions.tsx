import type { Scheme } from '../../api/colours';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { OUTCOME } from './scheme';

const KINDS = { accepted: 'good', rejected: 'bad' } as const;

/** Every version of the scheme, with how its test model came out. */
export function Versions({ versions }: { versions: Scheme['versions'] }) {
    return (
        <section className="card pad">
            <div className="eyebrow">Versions</div>
            {versions.map((v) => (
                <Says
                    key={v.number}
                    className="mt-8"
                    kind={v.outcome in KINDS ? KINDS[v.outcome as keyof typeof KINDS] : 'plain'}
                >
                    <b>v{v.number}</b>, {OUTCOME[v.outcome]}
                    {v.outcome_by ? ` by ${v.outcome_by}` : ''}
                    {v.outcome_note ? `: ${v.outcome_note}` : ''}
                    {v.repaint_minutes !== null && v.repaint_minutes > 0 && (
                        <> Painting it again takes {minutes(v.repaint_minutes)}.</>
                    )}
                    {v.note && <div className="soft">{v.note}</div>}
                </Says>
            ))}
        </section>
    );
}
