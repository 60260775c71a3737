import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { components } from '../../api/schema';
import { answerTray, checkQuery, CHECKS, openCheck, passTray, trayQuery } from '../../api/work';
import { useKey } from '../../app/keys';
import { useNotices } from '../../app/notices';

export type Tray = components['schemas']['Tray'];
type Answer = components['schemas']['AnswerTrayBody']['answer'];

/** The look at hand, which models are left out of its answer, and what can be done there. */
export function useTray(tray: Tray) {
    const queries = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const open = (key: string) => tray.models.some((m) => (m.looks[key]?.open ?? 0) > 0);
    const firstOpen = tray.looks.findIndex((l) => open(l.key));
    const [at, setAt] = useState(Math.max(0, firstOpen));
    const [struck, setStruck] = useState<number[]>([]);
    const look = tray.looks[at];
    const put = (next: Tray) => queries.setQueryData(trayQuery(next.unit.id).queryKey, next);
    const to = (place: number) => {
        setStruck([]);
        setAt(Math.max(0, Math.min(tray.looks.length - 1, place)));
    };
    const answer = useMutation({
        mutationFn: (word: Answer) =>
            answerTray(tray.unit.id, { look: look?.key ?? '', answer: word, except: struck }),
        onSuccess: (next) => {
            put(next);
            if (struck.length === 0) to(at + 1);
        },
        onError: notices.failed,
    });
    const pass = useMutation({
        mutationFn: () => passTray(tray.unit.id),
        onSuccess: async (next) => {
            put(next);
            await queries.invalidateQueries({ queryKey: CHECKS });
            const passed = tray.models.length - next.models.length;
            if (passed > 0) notices.done(`${passed} ${passed === 1 ? 'model has' : 'models have'} passed.`);
            if (next.models.length === 0) await go('/check');
        },
        onError: notices.failed,
    });
    const alone = useMutation({
        mutationFn: openCheck,
        onSuccess: async (check) => {
            queries.setQueryData(checkQuery(check.id).queryKey, check);
            await go(`/check/${check.id}`);
        },
        onError: notices.failed,
    });
    const strike = (id: number) =>
        setStruck((now) => (now.includes(id) ? now.filter((n) => n !== id) : [...now, id]));
    const left = tray.looks.filter((l) => open(l.key)).length;
    const ready = tray.models.filter((m) => m.passes).length;
    const busy = answer.isPending || pass.isPending;
    const give = (word: Answer) => {
        if (tray.may_answer && !busy) answer.mutate(word);
    };
    const next = () => {
        if (left > 0) to(tray.looks.findIndex((l, i) => i !== at && open(l.key)));
        else if (ready > 0 && !busy) pass.mutate();
    };
    useKey('fine', () => give('yes'));
    useKey('notSeen', () => give('not_seen'));
    useKey('nextLook', next);
    useKey('lookAfter', () => to(at + 1));
    useKey('lookBefore', () => to(at - 1));
    useKey('oneLine', (e) => {
        const model = tray.models.find((m) => m.number === Number(e.key));
        if (model) strike(model.id);
    });
    const openAlone = (model: Tray['models'][number]) =>
        model.check === null ? alone.mutate(model.id) : void go(`/check/${model.check}`);
    return { at, look, struck, left, ready, busy, open, to, give, next, strike, openAlone };
}

export type TrayDesk = ReturnType<typeof useTray>;
