import type { Area } from './Canvas';
import css from './Canvas.module.css';
import type { Laid } from './pictures';

/** More areas than this are outlined faintly. */
const MANY = 5;

/** The outlines of the areas, those that are spoken of lit; in a colour of their own where there is no picture. */
export function Outlines({
    areas,
    view,
    frame,
    picture,
    lit,
}: {
    areas: Area[];
    view: 'front' | 'back';
    frame: [number, number];
    picture: Laid | null;
    lit: readonly string[];
}) {
    const classOf = (key: string) =>
        lit.includes(key) ? (lit.length > MANY ? css.lit : `${css.lit} ${css.strong}`) : css.area;
    return areas.flatMap((area) =>
        (area.outline[view] ?? []).map((ring, i) => {
            const [dx, dy] = picture?.shifts[area.key] ?? [0, 0];
            return (
                <polygon
                    key={`${area.key} ${i}`}
                    data-area={area.key}
                    className={classOf(area.key)}
                    style={picture === null ? { fill: area.colour ?? 'var(--rule)' } : undefined}
                    points={ring
                        .map(([x = 0, y = 0]) => [x * frame[0] + dx, y * frame[1] + dy].join())
                        .join(' ')}
                />
            );
        }),
    );
}
