import { Button } from 'antd';
import type { AnswerWord, Check } from '../../api/types';
import { type KeyName, keyShown } from '../../app/keys';
import { Says } from '../../ui/Says';
import css from './LookCard.module.css';
import type { CheckDesk } from './useCheck';

const ANSWERS: { word: AnswerWord; key: KeyName; text: string }[] = [
    { word: 'yes', key: 'fine', text: 'Fine' },
    { word: 'fault', key: 'fault', text: 'Fault' },
    { word: 'not_seen', key: 'notSeen', text: 'Cannot be seen' },
    { word: 'not_applicable', key: 'notApplicable', text: 'Does not apply' },
];

/** The answers to a look, and why they may not be given. */
export function LookAnswers({ check, desk }: { check: Check; desk: CheckDesk }) {
    return (
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
    );
}

const answersWhat = (desk: CheckDesk): string => {
    if (desk.line !== null) return 'answers the chosen line alone · Escape for the whole look';
    const open = desk.lines.filter((q) => !desk.answered.has(q.key)).length;
    if (open === 0) return 'all lines are answered · a number chooses one line';
    const which = open === desk.lines.length ? 'all lines' : `the ${open} open lines`;
    return `answers ${which}, a noted fault stays · a number chooses one line`;
};

const verdict = (check: Check): string =>
    check.verdict === 'rework'
        ? 'sent back'
        : check.verdict === 'accepted'
          ? `accepted as it is (${check.reason ?? ''}${check.consent ? `; the client: ${check.consent}` : ''})`
          : 'passed';
