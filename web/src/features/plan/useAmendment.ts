import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Amendment, UnitPlan } from '../../api/types';
import { amend } from '../../api/units';
import { changesOf } from './bend';

const begun = (data: UnitPlan) => {
    const conflict = data.plan.conflicts[0];
    return {
        level: (data.piece === null ? 'unit' : 'piece') as Amendment['level'],
        on: '',
        piece: data.piece ?? data.pieces[0]?.number ?? 1,
        do: 'omit' as Amendment['do'],
        clause: conflict?.clauses[0] ?? Object.keys(data.clauses)[0] ?? '',
        technique: '',
        areas: conflict?.area ? [conflict.area] : ([] as string[]),
        field: 'passes',
        value: '1',
        reason: '',
        price: '',
    };
};

export type AmendmentForm = ReturnType<typeof begun>;

/** The amendment as it was filled in. */
export const amendmentOf = (form: AmendmentForm): Amendment => ({
    level: form.level,
    do: form.do,
    clause: form.do === 'add' || form.technique !== '' ? null : form.clause,
    technique: form.technique === '' ? null : form.technique,
    scope: form.areas.length > 0 ? { area: form.areas } : {},
    values:
        form.do === 'set' ? { [form.field]: form.field === 'extent' ? form.value : Number(form.value) } : {},
    reason: form.reason,
    price: form.price === '' ? null : form.price,
    on:
        form.on === '' || form.level === 'piece'
            ? null
            : form.on.endsWith('%')
              ? { share: Number(form.on.slice(0, -1)) / 100 }
              : { pieces: Number(form.on) },
});

/** The fields of an amendment, begun at what is to be settled. */
export function useAmendmentForm(data: UnitPlan) {
    const [form, setForm] = useState(() => begun(data));
    return { form, set: (patch: Partial<AmendmentForm>) => setForm({ ...form, ...patch }) };
}

/** An amendment of the plan that is looked at. */
export function useAmendment(data: UnitPlan, put: (next: UnitPlan) => void) {
    const { form, set } = useAmendmentForm(data);
    const make = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: () =>
            amend(data.unit.id, {
                revision: data.unit.revision,
                ...(form.level === 'piece' ? { piece: form.piece } : {}),
                amendment: amendmentOf(form),
            }),
        onSuccess: put,
    });
    return { conflict: data.plan.conflicts[0], form, set, make };
}
