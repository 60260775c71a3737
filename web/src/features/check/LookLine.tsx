import { useQuery } from '@tanstack/react-query';
import { photographsQuery } from '../../api/photographs';
import type { AnswerWord, Check, Question } from '../../api/types';
import { Held } from './Held';
import css from './LookCard.module.css';
import type { CheckDesk } from './useCheck';

/** How many areas of a line are named. */
const NAMED = 4;

/** One line of a look: what it asks, of which areas, and how it stands. */
export function LookLine({
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
