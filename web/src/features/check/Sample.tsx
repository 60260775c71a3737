import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Progress, Table } from 'antd';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import { drawLot, lotQuery } from '../../api/work';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';

type Lot = components['schemas']['LotAnswer'];

/** Draws it, once; what is looked at is only that from then on. */
export function DrawSample({ unit, primary = false }: { unit: number; primary?: boolean }) {
    const queries = useQueryClient();
    const draw = useMutation({
        mutationFn: () => drawLot(unit),
        onSuccess: () => queries.invalidateQueries(),
    });
    return (
        <>
            <Button
                type={primary ? 'primary' : 'default'}
                loading={draw.isPending}
                onClick={() => draw.mutate()}
            >
                Draw the sample
            </Button>
            {draw.isError && <Says kind="bad">{saysWhy(draw.error)}</Says>}
        </>
    );
}

/** The sample of a unit whose tier has only some of its models checked. */
export function Sample({ unit }: { unit: number }) {
    const query = useQuery(lotQuery(unit));
    const lot = query.data;
    if (!lot?.is_sampled) return null;
    return (
        <section aria-label="Sample" className="mt-12">
            <div className="eyebrow">Sample{lot.is_tightened ? ', tightened' : ''}</div>
            <p className="m-0">{saysOf(lot)}</p>
            {lot.may_draw && <DrawSample unit={unit} />}
            {lot.plans.length > 0 && (
                <More label="How well it tells">
                    {lot.plans.map((p) => (
                        <div key={p.severity}>
                            <p className="small m-0">
                                {p.severity === 'minor' ? 'Minor' : 'Major'} faults: {p.n} of {lot.size} are
                                checked, accepted with at most {p.accepts} that{' '}
                                {p.severity === 'minor' ? 'have too many' : 'have any'}.
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
                                        width: '62%',
                                        render: (_, c) => (
                                            <Progress
                                                percent={c.accepted}
                                                size="small"
                                                status="normal"
                                                format={(share) => `${Math.round(share ?? 0)} %`}
                                            />
                                        ),
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
    const drawn = [...lot.drawn].sort((a, b) => a - b).join(', ');
    if (lot.verdict === 'accepted') return `Accepted by models ${drawn}: the others passed with them.`;
    if (lot.verdict === 'refused') return `Refused by models ${drawn}: every model of the unit is checked.`;
    return `Check models ${drawn}; the others wait for what these say.`;
}
