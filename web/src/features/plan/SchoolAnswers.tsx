import type { SchoolChoice, UnitPlan } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { word } from '../standard/words';
import { areaName, change } from './names';
import css from './SchoolAnswers.module.css';

export type Scoped = { scope: { area?: string[] }; value: string }[];

/** What one school may answer, a row each, with what each answer would change in words. */
export function SchoolAnswers({
    data,
    school,
    now,
    chosen,
    scoped,
    busy,
    answer,
}: {
    data: UnitPlan;
    school: SchoolChoice;
    now: number;
    chosen: string | null;
    /** The answers for some areas only; null while one area is asked for, which has no figures of its own. */
    scoped: Scoped | null;
    busy: boolean;
    answer: (value: string | null) => void;
}) {
    return (
        <>
            <ul className={css.answers}>
                {school.answers.map((a) => (
                    <li key={a.answer}>
                        <Chip
                            on={chosen === a.answer}
                            disabled={busy}
                            onClick={() => answer(chosen === a.answer ? null : a.answer)}
                        >
                            {word('answer', `${school.school}:${a.answer}`)}
                        </Chip>
                        {scoped !== null && (
                            <span className="small soft num">
                                {a.answer === school.answer
                                    ? chosen === a.answer
                                        ? 'today, by the order'
                                        : "today, by the studio's default"
                                    : consequence(now, a)}
                            </span>
                        )}
                    </li>
                ))}
            </ul>
            {scoped
                ?.filter((c) => c.scope.area)
                .map((c) => (
                    <div key={c.scope.area?.join()} className="small soft">
                        {c.scope.area?.map((k) => areaName(data, k)).join(', ')}:{' '}
                        {word('answer', `${school.school}:${c.value}`)}
                    </div>
                ))}
        </>
    );
}

/** What an answer would change against today's plan. */
const consequence = (now: number, a: SchoolChoice['answers'][number]) =>
    [
        change(now, a.minutes),
        a.short > 0 ? `${a.short} more requirements short` : '',
        a.short < 0 ? `${-a.short} fewer requirements short` : '',
        a.moved ? 'another order of work' : '',
    ]
        .filter(Boolean)
        .join(', ');
