import { Flex } from 'antd';
import type { PaintName, Slot } from '../../api/types';
import { PaintPick } from './PaintPick';
import { type Colours } from './scheme';

export function Extras({
    colours,
    said,
    paints,
    editable,
    set,
}: {
    colours: Colours;
    said: Slot['colours'];
    paints: PaintName[];
    editable: boolean;
    set: (next: Colours) => void;
}) {
    return (
        <Flex vertical gap={2}>
            {(['tint', 'line'] as const).map((k) => (
                <PaintPick
                    key={k}
                    value={colours[k] ?? ''}
                    said={said?.[k]}
                    paints={paints}
                    editable={editable}
                    empty={`no ${k}`}
                    change={(v) => {
                        const { [k]: _, ...rest } = colours;
                        set(v === '' ? rest : { ...rest, [k]: v });
                    }}
                />
            ))}
        </Flex>
    );
}
