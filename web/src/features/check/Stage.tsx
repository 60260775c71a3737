import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Modal, Segmented, Slider } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { drawingQuery, drawnUnitQuery } from '../../api/drawings';
import { photographsQuery } from '../../api/photographs';
import type { Check } from '../../api/types';
import { useKey } from '../../app/keys';
import { Chip } from '../../ui/Chip';
import { KeptDetails } from '../../ui/KeptDetails';
import { Says } from '../../ui/Says';
import { EYE_CM, keepScreenScale, screenScale } from '../../ui/screen';
import { ScreenSize } from '../../ui/ScreenSize';
import { around, type Box, type Point } from '../photographs/placing';
import { Canvas, type Pin, type Pressed } from './Canvas';
import css from './Check.module.css';
import { drawingIn, photographIn, type Laid } from './pictures';

type Side = 'front' | 'back';
type Zoom = 'whole' | 'distance' | 'close';

/** Around what is looked at close by, and at least so much of the model, mm. */
const AROUND = 0.25;
const CLOSEST = 12;

/** What is looked at: the newest photograph, or the plan as drawn, with what is spoken of outlined in it. */
export function Stage({
    check,
    side,
    setSide,
    lit,
    pressed,
    press,
    hover,
}: {
    check: Check;
    side: Side;
    setSide: (side: Side) => void;
    lit: string[];
    /** Where a fault is about to be noted. */
    pressed: Pressed | null;
    press: ((at: Pressed) => void) | null;
    hover: (area: string | null) => void;
}) {
    const frame: [number, number] = [check.unit.frame_mm[0] ?? 60, check.unit.frame_mm[1] ?? 80];
    const [zoom, setZoom] = useState<Zoom>('whole');
    const [grey, setGrey] = useState(false);
    const [beside, setBeside] = useState('');
    const [divide, setDivide] = useState(50);
    const [scale, setScale] = useState(screenScale);
    const pictures = usePictures(check, side, frame);
    useKey('greyView', () => setGrey((on) => !on));
    const compared = pictures.others.find((o) => o.name === beside);
    const picture = pictures.own ?? pictures.planned;
    const whole: Box = picture?.box ?? [0, 0, frame[0], frame[1]];
    const shown = zoom === 'close' ? closeTo(check, side, frame, lit, whole) : whole;
    const wide =
        zoom === 'distance' && scale !== null ? (shown[2] * scale * EYE_CM) / check.unit.distance_cm : null;
    const pins: Pin[] = check.faults.flatMap((f, i) =>
        f.pin?.view === side ? [{ id: f.id, x: f.pin.x, y: f.pin.y, mark: String(i + 1) }] : [],
    );
    if (pressed?.view === side) pins.push({ id: 0, x: pressed.x, y: pressed.y, mark: '?' });
    return (
        <section aria-label="The model">
            <div className={css.stage}>
                <div className={grey ? css.grey : undefined} style={wide === null ? FILLS : { width: wide }}>
                    <Canvas
                        areas={check.figure}
                        view={side}
                        frame={frame}
                        picture={picture}
                        beside={compared?.picture ?? null}
                        divide={divide / 100}
                        shown={shown}
                        // From where it is judged nothing is drawn over it.
                        lit={zoom === 'distance' ? [] : lit}
                        pins={zoom === 'distance' ? [] : pins}
                        press={press}
                        hover={hover}
                    />
                </div>
                <span className={css.said}>{saidOf(check, pictures.own, picture)}</span>
                {compared && <span className={css.other}>{compared.name}</span>}
            </div>
            {compared && (
                <Slider
                    value={divide}
                    onChange={setDivide}
                    tooltip={{ formatter: null }}
                    ariaLabelForHandle="Where the divide stands"
                />
            )}
            <Flex gap={10} align="center" wrap className="mt-8">
                <Segmented<Zoom>
                    value={zoom}
                    onChange={setZoom}
                    options={[
                        { label: 'Whole', value: 'whole' },
                        { label: `As seen at ${check.unit.distance_cm} cm`, value: 'distance' },
                        { label: 'Close', value: 'close' },
                    ]}
                />
                <Chip on={grey} onClick={() => setGrey(!grey)}>
                    grey
                </Chip>
                <span className="grow" />
                {pictures.others.length > 0 && (
                    <Flex gap={8} align="center">
                        <span className="small soft">compare with</span>
                        <Segmented
                            value={beside}
                            onChange={setBeside}
                            options={[
                                ...pictures.others.map((o) => ({ label: o.name, value: o.name })),
                                { label: 'nothing', value: '' },
                            ]}
                        />
                    </Flex>
                )}
            </Flex>
            {zoom === 'distance' && scale !== null && (
                <p className="small soft m-0 mt-4">
                    As large as it looks from there when your eye is {EYE_CM} cm from the screen.{' '}
                    <Button type="link" size="small" onClick={() => setScale(null)}>
                        Measure the screen again
                    </Button>
                </p>
            )}
            {pictures.failed && <Says kind="bad">{pictures.failed}</Says>}
            <Flex gap={8} className="mt-8" wrap>
                {(['front', 'back'] as const).map((s) => (
                    <Chip key={s} on={side === s} onClick={() => setSide(s)}>
                        {s === 'front' ? 'Front' : 'Back'}
                    </Chip>
                ))}
                <span className="small soft">The sides, the top and below: look at the model itself.</span>
            </Flex>
            <KeptDetails details={pictures.details} />
            <Modal
                open={zoom === 'distance' && scale === null}
                title="How large is your screen?"
                footer={null}
                onCancel={() => setZoom('whole')}
                destroyOnHidden
            >
                <ScreenSize
                    done={(px) => {
                        keepScreenScale(px);
                        setScale(px);
                    }}
                />
            </Modal>
        </section>
    );
}

