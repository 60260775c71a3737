import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Select } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { CheckUnit } from '../../api/types';
import { giveLateVariants, lateVariantsQuery } from '../../api/work';
import { useNotices } from '../../app/notices';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import css from './Check.module.css';

/** Finished models that look like clones get something more, and are varnished and looked at again. */
export function LateVariants({
    unit,
    models,
    done,
}: {
    unit: number;
    models: CheckUnit['pieces'];
    done: () => void;
}) {
    const queries = useQueryClient();
    const notices = useNotices();
    const query = useQuery(lateVariantsQuery(unit));
    const [chosen, setChosen] = useState<number[]>([]);
    const [place, setPlace] = useState<{ area: string; technique: string } | null>(null);
    const give = useMutation({
        mutationFn: (body: Parameters<typeof giveLateVariants>[1]) => giveLateVariants(unit, body),
        onSuccess: async () => {
            await queries.invalidateQueries();
            notices.done(
                chosen.length === 1
                    ? 'The model goes back to the bench for it.'
                    : `${chosen.length} models go back to the bench for it.`,
            );
            done();
        },
    });
    const areas = query.data?.areas ?? [];
    const area = areas.find((a) => a.key === place?.area) ?? areas[0];
    const technique = area?.techniques.find((t) => t.key === place?.technique) ?? area?.techniques[0];
    if (!query.data || !area || !technique) return null;
    const { revision } = query.data;
    return (
        <section className="card pad" aria-label="Late variants">
            <div className="eyebrow">Late variants</div>
            <p className="m-0">
                Or give some of them something more first. They are varnished and looked at again, the others
                stay as they are.
            </p>
            <Flex gap={12} wrap className="mt-10">
                <Field label="Where">
                    <Pick
                        value={area.key}
                        onChange={(key) => setPlace({ area: key, technique: technique.key })}
                        options={areas.map((a) => ({ value: a.key, label: a.name }))}
                    />
                </Field>
                <Field label="What">
                    <Pick
                        value={technique.key}
                        onChange={(key) => setPlace({ area: area.key, technique: key })}
                        options={area.techniques.map((t) => ({ value: t.key, label: t.name }))}
                    />
                </Field>
            </Flex>
            <Field label="On which models">
                <Select<number[]>
                    mode="multiple"
                    className={css.wide}
                    value={chosen}
                    onChange={setChosen}
                    placeholder="choose models"
                    options={models.map((m) => ({ value: m.id, label: `model ${m.number}` }))}
                />
            </Field>
            {give.isError && <Says kind="bad">{saysWhy(give.error)}</Says>}
            <Button
                className="mt-8"
                disabled={chosen.length === 0}
                loading={give.isPending}
                onClick={() =>
                    give.mutate({ revision, pieces: chosen, area: area.key, technique: technique.key })
                }
            >
                Back to the bench with {chosen.length || 'them'}
            </Button>
        </section>
    );
}
