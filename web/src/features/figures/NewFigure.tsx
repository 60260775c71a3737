import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input, InputNumber } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import { makeSculpt, SCULPTS, templatesQuery } from '../../api/colours';
import type { SculptTemplate } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';
import type { Sculpt } from './map';

/** Role, size, base and a schematic; what the figure lacks is unticked. */
export function NewFigure() {
    const query = useQuery(templatesQuery);
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return query.data ? <FromTemplate templates={query.data.data} /> : <Loading what="schematics" />;
}

function FromTemplate({ templates }: { templates: SculptTemplate[] }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const [key, setKey] = useState(templates[0]?.key ?? '');
    const from = templates.find((t) => t.key === key)?.document as Sculpt | undefined;
    const [form, setForm] = useState({
        name: '',
        role: 'regular' as Sculpt['role'],
        base: 32,
        lacks: [] as string[],
    });
    const make = useMutation({
        mutationFn: () => {
            if (!from) throw new Error('There is no schematic to start from.');
            const left = from.areas.filter((a) => !form.lacks.includes(a.key));
            const all = left.reduce((s, a) => s + a.share_pct, 0);
            const areas = left.map((a) => ({
                ...a,
                share_pct: Math.round((a.share_pct * 1000) / all) / 10,
                touches: a.touches.filter((t) => !form.lacks.includes(t)),
                surround: a.surround !== null && form.lacks.includes(a.surround) ? null : a.surround,
            }));
            const first = areas[0];
            if (first)
                first.share_pct =
                    Math.round(10 * (first.share_pct + 100 - areas.reduce((s, a) => s + a.share_pct, 0))) /
                    10;
            return makeSculpt({ ...from, name: form.name, role: form.role, base_mm: form.base, areas });
        },
        onSuccess: async (s) => {
            await queries.invalidateQueries({ queryKey: SCULPTS });
            await go(`/figures/${s.slug}`);
        },
    });
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                make.mutate();
            }}
        >
            <Field label="What it is called">
                <Input
                    autoFocus
                    value={form.name}
                    onChange={(e) => setForm({ ...form, name: e.target.value })}
                />
            </Field>
            <div className="three">
                <Field label="Start from">
                    <Pick
                        value={key}
                        onChange={(value) => {
                            setKey(value);
                            setForm({ ...form, lacks: [] });
                        }}
                        options={templates.map((t) => ({ value: t.key, label: t.name }))}
                    />
                </Field>
                <Field label="Role">
                    <Pick
                        value={form.role}
                        onChange={(value) => setForm({ ...form, role: value })}
                        options={(['regular', 'hero', 'horde', 'centrepiece'] as const).map((r) => ({
                            value: r,
                            label: r,
                        }))}
                    />
                </Field>
                <Field label="Base, mm across">
                    <InputNumber
                        min={5}
                        max={300}
                        value={form.base}
                        onChange={(value) => setForm({ ...form, base: value ?? 0 })}
                    />
                </Field>
            </div>
            <div role="group" aria-label="Areas">
                <span className="small soft">It has these areas; untick what it lacks</span>
                <div className="chips mt-4">
                    {from?.areas.map((a) => (
                        <Chip
                            on={!form.lacks.includes(a.key)}
                            key={a.key}
                            onClick={() =>
                                setForm({
                                    ...form,
                                    lacks: form.lacks.includes(a.key)
                                        ? form.lacks.filter((k) => k !== a.key)
                                        : [...form.lacks, a.key],
                                })
                            }
                        >
                            {a.name}
                        </Chip>
                    ))}
                </div>
            </div>
            {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
            <Button
                type="primary"
                htmlType="submit"
                disabled={
                    make.isPending ||
                    form.name.trim() === '' ||
                    (from !== undefined && form.lacks.length >= from.areas.length)
                }
            >
                Make the figure
            </Button>
        </Form>
    );
}
