import { useMutation } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Slider } from 'antd';
import { useRef, useState } from 'react';
import { saysWhy } from '../../api/client';
import { placePhotograph, type Photograph, type PhotographPlacement } from '../../api/photographs';
import type { components } from '../../api/schema';
import { DragPoint } from '../../ui/DragPoint';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Still } from '../../ui/Still';
import css from './Photographs.module.css';
import { laidOver, type Outlined, type Point } from './placing';

type Marks = components['schemas']['PlacementMarks'];
type Handle = 'base_left' | 'base_right' | 'top' | 'card' | 'area';

const HANDLES: { key: Handle; label: string; mark: string }[] = [
    { key: 'base_left', label: 'Where the base begins on the left', mark: 'L' },
    { key: 'base_right', label: 'Where the base ends on the right', mark: 'R' },
    { key: 'top', label: 'The highest point', mark: 'T' },
    { key: 'card', label: 'The middle field of the grey card', mark: '' },
    { key: 'area', label: 'The area that lies elsewhere', mark: 'A' },
];

const point = (p: number[]): Point => [p[0] ?? 0, p[1] ?? 0];

/** Three points and the grey card are dragged, or nudged by keys, until the outlines lie where they belong. */
export function PlacePhoto({
    photograph: p,
    marks,
    figure,
    done,
}: {
    photograph: Photograph;
    marks: Marks | undefined;
    figure: Outlined[];
    done: () => void;
}) {
    const fitted = (m: number[]): Point => [(m[0] ?? 0) * p.width, (m[1] ?? 0) * p.height];
    const was = p.placement;
    const [at, setAt] = useState<Record<Handle, Point>>({
        base_left: was ? point(was.base_left) : fitted(marks?.base_left ?? []),
        base_right: was ? point(was.base_right) : fitted(marks?.base_right ?? []),
        top: was ? point(was.top) : fitted(marks?.top ?? []),
        area: [0, 0],
        card: was?.card
            ? [((was.card[0] ?? 0) + (was.card[2] ?? 0)) / 2, ((was.card[1] ?? 0) + (was.card[3] ?? 0)) / 2]
            : [p.width * 0.07, p.height * 0.93],
    });
    const [hasCard, setHasCard] = useState(was ? was.card !== null : true);
    const [side, setSide] = useState(was?.card ? (was.card[2] ?? 0) - (was.card[0] ?? 0) : p.width * 0.03);
    const [shifts, setShifts] = useState<Record<string, Point>>(
        Object.fromEntries(Object.entries(was?.shifts ?? {}).map(([key, by]) => [key, point(by)])),
    );
    const [area, setArea] = useState('');
    const view = p.view === 'back' ? 'back' : 'front';
    const laid = (key: string, q: number[]): Point => {
        const [x, y] = marks
            ? laidOver(
                  point(q),
                  [point(marks.base_left), point(marks.base_right), point(marks.top)],
                  [at.base_left, at.base_right, at.top],
              )
            : point(q);
        const by = shifts[key] ?? [0, 0];
        return [x + by[0], y + by[1]];
    };
    const ringOf = figure.find((a) => a.key === area)?.outline?.[view]?.[0] ?? [];
    const middle = ringOf.reduce<Point>(
        (sum, q) => {
            const [x, y] = laid(area, q);
            return [sum[0] + x / ringOf.length, sum[1] + y / ringOf.length];
        },
        [0, 0],
    );
    const shift = (x: number, y: number) =>
        setShifts((now) => ({ ...now, [area]: [(now[area]?.[0] ?? 0) + x, (now[area]?.[1] ?? 0) + y] }));
    const whereIs = (key: Handle): Point => (key === 'area' ? middle : at[key]);
    const stage = useRef<HTMLDivElement>(null);
    const held = useRef<Handle | null>(null);
    const keep = useMutation({
        mutationFn: () =>
            placePhotograph(p.id, { ...placement(at, hasCard ? side : null), shifts, revision: p.revision }),
        onSuccess: done,
    });
    return (
        <Flex vertical gap={12}>
            <p className="m-0 small soft">
                {was && p.state === 'kept'
                    ? 'This is where they were found, or where they lay last: look whether it is right. '
                    : ''}
                Drag L and R to the ends of the base and T to the highest point; the arrow keys nudge, with
                Shift by ten.
            </p>
            <div
                ref={stage}
                className={css.stage}
                style={{ maxWidth: `calc((100vh - 290px) * ${p.width / p.height})` }}
                onPointerMove={(e) => {
                    const box = stage.current?.getBoundingClientRect();
                    const key = held.current;
                    if (!box || !key) return;
                    const to: Point = [
                        ((e.clientX - box.left) / box.width) * p.width,
                        ((e.clientY - box.top) / box.height) * p.height,
                    ];
                    if (key === 'area') shift(to[0] - middle[0], to[1] - middle[1]);
                    else setAt((now) => ({ ...now, [key]: to }));
                }}
                onPointerUp={() => (held.current = null)}
                onPointerLeave={() => (held.current = null)}
            >
                <Still src={`/api/v1/pictures/${p.sha256}`} alt={`The ${p.view}`} />
                <svg className={css.over} viewBox={`0 0 ${p.width} ${p.height}`} aria-hidden="true">
                    {marks &&
                        figure.flatMap((a) =>
                            (a.outline?.[view] ?? []).map((ring, i) => (
                                <polygon
                                    key={`${a.key} ${i}`}
                                    className={a.key === area ? css.chosen : undefined}
                                    points={ring.map((q) => laid(a.key, q).join()).join(' ')}
                                />
                            )),
                        )}
                </svg>
                {HANDLES.filter(
                    (h) => (h.key !== 'card' || hasCard) && (h.key !== 'area' || ringOf.length > 0),
                ).map((h) => (
                    <DragPoint
                        key={h.key}
                        label={h.label}
                        mark={h.mark}
                        className={`${css.handle} ${h.key === 'card' ? css.card : ''}`}
                        left={(100 * whereIs(h.key)[0]) / p.width}
                        top={(100 * whereIs(h.key)[1]) / p.height}
                        hold={() => (held.current = h.key)}
                        nudge={(x, y) =>
                            h.key === 'area'
                                ? shift(x, y)
                                : setAt((now) => ({
                                      ...now,
                                      [h.key]: [now[h.key][0] + x, now[h.key][1] + y],
                                  }))
                        }
                    />
                ))}
            </div>
            <Flex gap={12} align="center" wrap>
                <Checkbox checked={hasCard} onChange={(e) => setHasCard(e.target.checked)}>
                    a grey card is in the picture
                </Checkbox>
                {hasCard && (
                    <div className={css.thumb}>
                        <Slider
                            min={8}
                            max={Math.round(p.width / 6)}
                            value={side}
                            onChange={setSide}
                            tooltip={{ formatter: null }}
                            ariaLabelForHandle="How large its middle field is"
                        />
                    </div>
                )}
                <Pick
                    aria-label="Shift one area alone"
                    value={area}
                    onChange={setArea}
                    options={[
                        { value: '', label: 'no area lies elsewhere' },
                        ...figure
                            .filter((a) => (a.outline?.[view] ?? []).length > 0)
                            .map((a) => ({ value: a.key, label: `shift ${a.name.toLowerCase()} alone` })),
                    ]}
                />
                <span className="room" />
                <Button type="primary" loading={keep.isPending} onClick={() => keep.mutate()}>
                    {p.shows === 'painted' ? 'Measure' : 'Keep'}
                </Button>
            </Flex>
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
        </Flex>
    );
}

function placement(at: Record<Handle, Point>, side: number | null): Omit<PhotographPlacement, 'shifts'> {
    const whole = (n: number) => Math.max(0, Math.round(n));
    const [x, y] = at.card;
    return {
        base_left: at.base_left,
        base_right: at.base_right,
        top: at.top,
        card:
            side === null
                ? null
                : [whole(x - side / 2), whole(y - side / 2), whole(x + side / 2), whole(y + side / 2)],
    };
}
