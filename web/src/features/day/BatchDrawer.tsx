import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox, Drawer, Form, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { type BatchHand, changeBatch, makeBatch, plannedQuery } from '../../api/batches';
import { saysWhy } from '../../api/client';
import { peopleQuery } from '../../api/people';
import { benchQuery } from '../../api/work';
import { useNotices } from '../../app/notices';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { Hands } from './Hands';

interface Facts {
    name: string;
    units: number[];
    painters: BatchHand[];
    guns: number;
    fan: boolean;
}

const NEW: Facts = { name: '', units: [], painters: [], guns: 1, fan: false };

/** A new batch, or the painters and hours of one that is there. */
export function BatchDrawer({ batch, close }: { batch: number | null; close: () => void }) {
    const title = batch === null ? 'Lay out a batch' : 'Painters and hours';
    return (
        <Drawer open title={title} onClose={close} size={460}>
            {batch === null ? <BatchForm was={NEW} close={close} /> : <Known batch={batch} close={close} />}
        </Drawer>
    );
}

function Known({ batch, close }: { batch: number; close: () => void }) {
    const query = useQuery(plannedQuery(batch));
    const b = query.data;
    if (!b) return <Loading what="the batch" />;
    const painters = b.painters.map(({ user, from, to, days, largest }) => ({
        user,
        from,
        to,
        days,
        largest,
    }));
    const was = {
        name: b.brief.name,
        units: b.brief.units.map((u) => u.id),
        painters,
        guns: b.guns,
        fan: b.fan,
    };
    return <BatchForm was={was} of={{ id: batch, revision: b.revision }} close={close} />;
}

function BatchForm({
    was,
    of,
    close,
}: {
    was: Facts;
    of?: { id: number; revision: number };
    close: () => void;
}) {
    const [form, setForm] = useState(was);
    const queries = useQueryClient();
    const notices = useNotices();
    const people = useQuery(peopleQuery());
    const set = (patch: Partial<Facts>) => setForm({ ...form, ...patch });
    const keep = useMutation({
        mutationFn: () => {
            const { name, painters, guns, fan } = form;
            return of
                ? changeBatch(of.id, { revision: of.revision, name, painters, guns, fan })
                : makeBatch({ ...form, starts_at: `${new Date().toISOString().slice(0, 19)}Z` });
        },
        onSuccess: () => {
            notices.done(of ? 'Laid out anew.' : 'The batch is laid out.');
            close();
        },
        onSettled: () => queries.invalidateQueries({ queryKey: ['batches'] }),
    });
    const isWhole = form.name.trim() !== '' && form.units.length > 0 && form.painters.length > 0;
    return (
        <Form layout="vertical" className="stack" onFinish={() => keep.mutate()}>
            {!of && (
                <Units units={form.units} take={(units, name) => set({ units, name: form.name || name })} />
            )}
            <Field label="What it is called">
                <Input value={form.name} maxLength={120} onChange={(e) => set({ name: e.target.value })} />
            </Field>
            <Hands
                painters={form.painters}
                people={(people.data?.data ?? []).filter((p) => p.role !== 'desk' && !p.set_aside)}
                set={(painters) => set({ painters })}
            />
            <Field label="Places at the spraying station">
                <InputNumber
                    min={1}
                    max={9}
                    precision={0}
                    value={form.guns}
                    onChange={(n) => set({ guns: n ?? 1 })}
                />
            </Field>
            <Checkbox checked={form.fan} onChange={(e) => set({ fan: e.target.checked })}>
                A fan or a lamp dries the paint
            </Checkbox>
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
            <Button type="primary" htmlType="submit" loading={keep.isPending} disabled={!isWhole}>
                {of ? 'Lay it out anew' : 'Lay it out from now on'}
            </Button>
        </Form>
    );
}

/** Units that are on the bench; the batch is called by the first of them until it is called otherwise. */
function Units({ units, take }: { units: number[]; take: (units: number[], name: string) => void }) {
    const query = useInfiniteQuery(benchQuery(''));
    const all = query.data?.pages.flatMap((p) => p.data) ?? [];
    const open = all.filter((u) => u.pieces.some((p) => ['planned', 'on_bench', 'rework'].includes(p.stage)));
    const called = (id: number | undefined): string => open.find((u) => u.id === id)?.title ?? '';
    return (
        <Field label="Which units are painted together">
            <Select
                mode="multiple"
                value={units}
                loading={query.isPending}
                placeholder="Choose what is on the bench"
                showSearch={{ optionFilterProp: 'label' }}
                onChange={(ids: number[]) => take(ids, called(ids[0]))}
                options={open.map((u) => ({
                    value: u.id,
                    label: `${u.pieces.length} × ${u.sculpt}, ${u.title}`,
                }))}
            />
        </Field>
    );
}
