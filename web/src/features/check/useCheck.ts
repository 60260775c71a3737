import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { components } from '../../api/schema';
import type { AnswerWord, Check } from '../../api/types';
import {
    answer as giveAnswer,
    answerLook,
    checkQuery,
    CHECKS,
    closeCheck,
    openCheck,
    takeCheckOver,
    takeFaultAway,
} from '../../api/work';
import { useNotices } from '../../app/notices';
import type { Pressed } from './usePressing';

export type Found = NonNullable<components['schemas']['AnswerQuestionBody']['faults']>[number];
type Asks = 'not_applicable' | 'accepted';
type Word = Exclude<AnswerWord, 'fault'>;

/** Where the check stands, and everything that can be done in it. */
export function useCheck(check: Check) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const answered = new Map(check.answers.map((a) => [a.question, a]));
    const of = (look: string) => check.questions.filter((q) => q.look === look);
    const isOpen = (look: string) => of(look).some((q) => !answered.has(q.key));
    const firstOpen = check.looks.findIndex((l) => isOpen(l.key));
    const [at, setAt] = useState(Math.max(0, firstOpen));
    const [line, setLine] = useState<string | null>(null);
    const [finding, setFinding] = useState<Pressed | true | null>(null);
    const [why, setWhy] = useState<Asks | null>(null);
    const look = check.looks[at];
    const lines = look ? of(look.key) : [];
    const leave = () => {
        setFinding(null);
        setWhy(null);
        setLine(null);
    };
    const put = (next: Check) => queries.setQueryData(checkQuery(check.id).queryKey, next);
    const to = (place: number) => {
        leave();
        setAt(Math.max(0, Math.min(check.looks.length - 1, place)));
    };
    /** The next look that has something open, this one passed over; else the next one. */
    const on = () => {
        const open = check.looks.flatMap((l, i) => (i !== at && isOpen(l.key) ? [i] : []));
        to(open.find((i) => i > at) ?? open[0] ?? at + 1);
    };
    const failed = (error: unknown) => {
        notices.failed(error);
        // Somebody else may hold it by now, or have ended it.
        void queries.invalidateQueries({ queryKey: checkQuery(check.id).queryKey });
    };
    const answer = useMutation({
        mutationFn: (what: components['schemas']['AnswerQuestionBody']) => giveAnswer(check.id, what),
        onSuccess: (next) => {
            put(next);
            leave();
        },
        onError: failed,
    });
    const whole = useMutation({
        mutationFn: (what: components['schemas']['AnswerLookBody']) => answerLook(check.id, what),
        onSuccess: (next) => {
            put(next);
            on();
        },
        onError: failed,
    });
    const takeAway = useMutation({
        mutationFn: (fault: number) => takeFaultAway(check.id, fault),
        onSuccess: put,
        onError: failed,
    });
    const takeOver = useMutation({
        mutationFn: () => takeCheckOver(check.id),
        onSuccess: put,
        onError: failed,
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
            const waiting = next.unit.pieces.find((p) => p.stage === 'offered');
            await go(waiting ? `/check/${(await openCheck(waiting.id)).id}` : '/check', {
                state: { unit: next.unit.id },
            });
        },
        onError: failed,
    });
    const give = (word: AnswerWord, note?: string) => {
        if (!look || !check.may.answer) return;
        if (word === 'fault') setFinding(true);
        else if (word === 'not_applicable' && note === undefined) setWhy('not_applicable');
        else send(word, note ?? null);
    };
    const send = (word: Word, note: string | null) => {
        if (line !== null) answer.mutate({ question: line, answer: word, note });
        else if (look) whole.mutate({ look: look.key, answer: word, note });
    };
    const openLine = (question: string) => {
        const there = check.questions.find((q) => q.key === question);
        const place = check.looks.findIndex((l) => l.key === there?.look);
        if (place < 0) return;
        to(place);
        setLine(question);
    };
    return {
        at,
        to,
        on,
        look,
        lines,
        line,
        setLine,
        openLine,
        answered,
        isOpen,
        finding,
        press: (pressed: Pressed) => setFinding(pressed),
        why,
        setWhy,
        leave,
        answering: answer.isPending || whole.isPending,
        give,
        note: (question: string, fault: Found) =>
            answer.mutate({ question, answer: 'fault', faults: [fault] }),
        takeAway,
        takeOver,
        close,
    };
}
export type CheckDesk = ReturnType<typeof useCheck>;
