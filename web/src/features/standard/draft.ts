import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, Problem, saysWhy } from '../../api/client';
import type { Change } from '../../api/types';

export interface Clash {
    mine: Change[];
    at: number;
    theirs: unknown;
}

/** Changes of the draft, each undone by the same list turned round; what somebody else changed since is never undone. */
export function useDraft(say: (text: string) => void) {
    const queries = useQueryClient();
    const done = useRef<Change[][]>([]);
    const undone = useRef<Change[][]>([]);
    const [busy, setBusy] = useState(false);
    const [clash, setClash] = useState<Clash | null>(null);
    const send = async (changes: Change[]): Promise<Change[] | null> => {
        setBusy(true);
        try {
            const made = await api.post<{ changes: Change[]; not_offered: string[] }>(
                'standard/draft/changes',
                { changes },
            );
            if (made.not_offered.length > 0)
                say(`It is not offered on ${made.not_offered.join(', ')} until you say so there.`);
            setClash(null);
            await Promise.all([
                queries.invalidateQueries({ queryKey: ['standard'] }),
                queries.invalidateQueries({ queryKey: ['techniques'] }),
            ]);
            return made.changes;
        } catch (e) {
            if (e instanceof Problem && e.status === 409 && e.body.current)
                setClash({
                    mine: changes,
                    at: Number(e.body.current['change'] ?? 0),
                    theirs: e.body.current['current'] ?? null,
                });
            else say(saysWhy(e));
            return null;
        } finally {
            setBusy(false);
        }
    };
    const turned = (changes: Change[]): Change[] =>
        [...changes].reverse().map((c) => ({ ...c, before: c.after, after: c.before }));
    return {
        busy,
        clash,
        forget: () => setClash(null),
        canUndo: () => done.current.length > 0,
        canRedo: () => undone.current.length > 0,
        make: async (changes: Change[]) => {
            const made = await send(changes);
            if (!made) return false;
            // With what came along, so that taking it back takes all of it back.
            done.current.push(made);
            undone.current = [];
            return true;
        },
        undo: async () => {
            const last = done.current.pop();
            if (last && (await send(turned(last)))) undone.current.push(last);
        },
        redo: async () => {
            const last = undone.current.pop();
            if (last && (await send(last))) done.current.push(last);
        },
    };
}
export type Draft = ReturnType<typeof useDraft>;
