import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Batch, BatchPass, BatchPiece } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Figure } from '../../ui/Figure';
import { extentWords, minutes, stageWords, Swatch } from '../../ui/marks';
import { Caution, Failed, Loading } from '../../ui/states';

const working = (p: BatchPiece) => ['planned', 'on_bench', 'rework'].includes(p.stage);
/** The steps of a pass that a model needs: where models differ, not all need all. */
const needs = (p: BatchPiece, pass: BatchPass) =>
    p.wants === null ? pass.steps : pass.steps.filter((s) => p.wants?.includes(s));
const isDone = (p: BatchPiece, pass: BatchPass) => needs(p, pass).every((s) => p.done.includes(s));

export default function BatchPage() {
    const { id } = useParams();
    const query = useQuery({
        queryKey: ['batch', id],
        queryFn: () => api.get<Batch>(`bench/${id ?? ''}`),
        staleTime: 0,
    });
    // What was kept from an earlier visit would open the batch where it stood then.
    const [fresh, setFresh] = useState(false);
    useEffect(() => {
        if (!query.isFetching) setFresh(true);
    }, [query.isFetching]);
    if (query.isPending || (!fresh && !query.isError)) return <Loading what="the batch" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Work batch={query.data} />;
}

function Work({ batch }: { batch: Batch }) {
    const queries = useQueryClient();
    const { message } = App.useApp();
    const go = useNavigate();
    const person = usePerson();
    const [at, setAt] = useState(batch.next_pass);
    const pass = batch.passes[at];
    const refresh = () => queries.invalidateQueries({ queryKey: ['batch'] });
    const say = (e: unknown) => void message.error(saysWhy(e));
    const mark = useMutation({
        mutationFn: (what: { pieces: number[]; steps: string[] }) => api.post('bench/marks', what),
        onSuccess: refresh,
        onError: say,
    });
    const unmark = useMutation({
        mutationFn: async (what: { piece: number; steps: string[] }) => {
            for (const step of what.steps) await api.remove('bench/marks', { piece: what.piece, step });
        },
        onSettled: refresh,
        onError: say,
    });
    const offer = useMutation({
        mutationFn: async (pieces: number[]) => {
            for (const p of pieces) await api.post(`pieces/${p}/offer`);
        },
        onSuccess: () => void message.success('Offered to the check.'),
        onSettled: refresh,
        onError: say,
    });
    const takeBack = useMutation({
        mutationFn: () => api.remove(`units/${batch.unit.id}/release`, { revision: batch.unit.revision }),
        onSuccess: async () => {
            await queries.invalidateQueries();
            void message.success('Taken back from the bench: it can be changed and released again.');
            await go(`/units/${batch.unit.id}/plan`);
        },
        onError: say,
    });
    const every = batch.passes.flatMap((p) => p.steps);
    const finished = batch.pieces.filter(
        (p) =>
            working(p) &&
            every.every((s) => p.done.includes(s) || (p.wants !== null && !p.wants.includes(s))) &&
            p.repairs.every((r) => p.done.includes(r.key)),
    );
    const all = () => {
        if (pass) {
            const open = batch.pieces.filter((p) => working(p) && !isDone(p, pass));
            if (open.length > 0) mark.mutate({ pieces: open.map((p) => p.id), steps: pass.steps });
        }
    };
    useEffect(() => {
        const press = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName)) return;
            if (e.key === 'n') setAt((i) => Math.min(batch.passes.length - 1, i + 1));
            if (e.key === 'b') setAt((i) => Math.max(0, i - 1));
            if (e.key === 'a') all();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
    const repairs = batch.pieces.filter((p) => p.stage === 'rework');
    return (
        <div className="bench">
            <Top>
                <Link to="/bench" className="soft">
                    Bench
                </Link>
                <h1>
                    {batch.pieces.length} × {batch.unit.sculpt}
                </h1>
                <span className="pill">{batch.unit.tier}</span>
                <span className="pill">{batch.unit.order_number}</span>
                <span className="room" />
                {batch.unit.untouched && can(person, 'plan.edit') && (
                    <button className="btn" disabled={takeBack.isPending} onClick={() => takeBack.mutate()}>
                        Take back from the bench
                    </button>
                )}
                <button
                    className="btn main"
                    disabled={finished.length === 0 || offer.isPending}
                    onClick={() => offer.mutate(finished.map((p) => p.id))}
                >
                    {finished.length === 0
                        ? 'Nothing finished to offer yet'
                        : `Offer ${finished.length} finished to the check`}
                </button>
            </Top>
            <div className="batch">
                <div style={{ display: 'grid', gap: 16 }}>
                    {repairs.map((p) => (
                        <section
                            key={p.id}
                            className="card pad"
                            style={{ borderLeft: '4px solid var(--fault)' }}
                        >
                            <h2>Model {p.number}: sent back</h2>
                            <div style={{ display: 'grid', gap: 8, marginTop: 10 }}>
                                {p.repairs.map((r) => {
                                    const done = p.done.includes(r.key);
                                    return (
                                        <button
                                            key={r.key}
                                            className={`btn big ${done ? '' : 'main'}`}
                                            style={{ justifyContent: 'flex-start' }}
                                            onClick={() =>
                                                done
                                                    ? unmark.mutate({ piece: p.id, steps: [r.key] })
                                                    : mark.mutate({ pieces: [p.id], steps: [r.key] })
                                            }
                                        >
                                            {done ? '✓ ' : ''}
                                            {r.technique}
                                            {r.area
                                                ? ` on ${batch.figure.find((a) => a.key === r.area)?.name.toLowerCase() ?? r.area}`
                                                : ''}
                                            , {minutes(r.minutes)}
                                        </button>
                                    );
                                })}
                            </div>
                        </section>
                    ))}
                    {pass && (
                        <section className="card" style={{ padding: 22 }}>
                            <div className="eyebrow">
                                Pass {pass.no} of {batch.passes.length}
                            </div>
                            <h1 style={{ fontSize: 28, margin: '4px 0 8px' }}>{pass.technique}</h1>
                            <p
                                style={{
                                    margin: '0 0 10px',
                                    display: 'flex',
                                    gap: 10,
                                    flexWrap: 'wrap',
                                    alignItems: 'center',
                                }}
                            >
                                {pass.paint && (
                                    <span className="strong">
                                        <Swatch hex={pass.hex} /> {pass.paint}
                                    </span>
                                )}
                                <span className="soft">
                                    {pass.areas.length === 0
                                        ? 'whole model'
                                        : `${batch.figure
                                              .filter((a) => pass.areas.includes(a.key))
                                              .map((a) => a.name.toLowerCase())
                                              .join(', ')}, ${extentWords(pass.extent)}`}
                                </span>
                            </p>
                            <p style={{ margin: '0 0 8px' }}>{pass.how}</p>
                            <p className="soft small" style={{ margin: '0 0 8px' }}>
                                {[
                                    pass.consistency && `Paint: ${pass.consistency}.`,
                                    pass.tools && `Tools: ${pass.tools}.`,
                                    `${minutes(pass.minutes)} a model${pass.dry > 0 ? `, dries ${pass.dry} min` : ''}.`,
                                ]
                                    .filter(Boolean)
                                    .join(' ')}
                            </p>
                            <Caution text={pass.caution} />
                            <div className="taps" role="group" aria-label="Models">
                                {batch.pieces.map((p) => {
                                    const none = needs(p, pass).length === 0;
                                    const done = !none && isDone(p, pass);
                                    return (
                                        <button
                                            key={p.id}
                                            className={`tap ${done ? 'done' : ''}`}
                                            disabled={!working(p) || none}
                                            aria-pressed={done}
                                            title={`Model ${p.number}, ${done ? 'done' : 'to do'}, ${stageWords(p.stage)}`}
                                            onClick={() =>
                                                done
                                                    ? unmark.mutate({ piece: p.id, steps: needs(p, pass) })
                                                    : mark.mutate({ pieces: [p.id], steps: needs(p, pass) })
                                            }
                                        >
                                            <b>{p.number}</b>
                                            <span className="small">
                                                {none ? 'not this one' : done ? 'done' : p.code}
                                            </span>
                                        </button>
                                    );
                                })}
                            </div>
                            <div style={{ display: 'flex', gap: 10, marginTop: 16, flexWrap: 'wrap' }}>
                                <button className="btn big" disabled={at === 0} onClick={() => setAt(at - 1)}>
                                    Back <kbd>b</kbd>
                                </button>
                                <button className="btn big main" onClick={all} disabled={mark.isPending}>
                                    All done <kbd>a</kbd>
                                </button>
                                <button
                                    className="btn big"
                                    disabled={at === batch.passes.length - 1}
                                    onClick={() => setAt(at + 1)}
                                >
                                    Next <kbd>n</kbd>
                                </button>
                            </div>
                        </section>
                    )}
                </div>
                <aside style={{ display: 'grid', gap: 14 }}>
                    <section className="card pad">
                        <Figure
                            areas={batch.figure}
                            view="front"
                            frame={batch.unit.frame_mm}
                            lit={pass?.areas ?? null}
                        />
                    </section>
                    <section className="card pad">
                        <div className="eyebrow">Then</div>
                        {batch.passes.slice(at + 1, at + 4).map((p) => (
                            <p key={p.no} style={{ margin: '8px 0 0' }} className="small">
                                <Swatch hex={p.hex} /> <b>{p.technique}</b>
                                {p.paint ? `, ${p.paint}` : ''}
                            </p>
                        ))}
                        {at === batch.passes.length - 1 && (
                            <p className="soft small">This is the last pass.</p>
                        )}
                    </section>
                </aside>
            </div>
        </div>
    );
}
