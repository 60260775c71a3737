import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Problem } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { release as releaseUnit } from '../../api/units';
import { useNotices } from '../../app/notices';
import { Top } from '../../app/Top';
import { LinkButton } from '../../ui/LinkButton';
import { TierMark } from '../../ui/marks';
import { type Bend, changesOf } from './bend';
import { Missing } from './Missing';

/** What is planned, at which tier and in which colours; and the way to the bench. */
export function PlanTop({
    data,
    bend,
    go,
    compare,
}: {
    data: UnitPlan;
    bend: Bend;
    go: (patch: Record<string, string | null>) => void;
    compare: () => void;
}) {
    const { unit } = data;
    return (
        <Top>
            <Link to={`/orders/${unit.order}`} className="soft">
                {unit.order_number}
            </Link>
            <TierMark order={unit.tier.order} status={unit.tier.status} />
            <h1>
                {data.piece === null
                    ? `${unit.count} × ${unit.sculpt}`
                    : `Model ${data.piece} of ${unit.count}, ${unit.sculpt}`}
            </h1>
            <span className="pill">
                {unit.tier.name} v{unit.standard_version}
            </span>
            {data.scheme && (
                <Link className="pill" to={`/schemes/${data.scheme.slug}?order=${unit.order}`}>
                    {data.scheme.name} v{data.scheme.number}
                </Link>
            )}
            {data.piece !== null && (
                <Button onClick={() => go({ piece: null, tab: 'models' })}>Back to the unit</Button>
            )}
            <span className="room" />
            {data.editable && (
                <Button disabled={bend.undo === null || bend.busy} onClick={() => bend.undo?.()}>
                    Undo
                </Button>
            )}
            <Button onClick={compare}>Compare</Button>
            <LinkButton to={`/units/${unit.id}/card${data.piece === null ? '' : `?piece=${data.piece}`}`}>
                Bench card
            </LinkButton>
            {unit.released ? (
                <LinkButton to={`/bench/${unit.id}`} type="primary">
                    To the bench
                </LinkButton>
            ) : (
                data.editable && <Release data={data} bend={bend} />
            )}
        </Top>
    );
}

function Release({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const [missing, setMissing] = useState<string[] | null>(null);
    const conflicts = data.kinds.reduce((n, k) => n + k.conflicts, 0);
    const release = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (despite?: string) => releaseUnit(data.unit.id, data.unit.revision, despite),
        onSuccess: (next) => {
            setMissing(null);
            bend.put(next);
            void queries.invalidateQueries({ queryKey: ['order'] });
            notices.done('On the bench: painters see it now.');
        },
        onError: (e) => {
            const gaps = e instanceof Problem ? e.current?.['missing'] : undefined;
            if (Array.isArray(gaps)) setMissing(gaps.map(String));
            else notices.failed(e);
        },
    });
    return (
        <>
            <Button
                type="primary"
                disabled={conflicts > 0 || release.isPending}
                title={conflicts > 0 ? 'Conflicts want an amendment first' : undefined}
                onClick={() => release.mutate(undefined)}
            >
                Release to bench
            </Button>
            {missing && (
                <Missing
                    missing={missing}
                    busy={release.isPending}
                    go={(why) => release.mutate(why)}
                    close={() => setMissing(null)}
                />
            )}
        </>
    );
}
