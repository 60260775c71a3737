import { useQuery } from '@tanstack/react-query';
import { Slider } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { drawnUnitQuery } from '../../api/drawings';
import type { UnitPlan } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Drawn } from '../../ui/Drawn';
import { Figure } from '../../ui/Figure';
import { Says } from '../../ui/Says';
import { longName } from './names';

/** What the plan looks like when it is done, or after any of its passes. */
export function DrawnPlan({ data }: { data: UnitPlan }) {
    const all = data.plan.passes.length;
    const [passes, setPasses] = useState(all);
    const [shown, setShown] = useState(all);
    const [view, setView] = useState<'front' | 'back'>('front');
    const query = useQuery(
        drawnUnitQuery(data.unit.id, data.unit.revision, data.piece, shown >= all ? null : shown),
    );
    const address = query.data?.drawn[view];
    const last = data.plan.passes[Math.min(passes, all) - 1];
    const done = last ? `, ${longName(data, last.technique).toLowerCase()}` : '';
    const sketch = <Figure areas={data.figure} view={view} frame={data.unit.frame_mm} />;
    return (
        <div>
            {query.isError ? (
                <Says kind="bad">{saysWhy(query.error)}</Says>
            ) : query.data && address === undefined ? (
                <p className="small soft">The map has no outlines in this view, so nothing can be drawn.</p>
            ) : address === undefined ? (
                sketch
            ) : (
                <Drawn key={address} address={address} alt={data.unit.sculpt} instead={sketch} />
            )}
            <Slider
                min={0}
                max={all}
                value={passes}
                onChange={setPasses}
                onChangeComplete={setShown}
                tooltip={{ formatter: null }}
                ariaLabelForHandle="After how many passes"
            />
            <p className="small soft m-0">
                {passes === 0
                    ? 'Bare, before the first pass.'
                    : passes >= all
                      ? 'Finished.'
                      : `After pass ${passes} of ${all}${done}.`}
            </p>
            <div className="chips mt-8" role="group" aria-label="Drawn from">
                {(['front', 'back'] as const).map((v) => (
                    <Chip key={v} on={view === v} onClick={() => setView(v)}>
                        drawn {v}
                    </Chip>
                ))}
            </div>
        </div>
    );
}
