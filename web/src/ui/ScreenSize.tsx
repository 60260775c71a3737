import { Button, Flex, Slider } from 'antd';
import { useState } from 'react';
import css from './AtDistance.module.css';
import { CARD_MM } from './screen';

/** CSS pixels a millimetre where nothing is known: 96 to the inch. */
const USUAL = 96 / 25.4;

/** Once for a screen: a bank card is held to it, and the drawn card made as large. */
export function ScreenSize({ done }: { done: (pixelsPerMm: number) => void }) {
    const [scale, setScale] = useState(USUAL);
    return (
        <Flex vertical gap={14}>
            <p className="m-0">
                Hold a bank card to the screen and make this one as large. It is asked once for this screen.
            </p>
            <div className={css.bed}>
                <div
                    className={css.card}
                    style={{ width: CARD_MM.width * scale, height: CARD_MM.height * scale }}
                >
                    85.60 mm wide
                </div>
            </div>
            <Slider
                min={2.2}
                max={9}
                step={0.01}
                value={scale}
                onChange={setScale}
                tooltip={{ formatter: null }}
                ariaLabelForHandle="How large the card is"
            />
            <div>
                <Button type="primary" onClick={() => done(scale)}>
                    It is as large as my card
                </Button>
            </div>
        </Flex>
    );
}
