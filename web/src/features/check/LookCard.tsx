import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { photographsQuery } from '../../api/photographs';
import { type KeyName, keyShown } from '../../app/keys';
import type { AnswerWord, Check, Question } from '../../api/types';
import { Says } from '../../ui/Says';
import { FaultForm } from './FaultForm';
import { FaultNote } from './FaultNote';
import { FaultPicture } from './FaultPicture';
import { Held } from './Held';
import css from './LookCard.module.css';
import { Reason } from './Reason';
import type { CheckDesk } from './useCheck';

const ANSWERS: { word: AnswerWord; key: KeyName; text: string }[] = [
    { word: 'yes', key: 'fine', text: 'Fine' },
    { word: 'fault', key: 'fault', text: 'Fault' },
    { word: 'not_seen', key: 'notSeen', text: 'Cannot be seen' },
    { word: 'not_applicable', key: 'notApplicable', text: 'Does not apply' },
];

const SIDES: Record<string, string> = { front: 'front', back: 'back', top: 'top', under: 'underside' };

/** One look: its lines, each with its areas and its own state, and one answer for all that is open. */
export function LookCard({
    check,
    desk,
    touched,
}: {
    check: Check;
    desk: CheckDesk;
    touched: string | null;
}) {
    const { look, lines } = desk;
    if (!look) return null;
    const faults = check.faults.filter((f) => lines.some((q) => q.key === f.question));
    const before = check.found_before.filter((f) =>
        lines.some(
            (q) =>
                q.faults.includes(f.fault) &&
                q.key !== 'final_look' &&
                (f.area === null || q.areas.includes(f.area)),
        ),
    );
    return (
        <Flex vertical className={`card ${css.card}`}>
            <Flex justify="space-between" align="flex-end" className={css.head}>
                <div>
                    <div className="eyebrow">
                        {SIDES[look.view ?? ''] ?? 'whole model'} · look {desk.at + 1} of {check.looks.length}
                    </div>
                    <h1 className={css.name}>{look.name}</h1>
                </div>
                <div className={`small soft ${css.seen}`}>
                    for {check.unit.tier},
                    <br />
                    seen from <b>{check.unit.distance_cm} cm</b>
                </div>
            </Flex>
            <div role="list" aria-label="Lines of this look" className={css.lines}>
                {lines.map((q, i) => (
                    <Line
                        key={q.key}
                        check={check}
                        desk={desk}
                        question={q}
                        number={i + 1}
                        touched={touched}
                    />
                ))}
            </div>
            {desk.finding === null && desk.why === null && (
                <div className={css.foot}>
                    <div className={css.answers}>
                        {ANSWERS.map(({ word, key, text }) => (
                            <Button
                                key={word}
                                size="large"
                                disabled={!check.may.answer || desk.answering}
                                onClick={() => desk.give(word)}
                            >
                                {text} <kbd>{keyShown(key)}</kbd>
                            </Button>
                        ))}
                    </div>
                    <p className="small soft m-0 mt-8">{answersWhat(desk)}</p>
                    {check.held && (
                        <Says kind="warn" className="mt-8">
                            {check.held.by} is looking at this model, for {check.held.minutes} more min.{' '}
                            {check.may.take_over && (
                                <Button
                                    size="small"
                                    loading={desk.takeOver.isPending}
                                    onClick={() => desk.takeOver.mutate()}
                                >
                                    Take it over
                                </Button>
                            )}
                        </Says>
                    )}
                    {!check.may.answer && !check.closed && !check.held && (
                        <Says kind="warn" className="mt-8">
                            You painted on this model or may not answer: somebody else looks at it.
                        </Says>
                    )}
                    {check.closed && (
                        <Says kind="good" className="mt-8">
                            This check is closed: {verdict(check)}.
                        </Says>
                    )}
                </div>
            )}
            {desk.why === 'not_applicable' && (
                <div className={css.form}>
                    <Reason
                        label="Why does it not apply?"
                        give={(note) => desk.give('not_applicable', note)}
                        leave={desk.leave}
                    />
                </div>
            )}
            {desk.finding !== null && (
                <div className={css.form}>
                    <FaultForm
                        // Another place pressed is another fault.
                        key={JSON.stringify([look.key, desk.line, desk.finding])}
                        check={check}
                        lines={lines}
                        line={desk.line}
                        pressed={desk.finding === true ? null : desk.finding}
                        busy={desk.answering}
                        give={desk.note}
                        leave={desk.leave}
                    />
                </div>
            )}
            {before.length > 0 && (
                <div className={css.form}>
                    <div className="eyebrow">found before, and repaired</div>
                    {before.map((f, i) => (
                        <Flex key={f.id} gap={12} align="center">
                            <FaultPicture
                                piece={check.piece.id}
                                figure={check.figure}
                                frame={[check.unit.frame_mm[0] ?? 60, check.unit.frame_mm[1] ?? 80]}
                                area={f.area}
                                pin={f.pin}
                                mark={String(i + 1)}
                            />
                            <div>
                                <b>{f.name}</b>
                                <div className="small soft">
                                    {(
                                        check.figure.find((a) => a.key === f.area)?.name ?? 'Whole model'
                                    ).toLowerCase()}
                                    , {f.severity}. Is it gone, and nothing else harmed?
                                </div>
                            </div>
                        </Flex>
                    ))}
                </div>
            )}
            {faults.length > 0 && (
                <div className={css.form}>
                    {faults.map((f) => (
                        <FaultNote
                            key={f.id}
                            check={check}
                            fault={f}
                            number={check.faults.indexOf(f) + 1}
                            takeAway={
                                check.may.answer && !desk.takeAway.isPending
                                    ? () => desk.takeAway.mutate(f.id)
                                    : null
                            }
                        />
                    ))}
                </div>
            )}
        </Flex>
    );
}

