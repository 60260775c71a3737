import { Button, Flex, Modal, Slider } from 'antd';
import { useState } from 'react';
import type { Check } from '../../api/types';
import { useKey } from '../../app/keys';
import { Chip } from '../../ui/Chip';
import { KeptDetails } from '../../ui/KeptDetails';
import { Says } from '../../ui/Says';
import { EYE_CM, keepScreenScale, screenScale } from '../../ui/screen';
import { ScreenSize } from '../../ui/ScreenSize';
import type { Box } from '../photographs/placing';
import { Canvas, type Pin } from './Canvas';
import css from './Check.module.css';
import { StageTools, type Zoom } from './StageTools';
import { closeTo, saidOf, type Side, usePictures } from './usePictures';
import type { Pressed } from './usePressing';

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
            <StageTools
                distance={check.unit.distance_cm}
                zoom={zoom}
                setZoom={setZoom}
                grey={grey}
                setGrey={setGrey}
                beside={beside}
                setBeside={setBeside}
                others={pictures.others.map((o) => o.name)}
            />
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
