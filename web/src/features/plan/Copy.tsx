import { useMutation } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import type { UnitPlan } from '../../api/types';
import { copyPlan } from '../../api/units';
import { useNotices } from '../../app/notices';

/** What was changed by hand goes to another unit of the same figure, as far as its tier lets it. */
export function Copy({ data, close }: { data: UnitPlan; close: () => void }) {
    const notices = useNotices();
    const open = data.alike.filter((u) => !u.released);
    const copy = useMutation({
        mutationFn: (u: (typeof open)[number]) => copyPlan(data.unit.id, u.id, u.revision),
        onSuccess: (done) => {
            close();
            notices.told(
                done.edits_gone.length === 0
                    ? 'Copied.'
                    : `Copied, but for ${done.edits_gone.join(', ')}: ` +
                          `what was changed there does not go with that tier.`,
            );
        },
        onError: notices.failed,
    });
    const changed = Object.keys(data.unit.edits).length;
    if (changed === 0) return <p className="soft">Nothing was changed by hand in this plan.</p>;
    if (open.length === 0)
        return <p className="soft">There is no other unit of this figure that is still to be released.</p>;
    return (
        <>
            <p className="soft mt-0">
                {changed} {changed === 1 ? 'area was' : 'areas were'} changed by hand. What does not go with
                the other unit’s tier is left out and named.
            </p>
            <Flex vertical gap={6}>
                {open.map((u) => (
                    <Button key={u.id} disabled={copy.isPending} onClick={() => copy.mutate(u)}>
                        {u.order_number}
                        {u.label ? `, ${u.label}` : ''}, {u.tier}
                    </Button>
                ))}
            </Flex>
        </>
    );
}