const answersWhat = (desk: CheckDesk): string => {
    if (desk.line !== null) return 'answers the chosen line alone · Escape for the whole look';
    const open = desk.lines.filter((q) => !desk.answered.has(q.key)).length;
    if (open === 0) return 'all lines are answered · a number chooses one line';
    const which = open === desk.lines.length ? 'all lines' : `the ${open} open lines`;
    return `answers ${which}, a noted fault stays · a number chooses one line`;
};

/** How many areas of a line are named. */
const NAMED = 4;

function Line({
    check,
    desk,
    question: q,
    number,
    touched,
}: {
    check: Check;
    desk: CheckDesk;
    question: Question;
    number: number;
    touched: string | null;
}) {
    const isChosen = desk.line === q.key;
    const faulty = check.faults.filter((f) => f.question === q.key).map((f) => f.area);
    const areas = check.figure.filter((a) => q.areas.includes(a.key));
    const isAll = areas.length === check.figure.length;
    const isTouched = touched !== null && q.areas.includes(touched);
    const chips = isAll ? [] : areas.slice(0, isChosen ? areas.length : NAMED);
    return (
        <div
            role="listitem"
            className={`${css.line} ${isChosen ? css.chosen : ''} ${isTouched ? css.touched : ''}`}
        >
            <button
                type="button"
                className={css.pick}
                aria-pressed={isChosen}
                onClick={() => desk.setLine(isChosen ? null : q.key)}
            >
                <kbd className={css.key}>{number}</kbd>
                <span className="grow">
                    <span className={css.text}>{q.text}</span>
                    <span className={css.chips}>
                        {isAll && <span className="small soft">the whole model</span>}
                        {chips.map((a) => (
                            <span
                                key={a.key}
                                className={`${css.chip} ${faulty.includes(a.key) ? css.bad : ''}`}
                            >
                                <i>{a.no}</i> {a.name}
                            </span>
                        ))}
                        {!isAll && areas.length > chips.length && (
                            <span className={css.chip}>+{areas.length - chips.length} more</span>
                        )}
                    </span>
                </span>
                <State desk={desk} question={q} faults={faulty.length} />
            </button>
            {isChosen && <p className={css.says}>{saysOf(check, q)}</p>}
            <FromPhotographs check={check} question={q} />
        </div>
    );
}

/** What the tier says there, in its words. */
function saysOf(check: Check, q: Question): string {
    const said = q.clauses.flatMap((c) => check.clauses[c]?.replace(/\.$/, '') ?? []);
    return said.length === 0
        ? 'No clause speaks of it: it is what can go wrong there.'
        : `${check.unit.tier} says: ${said.join('; ')}.`;
}

const WORDS: Record<AnswerWord, string> = {
    yes: '✓ fine',
    fault: '',
    not_seen: 'cannot be seen',
    not_applicable: 'does not apply',
};

function State({ desk, question: q, faults }: { desk: CheckDesk; question: Question; faults: number }) {
    const given = desk.answered.get(q.key);
    if (faults > 0)
        return (
            <span className={`${css.state} ${css.found}`}>
                {faults} {faults === 1 ? 'fault' : 'faults'}
            </span>
        );
    if (!given) return <span className={css.state}>○ open{q.mandatory ? '' : ', may stay so'}</span>;
    return (
        <span
            className={`${css.state} ${given.answer === 'yes' ? css.fine : ''}`}
            title={given.note ?? undefined}
        >
            {WORDS[given.answer]}
        </span>
    );
}

function FromPhotographs({ check, question: q }: { check: Check; question: Question }) {
    const query = useQuery(photographsQuery(check.piece.id));
    const here = query.data?.held.filter((h) => h.question === q.key) ?? [];
    return here.length > 0 ? (
        <div className={css.held}>
            <Held held={here} open={null} brief />
        </div>
    ) : null;
}

const verdict = (check: Check): string =>
    check.verdict === 'rework'
        ? 'sent back'
        : check.verdict === 'accepted'
          ? `accepted as it is (${check.reason ?? ''}${check.consent ? `; the client: ${check.consent}` : ''})`
          : 'passed';
