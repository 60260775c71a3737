import { useMutation, useQuery } from '@tanstack/react-query';
import { App } from 'antd';
import { useState } from 'react';
import { api, saysWhy } from '../../api/client';
import type { BrokenRule, Move, UnitPlan } from '../../api/types';
import { minutes, Swatch } from '../../ui/marks';
import { areaName, type Bend, colourWords, longName, placeName, fewMinutes } from './bend';

/** The numbered list, with the rules that hold each step. A step is dragged, or moved with the arrow buttons; what its new place would break is said before it is let go. */
export function OrderOfWork({
    data,
    bend,
    setLit,
    pick,
}: {
    data: UnitPlan;
    bend: Bend;
    setLit: (key: string | null) => void;
    pick: (key: string) => void;
}) {
    const { message } = App.useApp();
    const [dragged, setDragged] = useState<string | null>(null);
    const [over, setOver] = useState<number | null>(null);
    const [refused, setRefused] = useState<{ step: string; move: Move } | null>(null);
    const steps = data.plan.steps;
    const keys = steps.map((s) => s.key);
    const from = dragged === null ? -1 : keys.indexOf(dragged);
    const to = over === null ? null : over > from ? over - 1 : over;
    const ask = (step: string, place: number) =>
        api.post<Move>(`units/${data.unit.id}/move`, { step, to: place });
    const look = useQuery({
        queryKey: ['move', data.unit.id, data.unit.revision, dragged, to],
        queryFn: () => ask(dragged ?? '', to ?? 0),
        enabled: dragged !== null && to !== null && to !== from,
    });
    const put = (sequence: string[]) =>
        bend.change('sequence', { sequence }, { sequence: data.arranged.sequence ? keys : [] });
    const move = useMutation({
        mutationFn: ({ step, place }: { step: string; place: number }) => ask(step, place),
        onSuccess: (m, { step }) => (m.broken.length === 0 ? put(m.sequence) : setRefused({ step, move: m })),
        onError: (e) => void message.error(saysWhy(e)),
    });
    const drop = () => {
        if (dragged !== null && to !== null && to !== from) move.mutate({ step: dragged, place: to });
        setDragged(null);
        setOver(null);
    };
    const free = data.editable && data.piece === null;
    return (
        <>
            <div className="order-head small">
                <span className="soft">
                    {data.arranged.sequence
                        ? 'In the order you made, as far as the rules let it.'
                        : 'Shortest waiting first, then fewest changes of pot, then the order of the areas.'}
                    {free && ' Drag a step to move it.'}
                </span>
                {free && data.arranged.sequence && (
                    <button className="btn quiet" disabled={bend.busy} onClick={() => put([])}>
                        As the planner lays it out
                    </button>
                )}
            </div>
            {refused && (
                <Refused
                    data={data}
                    step={refused.step}
                    move={refused.move}
                    done={(next) => {
                        if (next) {
                            bend.put(next);
                        }
                        setRefused(null);
                    }}
                />
            )}
            {data.overrules.length > 0 && <SetAside data={data} bend={bend} />}
            <ol
                className="order"
                onDragOver={(e) => {
                    if (dragged !== null) e.preventDefault();
                }}
                onDrop={(e) => {
                    e.preventDefault();
                    drop();
                }}
            >
                {steps.map((s, i) => (
                    <li
                        key={s.key}
                        className={`${dragged === s.key ? 'dragged' : ''} ${over === i && dragged !== null ? 'target' : ''}`}
                        draggable={free}
                        onMouseEnter={() => setLit(s.area)}
                        onDragStart={(e) => {
                            setDragged(s.key);
                            e.dataTransfer.effectAllowed = 'move';
                            e.dataTransfer.setData('text/plain', longName(data, s.technique));
                        }}
                        onDragEnd={() => {
                            setDragged(null);
                            setOver(null);
                        }}
                        onDragOver={() => {
                            if (dragged !== null && over !== i) setOver(i);
                        }}
                    >
                        {over === i && look.data && dragged !== null && (
                            <div className={`says small ${look.data.broken.length > 0 ? 'bad' : 'good'}`}>
                                {look.data.broken.length > 0
                                    ? breaksWords(look.data.broken)
                                    : `It may stand here: ${minutes(look.data.waiting_then ?? 0)} waiting for paint, ${minutes(look.data.waiting)} as it is.`}
                            </div>
                        )}
                        <span className="no num">{s.no}</span>
                        <Swatch hex={s.colour?.hex ?? null} name={colourWords(s)} />
                        <span className="what">
                            <button className="btn quiet plain-name" onClick={() => pick(s.key)}>
                                <b>
                                    {longName(data, s.technique)}
                                    {s.pass > 1 ? `, pass ${s.pass}` : ''}
                                </b>
                            </button>{' '}
                            <span className="soft">
                                on {areaName(data, s.area).toLowerCase()}
                                {colourWords(s) ? `, ${colourWords(s) ?? ''}` : ''}
                            </span>
                            <span className="small soft" style={{ display: 'block' }}>
                                {s.order_because.map((r) => data.rules[r] ?? r).join(' · ') || 'first of all'}
                            </span>
                        </span>
                        <span className="num soft small">
                            {fewMinutes(s.minutes)} min{s.dry >= 15 ? `, dries ${s.dry}` : ''}
                        </span>
                        {free && (
                            <span className="moves">
                                <button
                                    className="btn quiet"
                                    aria-label={`Earlier: ${longName(data, s.technique)} on ${areaName(data, s.area)}`}
                                    disabled={i === 0 || bend.busy}
                                    onClick={() => move.mutate({ step: s.key, place: i - 1 })}
                                >
                                    ↑
                                </button>
                                <button
                                    className="btn quiet"
                                    aria-label={`Later: ${longName(data, s.technique)} on ${areaName(data, s.area)}`}
                                    disabled={i === steps.length - 1 || bend.busy}
                                    onClick={() => move.mutate({ step: s.key, place: i + 1 })}
                                >
                                    ↓
                                </button>
                            </span>
                        )}
                    </li>
                ))}
            </ol>
        </>
    );
}

