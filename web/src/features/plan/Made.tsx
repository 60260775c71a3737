import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import type { Amendment, UnitPlan } from '../../api/types';
import { takeAmendmentBack } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Says } from '../../ui/Says';
import { longName } from './names';
import { changesOf } from './bend';

/** The amendments that hold for the plan, each with the way back. */
export function Made({ data, put }: { data: UnitPlan; put?: (next: UnitPlan) => void }) {
    const notices = useNotices();
    const back = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (id: number) => takeAmendmentBack(data.unit.id, id, data.unit.revision),
        onSuccess: (next) => put?.(next),
        onError: notices.failed,
    });
    const named = (a: Amendment) => {
        if (a.technique) return longName(data, a.technique).toLowerCase();
        return typeof a.clause === 'string' ? (data.clauses[a.clause] ?? 'a clause') : 'a clause';
    };
    const what = (a: Amendment) => `${{ add: 'adds', omit: 'leaves out', set: 'changes' }[a.do]} ${named(a)}`;
    const where = (a: Amendment) =>
        (a.scope.area ?? []).map((k) => data.figure.find((f) => f.key === k)?.name ?? k).join(', ');
    const onSome = (a: Amendment) => {
        const on = a.on as { pieces?: number; share?: number } | null;
        return on === null
            ? ''
            : on.pieces
              ? `, on ${on.pieces} models`
              : `, on ${Math.round((on.share ?? 0) * 100)} % of the models`;
    };
    return (
        <>
            {data.amendments.map((m) => (
                <Says kind="plain" key={m.id}>
                    <b>
                        {m.no}. {m.of === 'piece' ? `Model ${m.piece ?? ''}` : `The ${m.of}`}{' '}
                        {what(m.amendment)}
                    </b>
                    {where(m.amendment) ? ` on ${where(m.amendment).toLowerCase()}` : ''}
                    {onSome(m.amendment)}
                    {m.amendment.price ? `, at ${m.amendment.price}` : ''}
                    <br />
                    <span className="soft">
                        {m.amendment.reason}
                        {m.by ? ` (${m.by})` : ''}
                    </span>
                    {put && (
                        <>
                            {' '}
                            <Button type="link" disabled={back.isPending} onClick={() => back.mutate(m.id)}>
                                Take back
                            </Button>
                        </>
                    )}
                </Says>
            ))}
        </>
    );
}
