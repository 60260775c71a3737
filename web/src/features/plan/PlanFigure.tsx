import { Image } from 'antd';
import { useState } from 'react';
import type { UnitPlan } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Figure } from '../../ui/Figure';
import { DrawnPlan } from './DrawnPlan';
import { Swatch } from '../../ui/marks';
import { word } from '../standard/words';

const NAMES = ['techniques', 'paints'] as const;
type Names = (typeof NAMES)[number];

/** The figure beside the plan, or the client's picture; an area that is pointed at anywhere is lit. */
export function PlanFigure({
    data,
    lit,
    setLit,
    names,
    setNames,
}: {
    data: UnitPlan;
    lit: string | null;
    setLit: (key: string | null) => void;
    names: Names | null;
    setNames: (names: Names) => void;
}) {
    const [view, setView] = useState<'front' | 'back' | 'drawn' | 'picture'>('front');
    const shown = data.figure.find((f) => f.key === lit) ?? null;
    const views = ['front', 'back', 'drawn', ...(data.reference ? (['picture'] as const) : [])] as const;
    return (
        <section className="card pad plan-figure">
            <div className="chips mb-8">
                {views.map((v) => (
                    <Chip key={v} on={view === v} onClick={() => setView(v)}>
                        {v === 'picture' ? 'client’s picture' : v}
                    </Chip>
                ))}
            </div>
            {view === 'picture' && data.reference ? (
                <Image src={`/api/v1/pictures/${data.reference}`} alt="The client’s reference picture" />
            ) : view === 'drawn' ? (
                <DrawnPlan data={data} />
            ) : (
                <Figure
                    areas={data.figure}
                    view={view === 'back' ? 'back' : 'front'}
                    frame={data.unit.frame_mm}
                    numbers
                    lit={lit ? [lit] : null}
                    onPick={(k) => setLit(k === lit ? null : k)}
                />
            )}
            {shown ? (
                <p className="small mt-10">
                    <b>
                        {shown.no} {shown.name}
                    </b>
                    <br />
                    <span className="soft">
                        {word('material', shown.material)},{' '}
                        {shown.relief.map((r) => word('relief', r)).join(', ')}
                    </span>
                    {shown.paint && (
                        <>
                            <br />
                            <Swatch hex={shown.colour} /> {shown.paint}
                        </>
                    )}
                </p>
            ) : (
                <p className="small soft mt-10">Point at an area or a row.</p>
            )}
            {names !== null && (
                <div className="chips mt-10" role="group" aria-label="What stands on the steps">
                    {NAMES.map((n) => (
                        <Chip key={n} on={names === n} onClick={() => setNames(n)}>
                            {n}
                        </Chip>
                    ))}
                </div>
            )}
        </section>
    );
}
