import { useIsMutating, useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Edits, UnitPlan } from '../../api/types';
import { editPlan, planQuery } from '../../api/units';
import { useNotices } from '../../app/notices';
import type { Use } from './names';

/** One change of a plan, made from a revision of it. */
type Call = (revision: number) => Promise<UnitPlan>;

/** Changes of a plan: each is one call with the plan's revision, answers with the whole plan, and can be taken back. */
export interface Bend {
    edit: (area: string, list: Use[] | null) => void;
    edits: (edits: Edits) => void;
    make: (call: Call, back?: Call) => void;
    put: (next: UnitPlan) => void;
    undo: (() => void) | null;
    busy: boolean;
}

/** Under what every change of a unit's plan goes, so that one waits for another. */
export const changesOf = (unit: number) => ['plan', unit, 'change'] as const;

export function useBend(data: UnitPlan): Bend {
    const queries = useQueryClient();
    const notices = useNotices();
    const unit = data.unit.id;
    // Whatever part of the page asks for a change: the next one needs the revision that comes back.
    const busy = useIsMutating({ mutationKey: changesOf(unit) }) > 0;
    const [backs, setBacks] = useState<Call[]>([]);
    // An answer about one model is not shown in place of the unit's plan.
    const put = (next: UnitPlan) => {
        if (next.piece !== data.piece) {
            void queries.invalidateQueries({ queryKey: ['plan'] });
            return;
        }
        queries.setQueryData(planQuery(unit, data.piece).queryKey, next);
        void queries.invalidateQueries({ queryKey: ['plan', unit], refetchType: 'none' });
        void queries.invalidateQueries({ queryKey: ['order'] });
    };
    const change = useMutation({
        mutationKey: changesOf(unit),
        mutationFn: ({ call }: { call: Call; back: Call | undefined }) => call(data.unit.revision),
        onSuccess: (next, { back }) => {
            if (back) setBacks((b) => [...b, back]);
            put(next);
        },
        onError: notices.failed,
    });
    const make = (call: Call, back?: Call) => change.mutate({ call, back });
    const edits = (next: Edits) =>
        make(
            (revision) => editPlan(unit, revision, next, data.piece),
            (revision) => editPlan(unit, revision, data.unit.edits, data.piece),
        );
    const last = backs[backs.length - 1];
    return {
        edit: (area, list) => {
            const { [area]: _, ...rest } = data.unit.edits;
            edits(list === null ? rest : { ...rest, [area]: list });
        },
        edits,
        make,
        put,
        undo: last
            ? () => {
                  setBacks(backs.slice(0, -1));
                  make(last);
              }
            : null,
        busy,
    };
}
