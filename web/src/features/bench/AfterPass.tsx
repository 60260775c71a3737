import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { drawnUnitQuery } from '../../api/drawings';
import type { Batch, BatchPass } from '../../api/types';
import { Drawn } from '../../ui/Drawn';
import { Figure } from '../../ui/Figure';

/** What the model looks like after this pass; held, what it looks like before. */
export function AfterPass({ batch, pass }: { batch: Batch; pass: BatchPass | undefined }) {
    const [before, setBefore] = useState(false);
    const passes = pass ? pass.no - (before ? 1 : 0) : batch.passes.length;
    const query = useQuery(drawnUnitQuery(batch.unit.id, batch.unit.revision, null, passes));
    const sketch = (
        <Figure areas={batch.figure} view="front" frame={batch.unit.frame_mm} lit={pass?.areas ?? null} />
    );
    const address = query.data?.drawn.front;
    return (
        <section className="card pad" aria-label="What it looks like">
            {address === undefined ? (
                sketch
            ) : (
                <Drawn key={address} address={address} alt={batch.unit.sculpt} instead={sketch} />
            )}
            {address !== undefined && pass && (
                <Button
                    block
                    className="mt-8"
                    aria-pressed={before}
                    onPointerDown={() => setBefore(true)}
                    onPointerUp={() => setBefore(false)}
                    onPointerLeave={() => setBefore(false)}
                    onKeyDown={(e) => e.key === ' ' && setBefore(true)}
                    onKeyUp={() => setBefore(false)}
                >
                    {before ? 'Before this pass' : 'Hold: before this pass'}
                </Button>
            )}
        </section>
    );
}
