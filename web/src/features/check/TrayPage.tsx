import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { drawnUnitQuery } from '../../api/drawings';
import type { components } from '../../api/schema';
import { answerTray, checkQuery, CHECKS, openCheck, passTray, trayQuery } from '../../api/work';
import { keyShown, useKey } from '../../app/keys';
import { useNotices } from '../../app/notices';
import { Top } from '../../app/Top';
import { Drawn } from '../../ui/Drawn';
import { Says } from '../../ui/Says';
import { Empty, Failed, Loading } from '../../ui/states';
import { Still } from '../../ui/Still';
import { Sample } from './Sample';
import rail from './LookRail.module.css';
import css from './Tray.module.css';

type Tray = components['schemas']['Tray'];
type Model = Tray['models'][number];
type Answer = components['schemas']['AnswerTrayBody']['answer'];

const SIDES: Record<string, string> = { front: 'Front', back: 'Back', top: 'Top', under: 'Under' };

/** One look over all models that wait, side by side: fine for all, but for those that were struck out. */
export default function TrayPage() {
    const { unit } = useParams();
    const query = useQuery(trayQuery(Number(unit)));
    if (query.isPending) return <Loading what="the models" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    if (query.data.models.length === 0)
        return (
            <Empty title="No model of this unit waits for its check">
                <p>
                    <Link to="/check">What else waits</Link>
                </p>
            </Empty>
        );
    return <Looking tray={query.data} />;
}

function Looking({ tray }: { tray: Tray }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const open = (key: string) => tray.models.some((m) => (m.looks[key]?.open ?? 0) > 0);
    const firstOpen = tray.looks.findIndex((l) => open(l.key));
    const [at, setAt] = useState(Math.max(0, firstOpen));
    const [struck, setStruck] = useState<number[]>([]);
    const look = tray.looks[at];
    const put = (next: Tray) => queries.setQueryData(trayQuery(next.unit.id).queryKey, next);
    const to = (place: number) => {
        setStruck([]);
        setAt(Math.max(0, Math.min(tray.looks.length - 1, place)));
    };
    const answer = useMutation({
        mutationFn: (word: Answer) =>
            answerTray(tray.unit.id, { look: look?.key ?? '', answer: word, except: struck }),
        onSuccess: (next) => {
            put(next);
            if (struck.length === 0) to(at + 1);
        },
        onError: notices.failed,
    });
    const pass = useMutation({
        mutationFn: () => passTray(tray.unit.id),
        onSuccess: async (next) => {
            put(next);
            await queries.invalidateQueries({ queryKey: CHECKS });
            const passed = tray.models.length - next.models.length;
            if (passed > 0) notices.done(`${passed} ${passed === 1 ? 'model has' : 'models have'} passed.`);
            if (next.models.length === 0) await go('/check');
        },
        onError: notices.failed,
    });
    const alone = useMutation({
        mutationFn: openCheck,
        onSuccess: async (check) => {
            queries.setQueryData(checkQuery(check.id).queryKey, check);
            await go(`/check/${check.id}`);
        },
        onError: notices.failed,
    });
    const strike = (id: number) =>
        setStruck((now) => (now.includes(id) ? now.filter((n) => n !== id) : [...now, id]));
    const left = tray.looks.filter((l) => open(l.key)).length;
    const ready = tray.models.filter((m) => m.passes).length;
    const busy = answer.isPending || pass.isPending;
    const give = (word: Answer) => {
        if (tray.may_answer && !busy) answer.mutate(word);
    };
    const next = () => {
        if (left > 0) to(tray.looks.findIndex((l, i) => i !== at && open(l.key)));
        else if (ready > 0 && !busy) pass.mutate();
    };
    useKey('fine', () => give('yes'));
    useKey('notSeen', () => give('not_seen'));
    useKey('nextLook', next);
    useKey('lookAfter', () => to(at + 1));
    useKey('lookBefore', () => to(at - 1));
    useKey('oneLine', (e) => {
        const model = tray.models.find((m) => m.number === Number(e.key));
        if (model) strike(model.id);
    });
    if (!look) return null;
    const side = look.view === 'back' ? 'back' : 'front';
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>
                    {tray.models.length} × {tray.unit.sculpt}, side by side
                </h1>
                <span className="pill">
                    {tray.unit.tier} v{tray.unit.standard_version}
                </span>
                <span className="room" />
                <Button type="primary" disabled={busy || (left === 0 && ready === 0)} onClick={next}>
                    {left > 0 ? 'Next look' : `Pass ${ready} of ${tray.models.length}`}{' '}
                    <kbd>{keyShown('nextLook')}</kbd>
                </Button>
            </Top>
            <nav className={rail.rail} aria-label="Looks">
                <div className={rail.looks}>
                    {tray.looks.map((l, place) => {
                        const side = SIDES[l.view ?? ''];
                        const name = side === undefined ? l.name : `${side}: ${l.name}`;
                        const here = place === at ? rail.here : '';
                        return (
                            <button
                                key={l.key}
                                type="button"
                                className={`${rail.look} ${here} ${open(l.key) ? '' : rail.done}`}
                                aria-current={place === at ? 'step' : undefined}
                                aria-label={`${name}: ${open(l.key) ? 'open' : 'done'}`}
                                onClick={() => to(place)}
                            >
                                {!open(l.key) && (
                                    <span className={rail.tick} aria-hidden="true">
                                        ✓
                                    </span>
                                )}
                                {name}
                            </button>
                        );
                    })}
                </div>
            </nav>
            <div className={`page ${css.page}`}>
                <section className={css.models} aria-label="Models">
                    {tray.models.map((m) => (
                        <ModelCell
                            key={m.id}
                            tray={tray}
                            model={m}
                            look={look.key}
                            side={side}
                            isStruck={struck.includes(m.id)}
                            strike={() => strike(m.id)}
                            alone={() =>
                                m.check === null ? alone.mutate(m.id) : void go(`/check/${m.check}`)
                            }
                        />
                    ))}
                </section>
                <aside className={`card pad ${css.look}`}>
                    <div className="eyebrow">
                        look {at + 1} of {tray.looks.length}, seen from {tray.unit.distance_cm} cm
                    </div>
                    <h2>{look.name}</h2>
                    <ul className="small">
                        {look.lines.map((line) => (
                            <li key={line}>{line}</li>
                        ))}
                    </ul>
                    <Flex vertical gap={8}>
                        <Button
                            type="primary"
                            size="large"
                            disabled={!tray.may_answer || busy}
                            onClick={() => give('yes')}
                        >
                            {struck.length === 0
                                ? `Fine on all ${tray.models.length}`
                                : `Fine on all but ${struck.length}`}{' '}
                            <kbd>{keyShown('fine')}</kbd>
                        </Button>
                        <Button disabled={!tray.may_answer || busy} onClick={() => give('not_seen')}>
                            Cannot be seen on them <kbd>{keyShown('notSeen')}</kbd>
                        </Button>
                    </Flex>
                    <p className="small soft">
                        Press a model, or its number, to leave it out; open it to note what is wrong with it.
                    </p>
                    <Sample unit={tray.unit.id} />
                    {tray.left.map((l) => (
                        <Says key={l.number} kind="warn">
                            Model {l.number}: {l.why}
                        </Says>
                    ))}
                </aside>
            </div>
        </>
    );
}

