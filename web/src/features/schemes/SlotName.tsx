import { Button, Flex } from 'antd';
import type { Slot } from '../../api/types';
import { Says } from '../../ui/Says';

/** The areas of a slot, without the figures they are on. */
function where(slot: Slot): string {
    const areas = [...new Set(slot.places.map((p) => p.slice(p.indexOf(': ') + 2).toLowerCase()))];
    return areas.length === 0
        ? 'on none of these figures'
        : `${areas.slice(0, 4).join(', ')}${areas.length > 4 ? ` and ${areas.length - 4} more` : ''}`;
}

/** A slot by its name, where it is worn, and what is wrong with its colours. */
export function SlotName({ slot, coloured }: { slot: Slot; coloured: boolean }) {
    return (
        <>
            <b>{slot.slot}</b>
            <div className="small soft">{where(slot)}</div>
            {coloured &&
                slot.problems.map((p) => (
                    <Says kind="warn" key={p}>
                        {p}
                    </Says>
                ))}
        </>
    );
}

/** A slot without colours, and the way to give it some. */
export function NoColours({ why, give }: { why: string; give: (() => void) | null }) {
    return (
        <Flex gap={8} align="center" wrap>
            <Says kind="warn">{why}</Says>
            {give && (
                <Button type="link" onClick={give}>
                    Give it colours
                </Button>
            )}
        </Flex>
    );
}
