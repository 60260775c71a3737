import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { AnswerWord, Check, Question } from '../../api/types';
import { Top } from '../../app/Frame';
import { Figure } from '../../ui/Figure';
import { minutes } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';

const ANSWERS: [AnswerWord, string, string][] = [
    ['yes', 'y', 'Yes'],
    ['fault', 'f', 'Fault'],
    ['not_seen', 's', 'Cannot be seen'],
    ['not_applicable', 'x', 'Does not apply'],
];
type Found = {
    fault: string;
    area: string | null;
    spread: 'spot' | 'patch' | 'whole';
    size_mm: number | null;
};

export default function CheckPage() {
    const { id } = useParams();
    const query = useQuery({ queryKey: ['check', id], queryFn: () => api.get<Check>(`checks/${id ?? ''}`) });
    if (query.isPending) return <Loading what="the check" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Looking check={query.data} />;
}

function Looking({ check }: { check: Check }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const { message } = App.useApp();
    const answered = new Map(check.answers.map((a) => [a.question, a]));
    const firstOpen = check.questions.findIndex((q) => !answered.has(q.key));
    const [at, setAt] = useState(Math.max(0, firstOpen));
    const [finding, setFinding] = useState(false);
    const [why, setWhy] = useState<'not_applicable' | 'accepted' | null>(null);
    const q: Question | undefined = check.questions[at];
    const put = (next: Check) => queries.setQueryData(['check', String(check.id)], next);
    const say = (e: unknown) => void message.error(saysWhy(e), 6);
    const answer = useMutation({
        mutationFn: (what: { question: string; answer: AnswerWord; note?: string; faults?: Found[] }) =>
            api.put<Check>(`checks/${check.id}/answers`, what),
        onSuccess: (next, what) => {
            put(next);
            setFinding(false);
            setWhy(null);
            if (what.answer !== 'fault') setAt((i) => Math.min(check.questions.length - 1, i + 1));
        },
        onError: say,
    });
    const takeAway = useMutation({
        mutationFn: (fault: number) => api.remove<Check>(`checks/${check.id}/faults/${fault}`),
        onSuccess: put,
        onError: say,
    });
    const close = useMutation({
        mutationFn: (what: { verdict: 'passed' | 'rework' | 'accepted'; reason?: string }) =>
            api.post<Check>(`checks/${check.id}/verdict`, what),
        onSuccess: async (next) => {
            put(next);
            await queries.invalidateQueries({ queryKey: ['checks'] });
            void message.success(
                next.verdict === 'rework'
                    ? `Model ${next.piece.number} goes back to the bench with its repairs.`
                    : `Model ${next.piece.number} has passed.`,
            );
            await go('/check');
        },
        onError: say,
    });
    const give = (word: AnswerWord) => {
        if (!q || !check.may.answer) return;
        if (word === 'fault') setFinding(true);
        else if (word === 'not_applicable') setWhy('not_applicable');
        else answer.mutate({ question: q.key, answer: word });
    };
    useEffect(() => {
        const press = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName)) {
                if (e.key === 'Escape') {
                    setFinding(false);
                    setWhy(null);
                }
                return;
            }
            const word = ANSWERS.find(([, key]) => key === e.key)?.[0];
            if (word) {
                e.preventDefault();
                give(word);
            }
            if (e.key === 'Enter' || e.key === 'ArrowRight' || e.key === 'ArrowDown') {
                if (e.target instanceof HTMLElement && /BUTTON|A/.test(e.target.tagName) && e.key === 'Enter')
                    return;
                setAt((i) => Math.min(check.questions.length - 1, i + 1));
                setFinding(false);
            }
            if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') {
                setAt((i) => Math.max(0, i - 1));
                setFinding(false);
            }
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
    const view = q?.view === 'back' ? 'back' : 'front';
    const given = q && answered.get(q.key);
    const here = check.faults.filter((f) => f.question === q?.key);
    const counting = check.faults.filter((f) => f.severity !== 'note').length;
    const so = check.verdict_so_far;
    const areaName = (key: string | null) => check.figure.find((a) => a.key === key)?.name ?? 'whole model';
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>
                    {check.unit.sculpt}, model {check.piece.number} of {check.unit.pieces.length}
                </h1>
                <span className="pill">
                    {check.unit.tier} v{check.unit.standard_version}
                </span>
                <span className="pill">painted by {check.piece.painters.join(', ') || 'nobody yet'}</span>
                {check.round > 1 && (
                    <span className="pill">round {check.round}: what the repair touched</span>
                )}
                <span className="room" />
                <span className="soft num">
                    {check.answers.length} of {check.questions.length} answered
                </span>
            </Top>
            <div className="check">
                <section style={{ display: 'grid', gap: 10 }}>
                    <div className="stage-view">
                        <Figure
                            areas={check.figure}
                            view={view}
                            frame={check.unit.frame_mm}
                            lit={q && q.areas.length < check.figure.length ? q.areas : null}
                            numbers={!!q && q.areas.length < 8}
                        />
                    </div>
                    <p className="small soft" style={{ margin: 0 }}>
                        Schematic {view}. Look at the model itself, from {check.unit.distance_cm} cm:
                        photographs are not part of this check yet.
                    </p>
                    <div
                        style={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}
                        aria-label="Models of the unit"
                    >
                        {check.unit.pieces.map((p) => (
                            <span
                                key={p.id}
                                className={`dot ${p.stage} ${p.id === check.piece.id ? 'here' : ''}`}
                                title={p.stage.replace('_', ' ')}
                            >
                                {p.number}
                            </span>
                        ))}
                    </div>
                </section>
                <section style={{ display: 'grid', gap: 12 }}>
                    <div className="card pad" style={{ display: 'grid', gap: 12 }}>
                        <div>
                            <div className="eyebrow">
                                {q?.view ?? 'whole model'} · {at + 1} of {check.questions.length}
                                {q?.mandatory ? ' · must be answered' : ''}
                            </div>
                            <div className="bar" style={{ marginTop: 6 }}>
                                <i
                                    style={{
                                        width: `${(100 * check.answers.length) / Math.max(1, check.questions.length)}%`,
                                    }}
                                />
                            </div>
                        </div>
                        <h1 style={{ fontSize: 20 }}>{q?.text}</h1>
                        {q && q.clauses.length > 0 && (
                            <p className="small soft" style={{ margin: 0 }}>
                                {check.unit.tier} says:{' '}
                                {q.clauses.map((c) => (check.clauses[c] ?? c).replace(/\.$/, '')).join('; ')}.
                            </p>
                        )}
                        {q && (
                            <p className="small soft" style={{ margin: 0 }}>
                                Look for:{' '}
                                {check.fault_kinds
                                    .filter((k) => q.faults.slice(0, 8).includes(k.key))
                                    .map((k) => k.name.toLowerCase())
                                    .slice(0, 6)
                                    .join(', ')}
                                {q.faults.length > 6 ? ' …' : ''}
                            </p>
                        )}
                        <div className="answers">
                            {ANSWERS.map(([word, key, text]) => (
                                <button
                                    key={word}
                                    className="btn"
                                    aria-pressed={given?.answer === word}
                                    disabled={!check.may.answer || answer.isPending}
                                    onClick={() => give(word)}
                                >
                                    <kbd>{key}</kbd> {text}
                                </button>
                            ))}
                        </div>
                        {!check.may.answer && !check.closed && (
                            <p className="says warn small" style={{ margin: 0 }}>
                                You painted on this model or may not answer: somebody else looks at it.
                            </p>
                        )}
                        {check.closed && (
                            <p className="says good small" style={{ margin: 0 }}>
                                This check is closed:{' '}
                                {check.verdict === 'rework'
                                    ? 'sent back'
                                    : check.verdict === 'accepted'
                                      ? `accepted as it is (${check.reason ?? ''})`
                                      : 'passed'}
                                .
                            </p>
                        )}
                        {why === 'not_applicable' && q && (
                            <Reason
                                label="Why does it not apply?"
                                onGive={(note) =>
                                    answer.mutate({ question: q.key, answer: 'not_applicable', note })
                                }
                                onLeave={() => setWhy(null)}
                            />
                        )}
                        {finding && q && (
                            <FaultForm
                                check={check}
                                q={q}
                                busy={answer.isPending}
                                onGive={(f) =>
                                    answer.mutate({
                                        question: q.key,
                                        answer: 'fault',
                                        faults: [
                                            ...here.map((x) => ({
                                                fault: x.fault,
                                                area: x.area,
                                                spread: x.spread,
                                                size_mm: x.size_mm,
                                            })),
                                            f,
                                        ],
                                    })
                                }
                                onLeave={() => setFinding(false)}
                            />
                        )}
                        {here.map((f) => (
                            <div
                                key={f.id}
                                className={`says ${f.severity === 'note' ? '' : f.severity === 'minor' ? 'warn' : 'bad'}`}
                            >
                                <b>
                                    {f.name}, {areaName(f.area).toLowerCase()}:{' '}
                                    {f.severity === 'note' ? 'a note, does not count' : f.severity}
                                </b>
                                <div className="small">
                                    {f.why}
                                    {check.may.answer && !check.closed && (
                                        <>
                                            {' '}
                                            <button
                                                className="btn quiet"
                                                disabled={takeAway.isPending}
                                                onClick={() => takeAway.mutate(f.id)}
                                            >
                                                Take this fault away
                                            </button>
                                        </>
                                    )}
                                </div>
                                {f.repair.length > 0 && (
                                    <div className="small soft">
                                        Repair, {minutes(f.repair.reduce((m, s) => m + s.minutes, 0))}:{' '}
                                        {f.repair
                                            .map(
                                                (s) =>
                                                    `${s.technique.toLowerCase()}${s.area ? ` on ${areaName(s.area).toLowerCase()}` : ''}`,
                                            )
                                            .join(', then ')}
                                    </div>
                                )}
                            </div>
                        ))}
                        <div style={{ display: 'flex', gap: 8 }}>
                            <button className="btn" disabled={at === 0} onClick={() => setAt(at - 1)}>
                                Before
                            </button>
                            <button
                                className="btn"
                                disabled={at >= check.questions.length - 1}
                                onClick={() => setAt(at + 1)}
                            >
                                Next question
                            </button>
                        </div>
                    </div>
                    {!check.closed && (
                        <div
                            className="card pad"
                            style={{
                                borderLeft: `4px solid var(--${counting > 0 && !so.passes ? 'fault' : so.passes ? 'accent' : 'note'})`,
                                display: 'grid',
                                gap: 10,
                            }}
                        >
                            <div>
                                <div className="eyebrow">So far</div>
                                <h2>{so.words}</h2>
                            </div>
                            {why === 'accepted' && (
                                <Reason
                                    label="Why is it accepted as it is?"
                                    onGive={(reason) => close.mutate({ verdict: 'accepted', reason })}
                                    onLeave={() => setWhy(null)}
                                />
                            )}
                            <div
                                style={{
                                    display: 'flex',
                                    gap: 8,
                                    flexWrap: 'wrap',
                                    justifyContent: 'flex-end',
                                }}
                            >
                                {check.may.accept &&
                                    counting > 0 &&
                                    so.open.length === 0 &&
                                    (so.counted['critical'] ?? 0) === 0 && (
                                        <button className="btn quiet" onClick={() => setWhy('accepted')}>
                                            Accept as it is …
                                        </button>
                                    )}
                                <button
                                    className="btn"
                                    disabled={!check.may.answer || counting === 0 || close.isPending}
                                    onClick={() => close.mutate({ verdict: 'rework' })}
                                >
                                    Send back
                                </button>
                                <button
                                    className="btn main"
                                    disabled={!check.may.answer || !so.passes || close.isPending}
                                    onClick={() => close.mutate({ verdict: 'passed' })}
                                >
                                    Pass
                                </button>
                            </div>
                        </div>
                    )}
                </section>
            </div>
        </>
    );
}

