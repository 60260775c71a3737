import { Chip } from '../../ui/Chip';
import { More } from '../../ui/More';
import { type Area, flip } from './map';

/** Which other areas an area touches. */
export function Touches({
    area,
    others,
    editable,
    set,
}: {
    area: Area;
    others: Area[];
    editable: boolean;
    set: (patch: Partial<Area>) => void;
}) {
    return (
        <More
            label={
                <>
                    Touches{' '}
                    {area.touches.length === 0
                        ? 'nothing'
                        : others
                              .filter((o) => area.touches.includes(o.key) || o.touches.includes(area.key))
                              .map((o) => o.name.toLowerCase())
                              .join(', ')}
                </>
            }
        >
            <div className="chips mt-6">
                {others.map((o) => (
                    <Chip
                        on={area.touches.includes(o.key)}
                        key={o.key}
                        disabled={!editable}
                        onClick={() => set({ touches: flip(area.touches, o.key) })}
                    >
                        {o.name}
                    </Chip>
                ))}
            </div>
        </More>
    );
}
