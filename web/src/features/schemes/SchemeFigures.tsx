import { useState } from 'react';
import type { SchemeFigure } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Drawn } from '../../ui/Drawn';
import { Figure } from '../../ui/Figure';

/** The figures in the scheme; the areas of the slot that is pointed at are lit on all of them. */
export function SchemeFigures({ figures, lit }: { figures: SchemeFigure[]; lit: string | null }) {
    const [view, setView] = useState<'front' | 'back'>('front');
    const [drawn, setDrawn] = useState(false);
    const canBeDrawn = figures.some((f) => f.drawn.front !== undefined);
    const litOn = (f: SchemeFigure) =>
        lit === null
            ? null
            : Object.entries(f.slots)
                  .filter(([, slot]) => slot === lit)
                  .map(([area]) => area);
    return (
        <section className="card pad">
            <div className="chips mb-8">
                {(['front', 'back'] as const).map((v) => (
                    <Chip on={view === v} key={v} onClick={() => setView(v)}>
                        {v}
                    </Chip>
                ))}
                {canBeDrawn && (
                    <Chip on={drawn} onClick={() => setDrawn(!drawn)}>
                        drawn
                    </Chip>
                )}
            </div>
            <div className="scheme-figures">
                {figures.map((f) => (
                    <figure key={f.name}>
                        <InColours
                            figure={f}
                            address={drawn ? f.drawn[view] : undefined}
                            view={view}
                            lit={litOn(f)}
                        />
                        <figcaption className="small soft">{f.name}</figcaption>
                    </figure>
                ))}
            </div>
        </section>
    );
}

function InColours({
    figure: f,
    address,
    view,
    lit,
}: {
    figure: SchemeFigure;
    address: string | undefined;
    view: 'front' | 'back';
    lit: string[] | null;
}) {
    const sketch = <Figure areas={f.areas} view={view} frame={f.frame_mm} lit={lit} />;
    return address === undefined ? (
        sketch
    ) : (
        <Drawn key={address} address={address} alt={f.name} instead={sketch} />
    );
}
