import { useQuery } from '@tanstack/react-query';
import { photographsQuery } from '../../api/photographs';
import type { components } from '../../api/schema';
import type { FigureArea } from '../../api/types';
import { Canvas } from './Canvas';
import css from './Check.module.css';
import { photographIn } from './pictures';

/** How much is shown on each side of a pin, mm. */
const AROUND = 14;

/** Where a fault lies: the photograph that was there when it was found, or the schematic, about its pin. */
export function FaultPicture({
    piece,
    figure,
    frame: [wide, tall],
    area,
    pin,
    mark,
}: {
    piece: number;
    figure: FigureArea[];
    frame: [number, number];
    area: string | null;
    pin: components['schemas']['Pin'] | null;
    mark: string;
}) {
    const query = useQuery(photographsQuery(piece));
    const side = pin?.view === 'back' ? 'back' : 'front';
    const first = query.data?.data.find((p) => p.view === side && p.shows === 'painted');
    const marks = query.data?.marks[side];
    return (
        <div className={css.faultPicture}>
            <Canvas
                areas={figure}
                view={side}
                frame={[wide, tall]}
                picture={first ? photographIn(first, marks, [wide, tall]) : null}
                beside={null}
                divide={0}
                shown={
                    pin
                        ? [pin.x * wide - AROUND, pin.y * tall - AROUND, 2 * AROUND, 2 * AROUND]
                        : [0, 0, wide, tall]
                }
                lit={area === null ? [] : [area]}
                pins={pin ? [{ id: 0, x: pin.x, y: pin.y, mark }] : []}
                press={null}
                hover={() => undefined}
                small
            />
        </div>
    );
}
