import { Button, Flex, Popover } from 'antd';
import type { HeldFigure } from '../../api/photographs';
import { Says } from '../../ui/Says';

/** What photographs say of what is looked at: evidence; a person answers. What holds is said quietly. */
export function Held({
    held,
    open,
    brief = false,
}: {
    held: HeldFigure[];
    open: ((question: string) => void) | null;
    /** What holds is said without its places: they stand beside it. */
    brief?: boolean;
}) {
    const broken = held.filter((h) => !h.is_met);
    const good = held.filter((h) => h.is_met);
    const groups = [...new Set(good.map((h) => h.says))].map(
        (says) => [says, good.filter((h) => h.says === says)] as const,
    );
    return (
        <Flex vertical gap={6}>
            {broken.map((h) => (
                <Says key={`${h.photograph} ${h.area} ${h.says}`} kind="warn">
                    <Flex gap={8} align="center" wrap>
                        <span>
                            <span className="strong">{h.name}</span>: {h.says}, the photograph says. Look
                            there.
                        </span>
                        <Popover trigger="click" content={h.figures}>
                            <Button size="small" type="text">
                                details
                            </Button>
                        </Popover>
                        {open && h.question !== null && (
                            <Button size="small" onClick={() => h.question !== null && open(h.question)}>
                                Go to its question
                            </Button>
                        )}
                    </Flex>
                </Says>
            ))}
            {groups.map(([says, all]) => (
                <p key={says} className="small soft m-0">
                    Measured, {says}
                    {brief ? '' : `: ${all.map((h) => h.name.toLowerCase()).join(', ')}`}.{' '}
                    <Popover
                        trigger="click"
                        content={all.map((h) => (
                            <div key={`${h.photograph} ${h.area}`}>
                                {h.name}: {h.figures}
                            </div>
                        ))}
                    >
                        <Button size="small" type="text">
                            details
                        </Button>
                    </Popover>
                </p>
            ))}
        </Flex>
    );
}
