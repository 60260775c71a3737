import { Button } from 'antd';
import type { Check, FoundFault } from '../../api/types';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';

const KINDS = { note: 'plain', minor: 'warn', major: 'bad', critical: 'bad' } as const;

/** A fault that was found: whether it counts, why, and what its repair takes. */
export function FaultNote({
    check,
    fault: f,
    takeAway,
}: {
    check: Check;
    fault: FoundFault;
    takeAway: (() => void) | null;
}) {
    const areaName = (key: string | null) =>
        (check.figure.find((a) => a.key === key)?.name ?? 'whole model').toLowerCase();
    const repair = f.repair.map(
        (s) => `${s.technique.toLowerCase()}${s.area ? ` on ${areaName(s.area)}` : ''}`,
    );
    return (
        <Says kind={KINDS[f.severity]}>
            <b>
                {f.name}, {areaName(f.area)}: {f.severity === 'note' ? 'a note, does not count' : f.severity}
            </b>
            <div className="small">
                {f.why}
                {takeAway && (
                    <>
                        {' '}
                        <Button type="link" size="small" onClick={takeAway}>
                            Take this fault away
                        </Button>
                    </>
                )}
            </div>
            {repair.length > 0 && (
                <div className="small soft">
                    Repair, {minutes(f.repair.reduce((m, s) => m + s.minutes, 0))}: {repair.join(', then ')}
                </div>
            )}
        </Says>
    );
}
