import { useQuery } from '@tanstack/react-query';
import { Flex, Segmented } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { drawnUnitQuery } from '../../api/drawings';
import { photographsQuery } from '../../api/photographs';
import type { Check } from '../../api/types';
import { useKey } from '../../app/keys';
import { AtDistance } from '../../ui/AtDistance';
import { Chip } from '../../ui/Chip';
import { Drawn } from '../../ui/Drawn';
import { Figure } from '../../ui/Figure';
import { Says } from '../../ui/Says';
import { Laid } from '../photographs/Laid';
import css from './Check.module.css';

type Source = 'photograph' | 'drawn' | 'schematic';

/** What is looked at beside the questions: the newest photograph with its areas, the drawn plan, or the schematic. */
export function Stage({ check, view, lit }: { check: Check; view: 'front' | 'back'; lit: string[] | null }) {
    const query = useQuery(photographsQuery(check.piece.id));
    const photograph = query.data?.data.filter((p) => p.view === view).at(-1);
    const [chosen, setChosen] = useState<Source | null>(null);
    const [grey, setGrey] = useState(false);
    useKey('w', () => setGrey((on) => !on));
    const wanted = chosen ?? (photograph ? 'photograph' : 'schematic');
    const source = wanted === 'photograph' && !photograph ? 'schematic' : wanted;
    return (
        <div>
            <Flex gap={10} align="center" wrap className="mb-8">
                <Segmented
                    value={source}
                    onChange={setChosen}
                    options={[
                        { label: 'photograph', value: 'photograph', disabled: !photograph },
                        { label: 'as planned, drawn', value: 'drawn' },
                        { label: 'schematic', value: 'schematic' },
                    ]}
                />
                <Chip on={grey} onClick={() => setGrey(!grey)}>
                    grey
                </Chip>
            </Flex>
            <div className={grey ? css.grey : undefined}>
                {source === 'photograph' && photograph && (
                    <Laid
                        photograph={photograph}
                        marks={query.data?.marks[view]}
                        figure={check.figure}
                        lit={lit}
                    />
                )}
                {source === 'drawn' && <AsPlanned check={check} view={view} />}
                {source === 'schematic' && (
                    <div className="stage-view">
                        <Figure
                            areas={check.figure}
                            view={view}
                            frame={check.unit.frame_mm}
                            lit={lit}
                            numbers={!!lit && lit.length < 8}
                        />
                    </div>
                )}
            </div>
            <p className="small soft m-0 mt-8">
                {source === 'photograph' && photograph?.drawn ? SAID.drawn : SAID[source]} of the {view}. Look
                at the model itself, from {check.unit.distance_cm} cm.
            </p>
        </div>
    );
}

const SAID: Record<Source, string> = {
    photograph: 'The newest photograph',
    drawn: 'A drawing, no photograph,',
    schematic: 'A schematic',
};

/** The model as its plan would have it, drawn: to look from, never to judge by. */
function AsPlanned({ check, view }: { check: Check; view: 'front' | 'back' }) {
    const query = useQuery(drawnUnitQuery(check.unit.id, check.id, check.piece.number, null));
    const address = query.data?.drawn[view];
    const [wide = 60, tall = 80] = check.unit.frame_mm;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    if (address === undefined) return null;
    return (
        <>
            <div className={css.drawn} style={{ maxWidth: `calc(66vh * ${wide / tall})` }}>
                <Drawn key={address} address={address} alt={check.unit.sculpt} instead={null} />
            </div>
            <div className="mt-8">
                <AtDistance
                    address={address}
                    alt={check.unit.sculpt}
                    widthMm={wide}
                    distanceCm={check.unit.distance_cm}
                />
            </div>
        </>
    );
}
