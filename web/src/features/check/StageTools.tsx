import { Flex, Segmented } from 'antd';
import { Chip } from '../../ui/Chip';

export type Zoom = 'whole' | 'distance' | 'close';

/** How the model is looked at: from how far, without colours, beside another picture. */
export function StageTools({
    distance,
    zoom,
    setZoom,
    grey,
    setGrey,
    beside,
    setBeside,
    others,
}: {
    distance: number;
    zoom: Zoom;
    setZoom: (zoom: Zoom) => void;
    grey: boolean;
    setGrey: (grey: boolean) => void;
    beside: string;
    setBeside: (name: string) => void;
    others: string[];
}) {
    return (
        <Flex gap={10} align="center" wrap className="mt-8">
            <Segmented<Zoom>
                value={zoom}
                onChange={setZoom}
                options={[
                    { label: 'Whole', value: 'whole' },
                    { label: `As seen at ${distance} cm`, value: 'distance' },
                    { label: 'Close', value: 'close' },
                ]}
            />
            <Chip on={grey} onClick={() => setGrey(!grey)}>
                grey
            </Chip>
            <span className="grow" />
            {others.length > 0 && (
                <Flex gap={8} align="center">
                    <span className="small soft">compare with</span>
                    <Segmented
                        value={beside}
                        onChange={setBeside}
                        options={[
                            ...others.map((o) => ({ label: o, value: o })),
                            { label: 'nothing', value: '' },
                        ]}
                    />
                </Flex>
            )}
        </Flex>
    );
}
