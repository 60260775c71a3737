import { Flex } from 'antd';
import type { Check } from '../../api/types';
import { FaultPicture } from './FaultPicture';
import css from './LookCard.module.css';

/** Faults of an earlier round at what is looked at: whether they are gone is asked again. */
export function FoundBefore({ check, before }: { check: Check; before: Check['found_before'] }) {
    return (
        <div className={css.form}>
            <div className="eyebrow">found before, and repaired</div>
            {before.map((f, i) => (
                <Flex key={f.id} gap={12} align="center">
                    <FaultPicture
                        piece={check.piece.id}
                        figure={check.figure}
                        frame={[check.unit.frame_mm[0] ?? 60, check.unit.frame_mm[1] ?? 80]}
                        area={f.area}
                        pin={f.pin}
                        mark={String(i + 1)}
                    />
                    <div>
                        <b>{f.name}</b>
                        <div className="small soft">
                            {(
                                check.figure.find((a) => a.key === f.area)?.name ?? 'Whole model'
                            ).toLowerCase()}
                            , {f.severity}. Is it gone, and nothing else harmed?
                        </div>
                    </div>
                </Flex>
            ))}
        </div>
    );
}