/** As large as there is room, whatever its shape. */
const FILLS = { width: '100%', height: '100%' };

/** How many kept details are shown at most. */
const DETAILS = 4;

/** The pictures there are of one side: of this model, as planned, and what it can be compared with. */
function usePictures(check: Check, side: Side, frame: [number, number]) {
    const query = useQuery(photographsQuery(check.piece.id));
    const planned = useQuery(drawnUnitQuery(check.unit.id, check.id, check.piece.number, null));
    const address = planned.data?.drawn[side];
    const drawing = useQuery({ ...drawingQuery(address ?? ''), enabled: address !== undefined });
    const marks = query.data?.marks[side];
    const newest = query.data?.data.filter((p) => p.view === side && p.shows === 'painted').at(-1);
    const own = newest ? photographIn(newest, marks, frame) : null;
    const plan = address !== undefined && drawing.data?.state === 'ready' ? drawingIn(address, frame) : null;
    const others: { name: string; picture: Laid }[] = (query.data?.beside ?? [])
        .filter((b) => b.photograph.view === side && b.photograph.placement !== null)
        .map((b) => ({
            name: b.is_test ? 'Test model' : `Model ${b.model}`,
            picture: photographIn(b.photograph, marks, frame),
        }));
    if (own && plan) others.push({ name: 'Plan', picture: plan });
    return {
        own,
        planned: plan,
        others,
        details: (query.data?.examples ?? []).slice(0, DETAILS),
        failed: query.isError ? saysWhy(query.error) : null,
    };
}

/** What one has before one, so that nobody takes a drawing for the model. */
function saidOf(check: Check, own: Laid | null, picture: Laid | null): string {
    if (own) return own.drawn ? 'drawn, not photographed' : `this model, ${check.piece.number}`;
    return picture ? 'as planned, drawn' : 'a schematic';
}

/** The box of what is spoken of, with some of its surroundings. */
function closeTo(check: Check, side: Side, frame: [number, number], lit: string[], whole: Box): Box {
    const points = check.figure
        .filter((a) => lit.includes(a.key))
        .flatMap((a) => (a.outline[side] ?? []).flat())
        .map(([x = 0, y = 0]): Point => [x * frame[0], y * frame[1]]);
    if (points.length === 0) return whole;
    const [x, y, w, h] = around(points);
    const wide = Math.max(CLOSEST, w * (1 + AROUND));
    const tall = Math.max(CLOSEST, h * (1 + AROUND));
    return [x + w / 2 - wide / 2, y + h / 2 - tall / 2, wide, tall];
}
