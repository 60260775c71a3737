import { Button } from 'antd';
import { newArea, toneOf } from './map';
import type { MapDesk } from './useMap';

/** The areas of the map, in the order of the document. */
export function AreaList({ desk, editable }: { desk: MapDesk; editable: boolean }) {
    const { sculpt } = desk;
    const add = () => {
        const area = newArea(sculpt);
        desk.change({ ...sculpt, areas: [...sculpt.areas, area] });
        desk.setChosen(area.key);
    };
    return (
        <section className="card area-list">
            {sculpt.areas.map((a, i) => (
                <Button
                    key={a.key}
                    type="text"
                    aria-pressed={a.key === desk.chosen}
                    onClick={() => desk.choose(a.key)}
                >
                    <i style={{ background: toneOf(i) }} />
                    <b className="num">{i + 1}</b> {a.name}
                    {(a.outline[desk.view]?.length ?? 0) === 0 && <span className="soft small"> –</span>}
                </Button>
            ))}
            {editable && (
                <Button type="text" className="soft" onClick={add}>
                    + another area
                </Button>
            )}
        </section>
    );
}
