import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import type { UnitPlan } from '../../api/types';
import { uphold } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';
import { type Bend, changesOf } from './bend';
import { placeName } from './names';

/** The rules that do not hold for this order, with who said so and why. */
export function SetAside({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const notices = useNotices();
    const back = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (overrule: number) => uphold(data.unit.id, overrule, data.unit.revision),
        onSuccess: bend.put,
        onError: notices.failed,
    });
    return (
        <div className="px-14 pb-6">
            {data.overrules.map((o) => (
                <Says kind="warn" key={o.id}>
                    <b>Set aside for this order:</b> {data.rules[o.rule] ?? o.rule}, between{' '}
                    {placeName(data, o.earlier)} and {placeName(data, o.later)}. {o.reason} ({o.by}){' '}
                    {data.editable && (
                        <Button type="link" disabled={bend.busy} onClick={() => back.mutate(o.id)}>
                            Let it hold again
                        </Button>
                    )}
                </Says>
            ))}
        </div>
    );
}
