import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { drawnUnitQuery } from '../../api/drawings';
import type { Check } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { AtDistance } from '../../ui/AtDistance';
import { Drawn } from '../../ui/Drawn';
import { Says } from '../../ui/Says';

/** The model as its plan would have it, drawn: to look from, never to judge by. */
export function AsPlanned({ check, view }: { check: Check; view: string }) {
    const [open, setOpen] = useState(false);
    const query = useQuery({
        ...drawnUnitQuery(check.unit.id, check.id, check.piece.number, null),
        enabled: open,
    });
    const address = query.data?.drawn[view === 'back' ? 'back' : 'front'];
    return (
        <div>
            <Chip on={open} onClick={() => setOpen(!open)}>
                as planned, drawn
            </Chip>
            {open && query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {open && address !== undefined && (
                <div className="mt-8">
                    <Drawn key={address} address={address} alt={check.unit.sculpt} instead={null} />
                    <div className="mt-8">
                        <AtDistance
                            address={address}
                            alt={check.unit.sculpt}
                            widthMm={check.unit.frame_mm[0] ?? 60}
                            distanceCm={check.unit.distance_cm}
                        />
                    </div>
                </div>
            )}
        </div>
    );
}