/** What a place breaks, in one line: each rule once, with the first two steps it would turn round. */
function breaksWords(broken: BrokenRule[]): string {
    const first = broken.filter((b, i) => broken.findIndex((o) => o.words === b.words) === i);
    return `Here it breaks: ${first.map((b) => `${b.words} (${b.earlier_name.toLowerCase()} comes before ${b.later_name.toLowerCase()})`).join('; ')}${broken.length > first.length ? `, and ${broken.length - first.length} more` : ''}.`;
}

/** A place that breaks rules is possible only when each of them is set aside, for this order and with a reason. */
function Refused({
    data,
    step,
    move,
    done,
}: {
    data: UnitPlan;
    step: string;
    move: Move;
    done: (next: UnitPlan | null) => void;
}) {
    const [reason, setReason] = useState('');
    const name = data.plan.steps.find((s) => s.key === step);
    const set = useMutation({
        mutationFn: async () => {
            const { revision } = (
                await api.post<UnitPlan>(`units/${data.unit.id}/overrules`, {
                    revision: data.unit.revision,
                    rules: move.broken.map(({ rule, earlier, later }) => ({ rule, earlier, later })),
                    reason,
                })
            ).unit;
            return api.put<UnitPlan>(`units/${data.unit.id}/sequence`, { revision, sequence: move.sequence });
        },
        onSuccess: done,
    });
    return (
        <form
            className="refused"
            onSubmit={(e) => {
                e.preventDefault();
                set.mutate();
            }}
        >
            <p className="says bad" style={{ margin: 0 }}>
                <b>
                    {name
                        ? `${longName(data, name.technique)} on ${areaName(data, name.area).toLowerCase()}`
                        : 'The step'}{' '}
                    cannot stand there as it is:
                </b>
            </p>
            <ul>
                {move.broken.map((b: BrokenRule, i) => (
                    <li key={i}>
                        {b.words}: {b.earlier_name.toLowerCase()} comes before {b.later_name.toLowerCase()}
                    </li>
                ))}
            </ul>
            <label className="field">
                <span>
                    Set {move.broken.length === 1 ? 'this rule' : `these ${move.broken.length} rules`} aside
                    for this order, because
                </span>
                <input
                    className="input"
                    autoFocus
                    required
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                />
            </label>
            {set.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(set.error)}
                </p>
            )}
            <div style={{ display: 'flex', gap: 8 }}>
                <button className="btn main" disabled={reason.trim() === '' || set.isPending}>
                    Set aside and move
                </button>
                <button type="button" className="btn" onClick={() => done(null)}>
                    Leave it where it was
                </button>
            </div>
        </form>
    );
}

function SetAside({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const { message } = App.useApp();
    const back = useMutation({
        mutationFn: (place: number) =>
            api.remove<UnitPlan>(`units/${data.unit.id}/overrules/${place}`, {
                revision: data.unit.revision,
            }),
        onSuccess: bend.put,
        onError: (e) => void message.error(saysWhy(e)),
    });
    return (
        <div style={{ padding: '0 14px 6px' }}>
            {data.overrules.map((o, i) => (
                <p key={i} className="says warn small" style={{ margin: '4px 0' }}>
                    <b>Set aside for this order:</b> {data.rules[o.rule] ?? o.rule}, between{' '}
                    {placeName(data, o.earlier)} and {placeName(data, o.later)}. {o.reason} ({o.by}){' '}
                    {data.editable && (
                        <button className="btn quiet" disabled={bend.busy} onClick={() => back.mutate(i)}>
                            Let it hold again
                        </button>
                    )}
                </p>
            ))}
        </div>
    );
}
