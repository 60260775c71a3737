import { useMutation } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Slider } from 'antd';
import { useRef, useState } from 'react';
import { saysWhy } from '../../api/client';
import { placePhotograph, type Photograph, type PhotographPlacement } from '../../api/photographs';
import type { components } from '../../api/schema';
import { DragPoint } from '../../ui/DragPoint';
import { Says } from '../../ui/Says';
import { Still } from '../../ui/Still';
import css from './Photographs.module.css';
import { laidOver, type Outlined, type Point } from './placing';

type Marks = components['schemas']['PlacementMarks'];
type Handle = 'base_left' | 'base_right' | 'top' | 'card';

const HANDLES: { key: Handle; label: string; mark: string }[] = [
    { key: 'base_left', label: 'Where the base begins on the left', mark: 'L' },
    { key: 'base_right', label: 'Where the base ends on the right', mark: 'R' },
    { key: 'top', label: 'The highest point', mark: 'T' },
    { key: 'card', label: 'The middle field of the grey card', mark: '' },
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
        card: was?.card
            ? [((was.card[0] ?? 0) + (was.card[2] ?? 0)) / 2, ((was.card[1] ?? 0) + (was.card[3] ?? 0)) / 2]
            : [p.width * 0.07, p.height * 0.93],
    });
    const [hasCard, setHasCard] = useState(was ? was.card !== null : true);
    const [side, setSide] = useState(was?.card ? (was.card[2] ?? 0) - (was.card[0] ?? 0) : p.width * 0.03);
    const stage = useRef<HTMLDivElement>(null);
    const held = useRef<Handle | null>(null);
    const keep = useMutation({
        mutationFn: () =>
            placePhotograph(p.id, { ...placement(at, hasCard ? side : null), revision: p.revision }),
        onSuccess: done,
    });
    return (
        <Flex vertical gap={12}>
            <p className="m-0 small soft">
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
                    setAt((now) => ({ ...now, [key]: to }));
                }}
                onPointerUp={() => (held.current = null)}
                onPointerLeave={() => (held.current = null)}
            >
                <Still src={`/api/v1/pictures/${p.sha256}`} alt={`The ${p.view}`} />
                <svg className={css.over} viewBox={`0 0 ${p.width} ${p.height}`} aria-hidden="true">
                    {marks &&
                        figure.flatMap((a) =>
                            (a.outline?.[p.view === 'back' ? 'back' : 'front'] ?? []).map((ring, i) => (
                                <polygon
                                    key={`${a.key} ${i}`}
                                    points={ring
                                        .map((q) =>
                                            laidOver(
                                                point(q),
                                                [
                                                    point(marks.base_left),
                                                    point(marks.base_right),
                                                    point(marks.top),
                                                ],
                                                [at.base_left, at.base_right, at.top],
                                            ).join(),
                                        )
                                        .join(' ')}
                                />
                            )),
                        )}
                </svg>
                {HANDLES.filter((h) => h.key !== 'card' || hasCard).map((h) => (
                    <DragPoint
                        key={h.key}
                        label={h.label}
                        mark={h.mark}
                        className={`${css.handle} ${h.key === 'card' ? css.card : ''}`}
                        left={(100 * at[h.key][0]) / p.width}
                        top={(100 * at[h.key][1]) / p.height}
                        hold={() => (held.current = h.key)}
                        nudge={(x, y) =>
                            setAt((now) => ({ ...now, [h.key]: [now[h.key][0] + x, now[h.key][1] + y] }))
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
                <span className="room" />
                <Button type="primary" loading={keep.isPending} onClick={() => keep.mutate()}>
                    {p.shows === 'painted' ? 'Measure' : 'Keep'}
                </Button>
            </Flex>
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
        </Flex>
    );
}

function placement(at: Record<Handle, Point>, side: number | null): PhotographPlacement {
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
