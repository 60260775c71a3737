import { Button, Checkbox, Flex, Slider } from 'antd';
import { saysWhy } from '../../api/client';
import { DragPoint } from '../../ui/DragPoint';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Still } from '../../ui/Still';
import css from './Photographs.module.css';
import type { Point } from './placing';
import { type Handle, type Placing, usePlacing } from './usePlacing';

const HANDLES: { key: Handle; label: string; mark: string }[] = [
    { key: 'base_left', label: 'Where the base begins on the left', mark: 'L' },
    { key: 'base_right', label: 'Where the base ends on the right', mark: 'R' },
    { key: 'top', label: 'The highest point', mark: 'T' },
    { key: 'card', label: 'The middle field of the grey card', mark: '' },
    { key: 'area', label: 'The area that lies elsewhere', mark: 'A' },
];

/** Three points and the grey card are dragged, or nudged by keys, until the outlines lie where they belong. */
export function PlacePhoto(given: Placing) {
    const { photograph: p, marks, figure } = given;
    const {
        was,
        view,
        at,
        hasCard,
        setHasCard,
        side,
        setSide,
        area,
        setArea,
        laid,
        ringOf,
        middle,
        stage,
        hold,
        drag,
        nudge,
        keep,
    } = usePlacing(given);
    const whereIs = (key: Handle): Point => (key === 'area' ? middle : at[key]);
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
                onPointerMove={(e) => drag(e.clientX, e.clientY)}
                onPointerUp={() => hold(null)}
                onPointerLeave={() => hold(null)}
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
                        hold={() => hold(h.key)}
                        nudge={(x, y) => nudge(h.key, x, y)}
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
