import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Table } from 'antd';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { drawLot, lotQuery } from '../../api/work';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';

type Lot = components['schemas']['LotAnswer'];

/** The sample of a unit whose tier has only some of its models checked. */
export function Sample({ unit }: { unit: number }) {
    const queries = useQueryClient();
    const query = useQuery(lotQuery(unit));
    const draw = useMutation({
        mutationFn: () => drawLot(unit),
        onSuccess: (next) => queries.setQueryData(lotQuery(unit).queryKey, next),
    });
    const lot = query.data;
    if (!lot?.is_sampled) return null;
    return (
        <section aria-label="Sample" className="mt-12">
            <div className="eyebrow">Sample{lot.is_tightened ? ', tightened' : ''}</div>
            <p className="m-0">{saysOf(lot)}</p>
            {lot.may_draw && (
                <Button className="mt-8" loading={draw.isPending} onClick={() => draw.mutate()}>
                    Draw the sample
                </Button>
            )}
            {draw.isError && <Says kind="bad">{saysWhy(draw.error)}</Says>}
            {lot.plans.length > 0 && (
                <More label="How well it tells">
                    {lot.plans.map((p) => (
                        <div key={p.severity}>
                            <p className="small m-0">
                                {p.severity} faults: {p.n} of {lot.size} are checked, accepted with at most{' '}
                                {p.accepts} that {p.severity === 'minor' ? 'have too many' : 'have any'}.
                            </p>
                            <Table
                                size="small"
                                pagination={false}
                                rowKey="share"
                                dataSource={p.curve}
                                columns={[
                                    { title: 'Truly bad', render: (_, c) => `${c.bad} of ${lot.size}` },
                                    {
                                        title: 'Accepted',
                                        align: 'right',
                                        render: (_, c) => `${c.accepted} %`,
                                    },
                                ]}
                            />
                        </div>
                    ))}
                    {lot.seed !== null && <p className="small soft m-0">Drawn with the number {lot.seed}.</p>}
                </More>
            )}
        </section>
    );
}

function saysOf(lot: Lot): string {
    if (lot.plans.length === 0) return 'Too few wait together for a sample: every model is checked.';
    if (lot.drawn === null)
        return `${Math.max(...lot.plans.map((p) => p.n))} of ${lot.size} models are checked for all of them.`;
    const drawn = lot.drawn.join(', ');
    if (lot.verdict === 'accepted') return `Accepted by models ${drawn}: the others passed with them.`;
    if (lot.verdict === 'refused') return `Refused by models ${drawn}: every model of the unit is checked.`;
    return `Check models ${drawn}; the others wait for what these say.`;
}