function Reason({
    label,
    onGive,
    onLeave,
}: {
    label: string;
    onGive: (text: string) => void;
    onLeave: () => void;
}) {
    const [text, setText] = useState('');
    return (
        <form
            style={{ display: 'grid', gap: 8 }}
            onSubmit={(e) => {
                e.preventDefault();
                if (text.trim()) onGive(text);
            }}
        >
            <label className="field">
                <span>{label}</span>
                <input className="input" autoFocus value={text} onChange={(e) => setText(e.target.value)} />
            </label>
            <div style={{ display: 'flex', gap: 8 }}>
                <button className="btn main" disabled={!text.trim()}>
                    Keep
                </button>
                <button type="button" className="btn" onClick={onLeave}>
                    Leave it
                </button>
            </div>
        </form>
    );
}

function FaultForm({
    check,
    q,
    busy,
    onGive,
    onLeave,
}: {
    check: Check;
    q: Question;
    busy: boolean;
    onGive: (f: Found) => void;
    onLeave: () => void;
}) {
    const kinds = q.faults.flatMap((key) => check.fault_kinds.filter((k) => k.key === key));
    const [fault, setFault] = useState(kinds[0]?.key ?? '');
    const [area, setArea] = useState(q.areas[0] ?? '');
    const [spread, setSpread] = useState<Found['spread']>('spot');
    const [mm, setMm] = useState('');
    const kind = kinds.find((k) => k.key === fault);
    return (
        <form
            style={{ display: 'grid', gap: 10, borderTop: '1px solid var(--rule)', paddingTop: 12 }}
            onSubmit={(e) => {
                e.preventDefault();
                onGive({
                    fault,
                    area: kind?.whole ? null : area,
                    spread,
                    size_mm: mm === '' ? null : Number(mm),
                });
            }}
        >
            <label className="field">
                <span>Which fault</span>
                <select className="input" autoFocus value={fault} onChange={(e) => setFault(e.target.value)}>
                    {kinds.map((k) => (
                        <option key={k.key} value={k.key}>
                            {k.name}
                        </option>
                    ))}
                </select>
            </label>
            {kind && (
                <p className="small soft" style={{ margin: 0 }}>
                    {kind.looks} {kind.how_to_see}
                </p>
            )}
            <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8 }}>
                {!kind?.whole && (
                    <label className="field">
                        <span>Where</span>
                        <select className="input" value={area} onChange={(e) => setArea(e.target.value)}>
                            {check.figure
                                .filter((a) => q.areas.includes(a.key))
                                .map((a) => (
                                    <option key={a.key} value={a.key}>
                                        {a.no} {a.name}
                                    </option>
                                ))}
                        </select>
                    </label>
                )}
                <label className="field">
                    <span>How much of it</span>
                    <select
                        className="input"
                        value={spread}
                        onChange={(e) => setSpread(e.target.value as Found['spread'])}
                    >
                        <option value="spot">a spot</option>
                        <option value="patch">a patch</option>
                        <option value="whole">all of it</option>
                    </select>
                </label>
                {kind?.by_size && (
                    <label className="field">
                        <span>Size in mm, if measured</span>
                        <input
                            className="input"
                            type="number"
                            min="0.01"
                            step="0.01"
                            value={mm}
                            onChange={(e) => setMm(e.target.value)}
                        />
                    </label>
                )}
            </div>
            <div style={{ display: 'flex', gap: 8 }}>
                <button className="btn main" disabled={busy}>
                    Note the fault
                </button>
                <button type="button" className="btn" onClick={onLeave}>
                    Leave it
                </button>
            </div>
        </form>
    );
}
