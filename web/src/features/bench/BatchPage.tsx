import { useQuery } from '@tanstack/react-query';
import { App, Button, Flex } from 'antd';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Batch, BatchPass, BatchPiece } from '../../api/types';
import { batchQuery } from '../../api/work';
import { useKey } from '../../app/keys';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Swatch } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { time } from '../../ui/when';
import { AfterPass } from './AfterPass';
import { ClockCard } from './ClockCard';
import { Forecast } from './Forecast';
import { NextCard } from './NextCard';
import { PassCard } from './PassCard';
import { Gates } from './Gates';
import { Repairs } from './Repairs';
import { KeptTaps } from './KeptTaps';
import { withTaps } from './taps';
import {
    type BatchDesk,
    finished,
    isDone,
    type Marked,
    markedWords,
    useBatch,
    wetUntil,
    working,
} from './useBatch';
import { useClock } from './useClock';

export default function BatchPage() {
    const { id } = useParams();
    // What was kept from an earlier visit would open the batch where it stood then.
    const [opened] = useState(() => Date.now());
    const person = usePerson();
    const query = useQuery({ ...batchQuery(Number(id)), staleTime: 0 });
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    if (query.isPending || query.dataUpdatedAt < opened) return <Loading what="the batch" />;
    // Another release has other passes.
    if (person === null) return null;
    return <Work key={query.data.unit.release} read={query.data} person={person.id} />;
}

function Work({ read, person }: { read: Batch; person: number }) {
    const desk = useBatch(read, person);
    const { taps } = desk;
    const batch = withTaps(read, taps.waiting);
    const clock = useClock(batch.unit.id);
    const { modal } = App.useApp();
    const asking = useRef(false);
    const [last, setLast] = useState<Marked | null>(null);
    const [at, setAt] = useState(batch.next_pass);
    const pass = batch.passes[at];
    const go = (by: number) => setAt((i) => Math.max(0, Math.min(batch.passes.length - 1, i + by)));
    const mark = (pieces: BatchPiece[], steps: string[], of: BatchPass) => {
        const done = () => {
            const minutes = clock.take();
            taps.add({
                done: true,
                pieces: pieces.map((p) => p.id),
                steps,
                words: markedWords({ pieces, pass: of }),
                ...(minutes === undefined ? {} : { minutes }),
            });
            setLast({ pieces, steps, pass: of });
        };
        const wet = pieces.filter((p) => wetUntil(p, of) !== null);
        const [first] = wet;
        if (asking.current) return;
        if (first === undefined) done();
        else {
            asking.current = true;
            modal.confirm({
                title: `Still wet on ${wet.length === 1 ? `model ${first.number}` : `${wet.length} models`}`,
                content: `Until ${time(wetUntil(first, of) ?? '')}. Is it done all the same?`,
                okText: 'It is done',
                cancelText: 'Not yet',
                onOk: () => {
                    asking.current = false;
                    done();
                },
                afterClose: () => (asking.current = false),
            });
        }
    };
    const all = () => {
        if (!pass) return;
        const open = batch.pieces.filter((p) => working(p) && !isDone(p, pass));
        if (open.length > 0) mark(open, pass.steps, pass);
    };
    // Taken back one by one or offered meanwhile, it is no longer there to be taken back.
    const stands = batch.pieces.some(
        (p) => working(p) && last?.pieces.some((q) => q.id === p.id) === true && isDone(p, last.pass),
    );
    const takeBack = () => {
        if (last === null || !stands) return;
        const { pieces, steps } = last;
        taps.add({ done: false, pieces: pieces.map((p) => p.id), steps, words: markedWords(last) });
    };
    useKey('markBack', takeBack);
    useKey('nextPass', () => go(1));
    useKey('passBefore', () => go(-1));
    useKey('allDone', all);
    return (
        <div className="bench">
            <BatchTop batch={batch} desk={desk} />
            <div className="batch">
                <Flex vertical gap={16}>
                    <KeptTaps {...taps} />
                    <Repairs batch={batch} desk={desk} />
                    <Gates
                        unit={batch.unit.id}
                        revision={read.pieces.map((p) => `${p.stage} ${p.done.length}`).join()}
                    />
                    {pass && (
                        <PassCard
                            batch={batch}
                            pass={pass}
                            desk={desk}
                            all={all}
                            mark={mark}
                            last={stands ? last : null}
                            takeBack={takeBack}
                            before={at === 0 ? null : () => go(-1)}
                            next={at === batch.passes.length - 1 ? null : () => go(1)}
                        />
                    )}
                    <Forecast unit={batch.unit.id} from={batch.next_pass} />
                </Flex>
                <aside className="stack">
                    <ClockCard clock={clock} unit={batch.unit.id} />
                    <NextCard unit={batch.unit.id} go={(no) => setAt(no - 1)} />
                    <AfterPass batch={batch} pass={pass} />
                    <Then passes={batch.passes.slice(at + 1, at + 4)} />
                </aside>
            </div>
        </div>
    );
}

function BatchTop({ batch, desk }: { batch: Batch; desk: BatchDesk }) {
    const person = usePerson();
    const ready = finished(batch);
    return (
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
                <Button disabled={desk.takeBack.isPending} onClick={() => desk.takeBack.mutate()}>
                    Take back from the bench
                </Button>
            )}
            <Button
                type="primary"
                // What was tapped arrives first.
                disabled={ready.length === 0 || desk.offer.isPending || desk.taps.waiting.length > 0}
                onClick={() => desk.offer.mutate(ready.map((p) => p.id))}
            >
                {ready.length === 0
                    ? 'Nothing finished to offer yet'
                    : `Offer ${ready.length} finished to the check`}
            </Button>
        </Top>
    );
}

/** What comes after the pass that is worked on. */
function Then({ passes }: { passes: BatchPass[] }) {
    return (
        <section className="card pad">
            <div className="eyebrow">Then</div>
            {passes.map((p) => (
                <p className="small mt-8" key={p.no}>
                    <Swatch hex={p.hex} /> <b>{p.technique}</b>
                    {p.paint ? `, ${p.paint}` : ''}
                </p>
            ))}
            {passes.length === 0 && <p className="soft small">This is the last pass.</p>}
        </section>
    );
}
