import { useMutation } from '@tanstack/react-query';
import { Button, Form, Input, InputNumber } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { Amendment, UnitPlan } from '../../api/types';
import { amend } from '../../api/units';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

/** What is agreed beside the tier. */
export function Amend({ data, put }: { data: UnitPlan; put: (next: UnitPlan) => void }) {
    const conflict = data.plan.conflicts[0];
    const [form, setForm] = useState({
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
    });
    const set = (patch: Partial<typeof form>) => setForm({ ...form, ...patch });
    const amendment = (): Amendment => ({
        level: form.level,
        do: form.do,
        clause: form.do === 'add' || form.technique !== '' ? null : form.clause,
        technique: form.technique === '' ? null : form.technique,
        scope: form.areas.length > 0 ? { area: form.areas } : {},
        values:
            form.do === 'set'
                ? { [form.field]: form.field === 'extent' ? form.value : Number(form.value) }
                : {},
        reason: form.reason,
        price: form.price === '' ? null : form.price,
        on:
            form.on === '' || form.level === 'piece'
                ? null
                : form.on.endsWith('%')
                  ? { share: Number(form.on.slice(0, -1)) / 100 }
                  : { pieces: Number(form.on) },
    });
    const make = useMutation({
        mutationFn: () =>
            amend(data.unit.id, {
                revision: data.unit.revision,
                ...(form.level === 'piece' ? { piece: form.piece } : {}),
                amendment: amendment(),
            }),
        onSuccess: put,
    });
    const select = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <Field label={label}>
            <Pick
                value={value}
                onChange={(value) => pick(value)}
                options={options.map(([v, w]) => ({ value: v, label: w }))}
            />
        </Field>
    );
    const clauses = Object.entries(data.clauses).map(([id, label]): [string, string] => [id, label]);
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                make.mutate();
            }}
        >
            {conflict && <Says kind="bad">To be settled: {conflict.reason}.</Says>}
            <div className="two">
                {select(
                    'Holds for',
                    form.level,
                    [
                        ['unit', 'this unit'],
                        ['piece', 'one model'],
                        ['order', 'the whole order'],
                        ['studio', 'the studio, from now on'],
                    ],
                    (v) => set({ level: v as Amendment['level'] }),
                )}
                {select(
                    'It',
                    form.do,
                    [
                        ['omit', 'leaves out what a clause asks'],
                        ['set', 'changes what a clause asks'],
                        ['add', 'adds a technique'],
                    ],
                    (v) =>
                        set({
                            do: v as Amendment['do'],
                            technique: v === 'add' ? (data.techniques[0]?.key ?? '') : '',
                        }),
                )}
            </div>
            {form.do === 'add'
                ? select(
                      'Technique',
                      form.technique,
                      data.techniques.map((t): [string, string] => [t.key, t.name]),
                      (v) => set({ technique: v }),
                  )
                : select(
                      'Clause',
                      form.clause,
                      clauses.filter(([id]) => form.do === 'omit' || id !== 'base'),
                      (v) => set({ clause: v }),
                  )}
            {form.do === 'set' && (
                <div className="two">
                    {select(
                        'What of it',
                        form.field,
                        [
                            ['passes', 'passes'],
                            ['extent', 'extent'],
                            ['min', 'at least'],
                            ['max', 'at most'],
                            ['limit', 'limit'],
                        ],
                        (v) => set({ field: v, value: v === 'extent' ? 'full' : '1' }),
                    )}
                    {form.field === 'extent' ? (
                        select(
                            'becomes',
                            form.value,
                            [
                                ['spot', 'in a spot'],
                                ['prominent', 'where it stands out'],
                                ['full', 'everywhere'],
                            ],
                            (v) => set({ value: v }),
                        )
                    ) : (
                        <Field label="becomes">
                            <InputNumber
                                value={form.value}
                                onChange={(value) => set({ value: value ?? '' })}
                            />
                        </Field>
                    )}
                </div>
            )}
            {form.level === 'piece' ? (
                select(
                    'Which model',
                    String(form.piece),
                    data.pieces.map((p): [string, string] => [
                        String(p.number),
                        `model ${p.number}, ${p.code}`,
                    ]),
                    (v) => set({ piece: Number(v) }),
                )
            ) : (
                <Field label="On how many models: a number, a share such as 25%, or nothing for all">
                    <Input
                        placeholder="all"
                        value={form.on}
                        onChange={(e) => set({ on: e.target.value.trim() })}
                    />
                </Field>
            )}
            <div role="group" aria-label="Areas">
                <span className="small soft">On these areas (none chosen: on all)</span>
                <div className="chips">
                    {data.figure.map((a) => (
                        <Chip
                            on={form.areas.includes(a.key)}
                            key={a.key}
                            onClick={() =>
                                set({
                                    areas: form.areas.includes(a.key)
                                        ? form.areas.filter((x) => x !== a.key)
                                        : [...form.areas, a.key],
                                })
                            }
                        >
                            {a.name}
                        </Chip>
                    ))}
                </div>
            </div>
            <Field label="Why">
                <Input value={form.reason} onChange={(e) => set({ reason: e.target.value })} />
            </Field>
            <Field label="Price each, if any">
                <Input
                    placeholder="0.00"
                    value={form.price}
                    onChange={(e) => set({ price: e.target.value })}
                />
            </Field>
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            <Button type="primary" htmlType="submit" disabled={make.isPending || form.reason.trim() === ''}>
                Amend
            </Button>
        </Form>
    );
}
