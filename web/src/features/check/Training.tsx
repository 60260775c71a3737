import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { drawingQuery } from '../../api/drawings';
import { beginDrill, callDrill, drillQuery } from '../../api/work';
import { keyShown, useKey } from '../../app/keys';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { Canvas } from './Canvas';
import css from './Check.module.css';
import { drawingIn } from './pictures';
import type { Drill } from './DrillPage';

type Run = NonNullable<Drill['run']>;

export function Training({ drill }: { drill: Drill }) {
    const queries = useQueryClient();
    const [sculpt, setSculpt] = useState(drill.figures[0]?.slug ?? '');
    const [tier, setTier] = useState(drill.tiers[Math.floor(drill.tiers.length / 2)]?.key ?? '');
    const [at, setAt] = useState(0);
    const put = (next: Drill) => queries.setQueryData(drillQuery().queryKey, next);
    const begin = useMutation({
        mutationFn: () => beginDrill({ sculpt, tier }),
        onSuccess: (next) => {
            put(next);
            setAt(Math.max(0, next.run?.pictures.findIndex((p) => !p.is_called) ?? 0));
        },
    });
    const { run } = drill;
    if (drill.figures.length === 0 || drill.tiers.length === 0)
        return (
            <Says kind="plain">
                The eye is trained on a figure with outlines at a tier that is published. Draw the map of one
                first.
            </Says>
        );
    if (run && !(run.finished && at >= run.pictures.length))
        return <Picture key={`${run.id} ${at}`} run={run} at={at} put={put} next={() => setAt(at + 1)} />;
    return (
        <section className="card pad stack">
            <h2>{run ? 'That was all of it' : 'Eight pictures at a time'}</h2>
            <p className="m-0 soft">
                Press the place of a fault that counts from where the tier is looked at, or say that nothing
                counts. What one misses comes again first.
            </p>
            <Flex gap={10} wrap align="center">
                <Pick
                    aria-label="Figure"
                    value={sculpt}
                    onChange={setSculpt}
                    options={drill.figures.map((f) => ({ value: f.slug, label: f.name }))}
                />
                <Pick
                    aria-label="Tier"
                    value={tier}
                    onChange={setTier}
                    options={drill.tiers.map((t) => ({ value: t.key, label: t.name }))}
                />
                <Button type="primary" loading={begin.isPending} onClick={() => begin.mutate()}>
                    {run ? 'Eight more' : 'Begin'}
                </Button>
            </Flex>
            {begin.isError && <Says kind="bad">{saysWhy(begin.error)}</Says>}
        </section>
    );
}

function Picture({
    run,
    at,
    put,
    next,
}: {
    run: Run;
    at: number;
    put: (next: Drill) => void;
    next: () => void;
}) {
    const picture = run.pictures[at];
    const frame: [number, number] = [run.frame_mm[0] ?? 60, run.frame_mm[1] ?? 80];
    const drawing = useQuery({ ...drawingQuery(picture?.address ?? ''), enabled: picture !== undefined });
    const call = useMutation({
        mutationFn: (area: string | null) => callDrill(run.id, { picture: at, area }),
        onSuccess: put,
    });
    const ready = drawing.data?.state === 'ready';
    const open = ready && picture?.is_called === false && !call.isPending;
    useKey('noFault', () => open && call.mutate(null));
    useKey('nextPicture', () => picture?.is_called === true && next());
    if (!picture) return null;
    const planted = picture.planted;
    return (
        <section className="stack" aria-label={`Picture ${at + 1} of ${run.pictures.length}`}>
            <Flex justify="space-between" align="center">
                <span className="eyebrow">
                    {run.figure}, {run.tier}, seen from {run.distance_cm} cm · picture {at + 1} of{' '}
                    {run.pictures.length}
                </span>
                <span className="small soft">drill {run.number}</span>
            </Flex>
            <div className={css.stage}>
                {ready ? (
                    <div style={{ width: '100%', height: '100%' }}>
                        <Canvas
                            areas={run.areas}
                            view="front"
                            frame={frame}
                            picture={drawingIn(picture.address, frame)}
                            beside={null}
                            divide={0}
                            shown={[0, 0, frame[0], frame[1]]}
                            lit={planted ? [planted.area] : []}
                            pins={[]}
                            press={open ? (p) => p.area !== null && call.mutate(p.area) : null}
                            hover={() => undefined}
                        />
                    </div>
                ) : (
                    <Loading what="the picture" />
                )}
                <span className={css.said}>drawn, not photographed</span>
            </div>
            {call.isError && <Says kind="bad">{saysWhy(call.error)}</Says>}
            {picture.is_called ? (
                <Says kind={KINDS[picture.outcome ?? 'right']}>
                    <b>{WORDS[picture.outcome ?? 'right']}</b>{' '}
                    {planted
                        ? `${planted.name} on ${planted.area_name.toLowerCase()}` +
                          (planted.mm === null ? '' : `, ${planted.mm.toFixed(2)} mm`) +
                          (planted.counts ? '. ' : ': too small to count from here. ') +
                          planted.how_to_see
                        : 'There was nothing wrong with it.'}
                </Says>
            ) : null}
            <Flex gap={10} justify="flex-end">
                {picture.is_called ? (
                    <Button type="primary" onClick={next}>
                        {at + 1 < run.pictures.length ? 'Next picture' : 'Done'}{' '}
                        <kbd>{keyShown('nextPicture')}</kbd>
                    </Button>
                ) : (
                    <Button size="large" disabled={!open} onClick={() => call.mutate(null)}>
                        Nothing that counts <kbd>{keyShown('noFault')}</kbd>
                    </Button>
                )}
            </Flex>
        </section>
    );
}

const KINDS = { found: 'good', right: 'good', missed: 'bad', false: 'warn' } as const;

const WORDS = {
    found: 'Found.',
    right: 'Right: nothing that counts.',
    missed: 'Missed.',
    false: 'Called, and it does not count.',
} as const;
