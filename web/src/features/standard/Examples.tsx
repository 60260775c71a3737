import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Image, Modal, Popconfirm } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { examplesQuery, keepExample, removeExample } from '../../api/standard';
import { can, usePerson } from '../../app/session';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import css from './Limit.module.css';

/** Details of signed-off work, by tier: what the studio really delivers at it. */
export function Examples() {
    const queries = useQueryClient();
    const query = useQuery(examplesQuery());
    const may = can(usePerson(), 'standard.edit');
    const [adding, setAdding] = useState(false);
    const again = () => queries.invalidateQueries({ queryKey: examplesQuery().queryKey });
    const remove = useMutation({ mutationFn: removeExample, onSuccess: again });
    const kept = query.data?.kept ?? [];
    const tiers = [...new Set(kept.map((e) => e.tier))];
    return (
        <section className="card pad no-print" aria-label="From signed-off work">
            <Flex gap={12} align="center" justify="space-between" wrap>
                <div>
                    <h2>From signed-off work</h2>
                    <p className="small soft m-0">
                        Details of models that left the studio, kept as examples of their tier.
                    </p>
                </div>
                {may && <Button onClick={() => setAdding(true)}>Keep a detail</Button>}
            </Flex>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {remove.isError && <Says kind="bad">{saysWhy(remove.error)}</Says>}
            {tiers.map((tier) => (
                <div key={tier} className="mt-12">
                    <div className="eyebrow mb-8">{tier}</div>
                    <div className={css.row}>
                        {kept
                            .filter((e) => e.tier === tier)
                            .map((e) => (
                                <figure key={e.id} className={css.example}>
                                    <Image
                                        className={css.detail}
                                        src={`/api/v1/pictures/${e.sha256}`}
                                        alt={`${e.area} of ${e.figure}`}
                                    />
                                    <figcaption>
                                        <span className="strong">{e.area}</span>
                                        <span className="soft">
                                            {e.material}, {e.figure}
                                        </span>
                                        {may && (
                                            <Popconfirm
                                                title="Take this example away?"
                                                okText="Take it away"
                                                cancelText="Keep it"
                                                onConfirm={() => remove.mutate(e.id)}
                                            >
                                                <Button size="small" type="text">
                                                    Take away
                                                </Button>
                                            </Popconfirm>
                                        )}
                                    </figcaption>
                                </figure>
                            ))}
                    </div>
                </div>
            ))}
            <Modal
                open={adding}
                title="Keep a detail of signed-off work"
                footer={null}
                onCancel={() => setAdding(false)}
                destroyOnHidden
            >
                <Add
                    done={() => {
                        setAdding(false);
                        void again();
                    }}
                />
            </Modal>
        </section>
    );
}

function Add({ done }: { done: () => void }) {
    const query = useQuery(examplesQuery());
    const from = query.data?.from ?? [];
    const [photograph, setPhotograph] = useState<number | null>(null);
    const [area, setArea] = useState('');
    const chosen = from.find((p) => p.id === photograph) ?? from[0];
    const areas = chosen?.areas ?? [];
    const keep = useMutation({
        mutationFn: () => keepExample(chosen?.id ?? 0, area || (areas[0]?.key ?? '')),
        onSuccess: done,
    });
    if (!chosen)
        return (
            <Says kind="plain">
                No signed-off model was photographed with its outlines laid over it. Take the photographs in
                the check, before it is signed.
            </Says>
        );
    return (
        <Flex vertical gap={12}>
            <Pick
                aria-label="Photograph"
                value={String(chosen.id)}
                onChange={(id) => {
                    setPhotograph(Number(id));
                    setArea('');
                }}
                options={from.map((p) => ({
                    value: String(p.id),
                    label: `${p.figure}, model ${p.model ?? ''}, ${p.tier}, the ${p.view}`,
                }))}
            />
            <div className={css.whole}>
                <Image
                    src={`/api/v1/pictures/${chosen.sha256}`}
                    alt={`${chosen.figure}, the ${chosen.view}`}
                />
            </div>
            <Pick
                aria-label="Which detail"
                value={area || (areas[0]?.key ?? '')}
                onChange={setArea}
                options={areas.map((a) => ({ value: a.key, label: a.name }))}
            />
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
            <Flex justify="flex-end">
                <Button type="primary" loading={keep.isPending} onClick={() => keep.mutate()}>
                    Keep it as an example of {chosen.tier}
                </Button>
            </Flex>
        </Flex>
    );
}