function ModelCell({
    tray,
    model: m,
    look,
    side,
    isStruck,
    strike,
    alone,
}: {
    tray: Tray;
    model: Model;
    look: string;
    side: 'front' | 'back';
    isStruck: boolean;
    strike: () => void;
    alone: () => void;
}) {
    const state = m.looks[look];
    const photograph = tray.photographs.find((p) => p.model === m.number && p.view === side);
    const drawn = useQuery({
        ...drawnUnitQuery(tray.unit.id, 0, m.number, null),
        enabled: photograph === undefined,
    });
    const address = drawn.data?.drawn[side];
    const said =
        m.held_by !== null
            ? `${m.held_by} is looking at it`
            : m.own_work
              ? 'you painted on it'
              : state === undefined
                ? 'not asked after its repair'
                : state.faults > 0
                  ? `${state.faults} ${state.faults === 1 ? 'fault' : 'faults'}`
                  : state.open > 0
                    ? 'open'
                    : '✓ answered';
    return (
        <figure className={`${css.model} ${isStruck ? css.struck : ''}`}>
            <button type="button" aria-pressed={isStruck} onClick={strike} className={css.picture}>
                {photograph ? (
                    <Still src={`/api/v1/pictures/${photograph.sha256}`} alt={`Model ${m.number}`} />
                ) : address !== undefined ? (
                    <Drawn still address={address} alt={`Model ${m.number}`} instead={null} />
                ) : (
                    <span className="soft small">no picture</span>
                )}
                {(photograph?.drawn ?? true) && <span className={css.drawn}>drawn</span>}
            </button>
            <figcaption>
                <b>{m.number}</b>{' '}
                <span className={state && state.faults > 0 ? css.found : 'soft'}>{said}</span>
                <Button size="small" type="link" onClick={alone}>
                    open it
                </Button>
            </figcaption>
        </figure>
    );
}
