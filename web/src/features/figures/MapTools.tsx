import { Button, Checkbox, Slider, Upload } from 'antd';
import { Chip } from '../../ui/Chip';
import { mirrored } from './outline';
import type { MapDesk } from './useMap';

/** Which view, what is drawn, and the picture under it. */
export function MapTools({
    desk,
    editable,
    snap,
    setSnap,
    fade,
    setFade,
}: {
    desk: MapDesk;
    editable: boolean;
    snap: boolean;
    setSnap: (on: boolean) => void;
    fade: number;
    setFade: (fade: number) => void;
}) {
    const { area, drawing, points, rings, view, upload } = desk;
    const picture = desk.pictures[view];
    return (
        <div className="map-tools">
            <div className="chips">
                {(['front', 'back'] as const).map((v) => (
                    <Chip key={v} on={view === v} onClick={() => desk.look(v)}>
                        {v}
                    </Chip>
                ))}
            </div>
            {editable && (
                <>
                    <Button
                        size="small"
                        aria-pressed={drawing !== null}
                        disabled={area === null}
                        onClick={() => {
                            desk.setDrawing(drawing ? null : []);
                            desk.setPoints([]);
                        }}
                    >
                        {drawing ? 'Drop it' : 'New outline'}
                    </Button>
                    {drawing && (
                        <Button
                            size="small"
                            type="primary"
                            disabled={drawing.length < 3}
                            onClick={desk.close}
                        >
                            Close it
                        </Button>
                    )}
                    <Button size="small" disabled={points.length !== 2} onClick={desk.halve}>
                        Split
                    </Button>
                    <Button size="small" disabled={points.length === 0} onClick={desk.removePoint}>
                        Remove point
                    </Button>
                    <Button
                        size="small"
                        disabled={view !== 'front' || rings.length === 0}
                        title="Copies this area’s front outlines to the back, mirrored"
                        onClick={() =>
                            area && desk.setArea({ outline: { ...area.outline, back: mirrored(rings) } })
                        }
                    >
                        To the back
                    </Button>
                    <Checkbox className="small" checked={snap} onChange={(e) => setSnap(e.target.checked)}>
                        snap
                    </Checkbox>
                    <Upload
                        accept="image/png,image/jpeg,image/webp"
                        showUploadList={false}
                        beforeUpload={(file) => {
                            upload.mutate(file);
                            return false;
                        }}
                    >
                        <Button size="small" loading={upload.isPending}>
                            {picture ? 'Another picture' : 'Picture of the bare model'}
                        </Button>
                    </Upload>
                    {picture && (
                        <>
                            <Slider
                                className="fade"
                                aria-label="How much of the picture shows"
                                min={0.1}
                                max={1}
                                step={0.05}
                                value={fade}
                                onChange={setFade}
                            />
                            <Button type="link" size="small" onClick={desk.withoutPicture}>
                                without picture
                            </Button>
                        </>
                    )}
                </>
            )}
        </div>
    );
}
