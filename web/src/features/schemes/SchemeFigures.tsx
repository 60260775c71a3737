import { useState } from 'react';
import type { SchemeFigure } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Figure } from '../../ui/Figure';

/** The figures in the scheme; the areas of the slot that is pointed at are lit on all of them. */
export function SchemeFigures({ figures, lit }: { figures: SchemeFigure[]; lit: string | null }) {
    const [view, setView] = useState<'front' | 'back'>('front');
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
            </div>
            <div className="scheme-figures">
                {figures.map((f) => (
                    <figure key={f.name}>
                        <Figure areas={f.areas} view={view} frame={f.frame_mm} lit={litOn(f)} />
                        <figcaption className="small soft">{f.name}</figcaption>
                    </figure>
                ))}
            </div>
        </section>
    );
}
