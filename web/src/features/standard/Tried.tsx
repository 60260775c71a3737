import { Progress } from 'antd';
import type { Attempt } from '../../api/types';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { moneyRange } from '../../ui/money';

const SHOWN = 6;
const SIGNS: Record<string, string> = { added: '+', dropped: '−' };

/** What the tier, with the edit that is being made, takes on the figure that it is tried on. */
export function Tried({ result: r, changed }: { result: Attempt; changed: boolean }) {
    const over = r.ceiling !== null && r.after > r.ceiling;
    return (
        <section className="card pad" aria-live="polite">
            <div className="eyebrow">
                {changed ? 'This edit, on' : 'On'} the {r.sculpt}
            </div>
            <h2 className="num mt-2 mb-8">
                {r.tier}:{' '}
                {changed && Math.round(r.before) !== Math.round(r.after) ? `${minutes(r.before)} → ` : ''}
                {minutes(r.after)}
            </h2>
            <p className="small num mt-0 mb-6">
                {changed && r.steps_before !== r.steps_after ? `${r.steps_before} → ` : ''}
                {r.steps_after} steps a model
            </p>
            {r.ceiling !== null && (
                <>
                    <Progress
                        percent={Math.min(100, (100 * r.after) / r.ceiling)}
                        showInfo={false}
                        status={over ? 'exception' : 'normal'}
                        aria-label="Minutes used of those allowed"
                    />
                    <p className="small soft my-4">
                        {Math.round(r.after)} of {r.ceiling} minutes allowed
                        {r.price ? ` · ${moneyRange(r.price, r.price.currency)}` : ''}
                    </p>
                </>
            )}
            {changed && r.changes.length === 0 && (
                <p className="small soft">This figure has no area it would change.</p>
            )}
            {r.changes.slice(0, SHOWN).map((c, i) => (
                <div key={i} className="small">
                    <b>{SIGNS[c.change] ?? '~'}</b> {c.what}{' '}
                    <span className="soft">{c.area ?? 'whole model'}</span>
                </div>
            ))}
            {r.changes.length > SHOWN && (
                <div className="small soft">and {r.changes.length - SHOWN} more</div>
            )}
            {r.conflicts.map((c) => (
                <Says kind="bad" key={c.area}>
                    {c.area}: {c.reason}
                </Says>
            ))}
        </section>
    );
}
