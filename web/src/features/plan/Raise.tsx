import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { raise as raiseUnit, raiseQuery, tiersQuery } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Chip } from '../../ui/Chip';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { Added } from './Added';
import { changesOf } from './bend';

/** What it takes to bring finished work to a higher tier: what is there counts. */
export function Raise({ data, done }: { data: UnitPlan; done: (next: UnitPlan) => void }) {
    const notices = useNotices();
    const [chosen, setChosen] = useState<string | null>(null);
    const [from, setFrom] = useState<'finished' | 'stands'>('finished');
    const tiers = useQuery(tiersQuery(data.unit.id, data.unit.revision));
    const higher = tiers.data?.data.filter((t) => t.raise !== null) ?? [];
    const tier = chosen ?? higher[0]?.key ?? '';
    const query = useQuery({
        ...raiseQuery(data.unit.id, tier, from, data.unit.revision),
        placeholderData: keepPreviousData,
    });
    const raise = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: () => raiseUnit(data.unit.id, tier, from, data.unit.revision),
        onSuccess: (next) => {
            done(next);
            notices.done('Raised: the bench shows what is added.');
        },
        onError: notices.failed,
    });
    if (tiers.isPending) return <Loading what="what is there and what is wanting" />;
    if (tiers.isError) return <Says kind="bad">{saysWhy(tiers.error)}</Says>;
    if (higher.length === 0) return <p className="soft">There is no higher tier to raise it to.</p>;
    const r = query.data;
    const name = higher.find((t) => t.key === tier)?.name ?? '';
    return (
        <>
            <Flex gap={16} wrap>
                <div className="chips" role="group" aria-label="Tier">
                    {higher.map((t) => (
                        <Chip on={tier === t.key} key={t.key} onClick={() => setChosen(t.key)}>
                            {t.name}
                        </Chip>
                    ))}
                </div>
                <div className="chips" role="group" aria-label="From what is there">
                    {(
                        [
                            ['finished', 'when this plan is finished'],
                            ['stands', 'as every model stands now'],
                        ] as const
                    ).map(([k, w]) => (
                        <Chip on={from === k} key={k} onClick={() => setFrom(k)}>
                            {w}
                        </Chip>
                    ))}
                </div>
            </Flex>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {r && (
                <>
                    <p className="num my-12 mx-0">
                        <b className="figure-of">{minutes(r.minutes)}</b> to add on each model;{' '}
                        {minutes(r.anew)} from the start.
                    </p>
                    <Added raised={r} />
                    {r.varnished && (
                        <Says kind="warn">
                            It is varnished: new paint goes over the varnish, and it is varnished again at the
                            end.
                        </Says>
                    )}
                    {r.concerns.length > 0 && (
                        <Says kind="warn">
                            Already on it: {r.concerns.join(', ').toLowerCase()}. Work around it, or do it
                            again after what would cover it.
                        </Says>
                    )}
                    <Button
                        type="primary"
                        disabled={raise.isPending || r.conflicts > 0}
                        onClick={() => raise.mutate()}
                    >
                        Raise to {name}
                    </Button>
                </>
            )}
        </>
    );
}
