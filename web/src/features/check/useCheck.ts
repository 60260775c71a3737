import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { components } from '../../api/schema';
import type { AnswerWord, Check } from '../../api/types';
import { answer as giveAnswer, checkQuery, CHECKS, closeCheck, takeFaultAway } from '../../api/work';
import { useNotices } from '../../app/notices';

export type Found = NonNullable<components['schemas']['AnswerQuestionBody']['faults']>[number];

/** Where the check stands, and everything that can be done in it. */
export function useCheck(check: Check) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const answered = new Map(check.answers.map((a) => [a.question, a]));
    const firstOpen = check.questions.findIndex((q) => !answered.has(q.key));
    const [at, setAt] = useState(Math.max(0, firstOpen));
    const [finding, setFinding] = useState(false);
    const [why, setWhy] = useState<'not_applicable' | 'accepted' | null>(null);
    const question = check.questions[at];
    const here = check.faults.filter((f) => f.question === question?.key);
    const put = (next: Check) => queries.setQueryData(checkQuery(check.id).queryKey, next);
    const move = (by: number) => {
        setAt((i) => Math.max(0, Math.min(check.questions.length - 1, i + by)));
        setFinding(false);
    };
    const answer = useMutation({
        mutationFn: (what: components['schemas']['AnswerQuestionBody']) => giveAnswer(check.id, what),
        onSuccess: (next, what) => {
            put(next);
            setFinding(false);
            setWhy(null);
            if (what.answer !== 'fault') move(1);
        },
        onError: notices.failed,
    });
    const takeAway = useMutation({
        mutationFn: (fault: number) => takeFaultAway(check.id, fault),
        onSuccess: put,
        onError: notices.failed,
    });
    const close = useMutation({
        mutationFn: (what: components['schemas']['CloseCheckBody']) => closeCheck(check.id, what),
        onSuccess: async (next) => {
            put(next);
            await queries.invalidateQueries({ queryKey: CHECKS });
            notices.done(
                next.verdict === 'rework'
                    ? `Model ${next.piece.number} goes back to the bench with its repairs.`
                    : `Model ${next.piece.number} has passed.`,
            );
            await go('/check');
        },
        onError: notices.failed,
    });
    const open = (key: string) => {
        const there = check.questions.findIndex((q) => q.key === key);
        if (there >= 0) move(there - at);
    };
    return {
        at,
        move,
        open,
        question,
        given: question && answered.get(question.key),
        here,
        finding,
        why,
        setWhy,
        leave: () => {
            setFinding(false);
            setWhy(null);
        },
        answering: answer.isPending,
        give: (word: AnswerWord) => {
            if (!question || !check.may.answer) return;
            if (word === 'fault') setFinding(true);
            else if (word === 'not_applicable') setWhy('not_applicable');
            else answer.mutate({ question: question.key, answer: word });
        },
        doesNotApply: (note: string) => {
            if (question) answer.mutate({ question: question.key, answer: 'not_applicable', note });
        },
        note: (fault: Found) => {
            if (!question) return;
            const before = here.map(({ fault: f, area, spread, size_mm }) => ({
                fault: f,
                area,
                spread,
                size_mm,
            }));
            answer.mutate({ question: question.key, answer: 'fault', faults: [...before, fault] });
        },
        takeAway,
        close,
    };
}
export type CheckDesk = ReturnType<typeof useCheck>;
