import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Progress } from 'antd';
import { photographsQuery } from '../../api/photographs';
import type { AnswerWord, Check, Question } from '../../api/types';
import { Says } from '../../ui/Says';
import css from './Check.module.css';
import { FaultForm } from './FaultForm';
import { FaultNote } from './FaultNote';
import { Held } from './Held';
import { Reason } from './Reason';
import type { CheckDesk } from './useCheck';

const ANSWERS: { word: AnswerWord; key: string; text: string }[] = [
    { word: 'yes', key: 'y', text: 'Yes' },
    { word: 'fault', key: 'f', text: 'Fault' },
    { word: 'not_seen', key: 's', text: 'Cannot be seen' },
    { word: 'not_applicable', key: 'x', text: 'Does not apply' },
];
const MOST_NAMED = 6;

/** One question: what to look at, what the tier says there, what could be wrong; and what was found. */
export function QuestionCard({ check, desk }: { check: Check; desk: CheckDesk }) {
    const { question: q, at } = desk;
    const last = check.questions.length - 1;
    return (
        <Flex vertical gap={12} className="card pad">
            <div>
                <div className="eyebrow">
                    {q?.view ?? 'whole model'} · {at + 1} of {check.questions.length}
                    {q?.mandatory ? ' · must be answered' : ''}
                </div>
                <Progress
                    percent={(100 * check.answers.length) / Math.max(1, check.questions.length)}
                    showInfo={false}
                    size="small"
                    aria-label="Questions answered"
                />
            </div>
            <h1 className={css.question}>{q?.text}</h1>
            {q && <Against check={check} question={q} />}
            {q && <FromPhotographs check={check} question={q} />}
            <div className="answers">
                {ANSWERS.map(({ word, key, text }) => (
                    <Button
                        key={word}
                        className={css.answer ?? ''}
                        type={desk.given?.answer === word ? 'primary' : 'default'}
                        aria-pressed={desk.given?.answer === word}
                        disabled={!check.may.answer || desk.answering}
                        onClick={() => desk.give(word)}
                    >
                        <kbd>{key}</kbd> {text}
                    </Button>
                ))}
            </div>
            {!check.may.answer && !check.closed && (
                <Says kind="warn">
                    You painted on this model or may not answer: somebody else looks at it.
                </Says>
            )}
            {check.closed && <Says kind="good">This check is closed: {verdict(check)}.</Says>}
            {desk.why === 'not_applicable' && (
                <Reason label="Why does it not apply?" give={desk.doesNotApply} leave={desk.leave} />
            )}
            {desk.finding && q && (
                <FaultForm
                    check={check}
                    question={q}
                    busy={desk.answering}
                    give={desk.note}
                    leave={desk.leave}
                />
            )}
            {desk.here.map((f) => (
                <FaultNote
                    key={f.id}
                    check={check}
                    fault={f}
                    takeAway={
                        check.may.answer && !check.closed && !desk.takeAway.isPending
                            ? () => desk.takeAway.mutate(f.id)
                            : null
                    }
                />
            ))}
            <Flex gap={8}>
                <Button disabled={at === 0} onClick={() => desk.move(-1)}>
                    Before
                </Button>
                <Button disabled={at >= last} onClick={() => desk.move(1)}>
                    Next question
                </Button>
            </Flex>
        </Flex>
    );
}

function FromPhotographs({ check, question: q }: { check: Check; question: Question }) {
    const query = useQuery(photographsQuery(check.piece.id));
    const here = query.data?.held.filter((h) => h.question === q.key) ?? [];
    return here.length > 0 ? <Held held={here} open={null} /> : null;
}

/** What the tier says there, and which faults can be there. */
function Against({ check, question: q }: { check: Check; question: Question }) {
    const kinds = check.fault_kinds.filter((k) => q.faults.includes(k.key));
    return (
        <>
            {q.clauses.length > 0 && (
                <p className="small soft m-0">
                    {check.unit.tier} says:{' '}
                    {q.clauses.map((c) => (check.clauses[c] ?? c).replace(/\.$/, '')).join('; ')}.
                </p>
            )}
            <p className="small soft m-0">
                Look for:{' '}
                {kinds
                    .slice(0, MOST_NAMED)
                    .map((k) => k.name.toLowerCase())
                    .join(', ')}
                {q.faults.length > MOST_NAMED ? ' …' : ''}
            </p>
        </>
    );
}

const verdict = (check: Check): string =>
    check.verdict === 'rework'
        ? 'sent back'
        : check.verdict === 'accepted'
          ? `accepted as it is (${check.reason ?? ''})`
          : 'passed';
