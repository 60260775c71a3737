import { Button, Flex } from 'antd';
import { keyShown } from '../../app/keys';
import type { Batch, BatchPass, BatchPiece } from '../../api/types';
import { extentWords, minutes, stageWords, Swatch } from '../../ui/marks';
import { Caution } from '../../ui/states';
import { time } from '../../ui/when';
import css from './Bench.module.css';
import { PotDrops } from './PotDrops';
import { type BatchDesk, isDone, type Marked, markedWords, needs, wetUntil, working } from './useBatch';

/** The pass that is worked on: its pot, its brush, and the models to tap when they are done. */
export function PassCard({
    batch,
    pass,
    desk,
    all,
    mark,
    last,
    takeBack,
    before,
    next,
}: {
    batch: Batch;
    pass: BatchPass;
    desk: BatchDesk;
    all: () => void;
    mark: (pieces: BatchPiece[], steps: string[], of: BatchPass) => void;
    last: Marked | null;
    takeBack: () => void;
    before: (() => void) | null;
    next: (() => void) | null;
}) {
    const areas = batch.figure.filter((a) => pass.areas.includes(a.key)).map((a) => a.name.toLowerCase());
    return (
        <section className={`card ${css.pass}`}>
            <div className="eyebrow">
                Pass {pass.no} of {batch.passes.length}
            </div>
            <h1>{pass.technique}</h1>
            <p className={css.facts}>
                {pass.paint && (
                    <span className="strong">
                        <Swatch hex={pass.hex} /> {pass.paint}
                    </span>
                )}
                <span className="soft">
                    {areas.length === 0
                        ? 'whole model'
                        : [areas.join(', '), extentWords(pass.extent), pass.place].filter(Boolean).join(', ')}
                </span>
            </p>
            {pass.why && <p className="soft small mt-0 mb-8">{pass.why}</p>}
            <p className="mt-0 mb-8">{pass.how}</p>
            {pass.put_right && <p className="strong mt-0 mb-8">{pass.put_right}</p>}
            <p className="soft small mt-0 mb-8">
                {[
                    pass.consistency && `Paint: ${pass.consistency}.`,
                    pass.tools && `Tools: ${pass.tools}.`,
                    `${minutes(pass.minutes)} a model${pass.dry > 0 ? `, dries ${pass.dry} min` : ''}.`,
                ]
                    .filter(Boolean)
                    .join(' ')}
            </p>
            <PotDrops pot={pass.pot} />
            <Caution text={pass.caution} />
            <div className={css.taps} role="group" aria-label="Models">
                {batch.pieces.map((p) => (
                    <Tap key={p.id} piece={p} pass={pass} desk={desk} mark={mark} />
                ))}
            </div>
            <Flex gap={10} wrap className={css.acts ?? ''}>
                <Button size="large" disabled={before === null} onClick={() => before?.()}>
                    Back <kbd>{keyShown('passBefore')}</kbd>
                </Button>
                <Button type="primary" size="large" onClick={all}>
                    All done <kbd>{keyShown('allDone')}</kbd>
                </Button>
                <Button size="large" disabled={next === null} onClick={() => next?.()}>
                    Next <kbd>{keyShown('nextPass')}</kbd>
                </Button>
                {last && (
                    <Button type="link" size="large" className={css.undo ?? ''} onClick={takeBack}>
                        Take back: {markedWords(last)} <kbd>{keyShown('markBack')}</kbd>
                    </Button>
                )}
            </Flex>
        </section>
    );
}

function Tap({
    piece: p,
    pass,
    desk,
    mark,
}: {
    piece: BatchPiece;
    pass: BatchPass;
    desk: BatchDesk;
    mark: (pieces: BatchPiece[], steps: string[], of: BatchPass) => void;
}) {
    const steps = needs(p, pass);
    const none = steps.length === 0;
    const done = !none && isDone(p, pass);
    const wet = done || none ? null : wetUntil(p, pass);
    const state = done ? 'done' : wet ? `wet until ${time(wet)}` : 'to do';
    return (
        <Button
            className={`tap ${css.tap} ${done ? css.done : ''} ${wet ? css.wet : ''}`}
            disabled={!working(p) || none}
            aria-pressed={done}
            title={`Model ${p.number}, ${state}, ${stageWords(p.stage)}`}
            onClick={() =>
                done
                    ? desk.taps.add({
                          done: false,
                          pieces: [p.id],
                          steps,
                          words: markedWords({ pieces: [p], pass }),
                      })
                    : mark([p], steps, pass)
            }
        >
            <b>{p.number}</b>
            <span className="small">
                {none ? 'not this one' : done ? 'done' : wet ? `until ${time(wet)}` : p.code}
            </span>
        </Button>
    );
}
