import { Button, Flex } from 'antd';
import type { PaintName } from '../../api/types';
import { PaintPick } from './PaintPick';
import type { Colours } from './scheme';

const FALLBACK = '#808080';

/** A step in lightness, L*, with its sign. */
const signed = (l: number | null | undefined): string =>
    l == null ? '' : `${l > 0 ? '+' : '−'}${Math.abs(Math.round(l))}`;

/** The shades of a slot, or its lights, one under another. */
export function Tones({
    of,
    colours,
    said,
    steps,
    paints,
    editable,
    set,
}: {
    of: 'shades' | 'lights';
    colours: Colours;
    said: ({ paint: string; hex: string | null } | null)[];
    steps: (number | null)[];
    paints: PaintName[];
    editable: boolean;
    set: (next: Colours) => void;
}) {
    const list = colours[of];
    return (
        <Flex vertical gap={2} align="start">
            {list.map((paint, i) => (
                <Flex key={i} gap={4} align="center">
                    <PaintPick
                        value={paint}
                        said={said[i]}
                        paints={paints}
                        editable={editable}
                        empty="take it out"
                        change={(v) =>
                            set({
                                ...colours,
                                [of]:
                                    v === ''
                                        ? list.filter((_, k) => k !== i)
                                        : list.map((x, k) => (k === i ? v : x)),
                            })
                        }
                    />
                    <span className="small soft num" title="step in lightness, L*">
                        {signed(steps[i])}
                    </span>
                </Flex>
            ))}
            {editable && (
                <Button
                    type="link"
                    size="small"
                    onClick={() => set({ ...colours, [of]: [...list, paints[0]?.name ?? FALLBACK] })}
                >
                    + {of === 'shades' ? 'shade' : 'light'}
                </Button>
            )}
        </Flex>
    );
}
