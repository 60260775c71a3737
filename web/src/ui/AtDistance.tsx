import { Button, Flex, Modal, Segmented } from 'antd';
import { useState } from 'react';
import { Drawn } from './Drawn';
import css from './AtDistance.module.css';
import { EYE_CM, keepScreenScale, screenScale } from './screen';
import { ScreenSize } from './ScreenSize';

/** The eye's distances from the screen that can be chosen, cm. */
const EYES = [45, EYE_CM, 75];

/** A drawing as large as the model looks from the tier's distance, with a rule of the same scale. */
export function AtDistance({
    address,
    alt,
    widthMm,
    distanceCm,
}: {
    address: string;
    alt: string;
    widthMm: number;
    distanceCm: number;
}) {
    const [open, setOpen] = useState(false);
    const [scale, setScale] = useState(screenScale);
    const [eye, setEye] = useState(EYE_CM);
    return (
        <>
            <Button onClick={() => setOpen(true)}>As seen from {distanceCm} cm</Button>
            <Modal
                open={open}
                title={`As seen from ${distanceCm} cm`}
                footer={null}
                width="min(96vw, 900px)"
                onCancel={() => setOpen(false)}
                destroyOnHidden
            >
                {scale === null ? (
                    <ScreenSize
                        done={(px) => {
                            keepScreenScale(px);
                            setScale(px);
                        }}
                    />
                ) : (
                    <Flex vertical gap={12} align="center">
                        <Sized mm={widthMm} scale={(scale * eye) / distanceCm}>
                            <Drawn still address={address} alt={alt} instead={null} />
                        </Sized>
                        <Sized mm={10} scale={(scale * eye) / distanceCm}>
                            <div className={css.rule} />
                            <div className={`small soft ${css.unit}`}>10 mm</div>
                        </Sized>
                        <Flex gap={10} align="center" wrap justify="center">
                            <span className="small soft">Your eye is</span>
                            <Segmented
                                value={eye}
                                onChange={setEye}
                                options={EYES.map((cm) => ({ value: cm, label: `${cm} cm` }))}
                            />
                            <span className="small soft">from the screen.</span>
                            <Button type="link" size="small" onClick={() => setScale(null)}>
                                Measure the screen again
                            </Button>
                        </Flex>
                    </Flex>
                )}
            </Modal>
        </>
    );
}

function Sized({ mm, scale, children }: { mm: number; scale: number; children: React.ReactNode }) {
    return <div style={{ width: mm * scale, maxWidth: '100%' }}>{children}</div>;
}
