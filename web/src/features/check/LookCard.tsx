import { Flex } from 'antd';
import type { Check } from '../../api/types';
import { FaultForm } from './FaultForm';
import { FaultNote } from './FaultNote';
import { FoundBefore } from './FoundBefore';
import { LookAnswers } from './LookAnswers';
import css from './LookCard.module.css';
import { LookLine } from './LookLine';
import { Reason } from './Reason';
import type { CheckDesk } from './useCheck';

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
                    <LookLine
                        key={q.key}
                        check={check}
                        desk={desk}
                        question={q}
                        number={i + 1}
                        touched={touched}
                    />
                ))}
            </div>
            {desk.finding === null && desk.why === null && <LookAnswers check={check} desk={desk} />}
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
            {before.length > 0 && <FoundBefore check={check} before={before} />}
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
