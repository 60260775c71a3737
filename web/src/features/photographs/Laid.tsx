import type { components } from '../../api/schema';
import type { Photograph } from '../../api/photographs';
import { Still } from '../../ui/Still';
import css from './Photographs.module.css';
import { laidOver, type Outlined, type Point } from './placing';

const point = (p: number[]): Point => [p[0] ?? 0, p[1] ?? 0];

/** A photograph with the areas that are spoken of outlined where they lie in it. */
export function Laid({
    photograph: p,
    marks,
    figure,
    lit,
}: {
    photograph: Photograph;
    marks: components['schemas']['PlacementMarks'] | undefined;
    figure: Outlined[];
    lit: string[] | null;
}) {
    const was = p.placement;
    const rings =
        was && marks && lit
            ? figure
                  .filter((a) => lit.includes(a.key))
                  .flatMap((a) =>
                      (a.outline?.[p.view === 'back' ? 'back' : 'front'] ?? []).map((ring, i) => {
                          const by = point(was.shifts?.[a.key] ?? []);
                          const at = ring.map((q) => {
                              const [x, y] = laidOver(
                                  point(q),
                                  [point(marks.base_left), point(marks.base_right), point(marks.top)],
                                  [point(was.base_left), point(was.base_right), point(was.top)],
                              );
                              return [x + by[0], y + by[1]].join();
                          });
                          return { key: `${a.key} ${i}`, points: at.join(' ') };
                      }),
                  )
            : [];
    return (
        <div className={css.laid} style={{ maxWidth: `calc(66vh * ${p.width / p.height})` }}>
            <Still src={`/api/v1/pictures/${p.sha256}`} alt={`The ${p.view}, photographed by ${p.by}`} />
            <svg className={css.over} viewBox={`0 0 ${p.width} ${p.height}`} aria-hidden="true">
                {rings.map((r) => (
                    <polygon key={r.key} points={r.points} />
                ))}
            </svg>
        </div>
    );
}
