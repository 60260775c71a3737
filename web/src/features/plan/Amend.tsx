import { Button, Form, Input, InputNumber } from 'antd';
import { saysWhy } from '../../api/client';
import type { Amendment, UnitPlan } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { type AmendmentForm, useAmendment } from './useAmendment';

/** What is agreed beside the tier. */
export function Amend({ data, put }: { data: UnitPlan; put: (next: UnitPlan) => void }) {
    const { conflict, form, set, make } = useAmendment(data, put);
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                make.mutate();
            }}
        >
            {conflict && <Says kind="bad">To be settled: {conflict.reason}.</Says>}
            <AmendFields data={data} form={form} set={set} />
            <Field label="Why">
                <Input value={form.reason} onChange={(e) => set({ reason: e.target.value })} />
            </Field>
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            <Button type="primary" htmlType="submit" disabled={make.isPending || form.reason.trim() === ''}>
                Amend
            </Button>
        </Form>
    );
}

/** What an amendment does, to what, for whom and at what price; why is said by whoever makes it. */
export function AmendFields({
    data,
    form,
    set,
}: {
    data: UnitPlan;
    form: AmendmentForm;
    set: (patch: Partial<AmendmentForm>) => void;
}) {
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
        <>
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
            <Field label="Price each, if any">
                <Input
                    placeholder="0.00"
                    value={form.price}
                    onChange={(e) => set({ price: e.target.value })}
                />
            </Field>
        </>
    );
}
