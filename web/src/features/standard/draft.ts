import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Problem } from '../../api/client';
import { changeDraft, ladderQuery, techniquesQuery } from '../../api/standard';
import type { Change } from '../../api/types';
import type { useNotices } from '../../app/notices';

/** Two changes of one thing: those that were sent, which of them met another, and what stands there now. */
export interface Clash {
    mine: Change[];
    at: number;
    theirs: unknown;
}

/** Undone by the same list turned round. */
const turned = (changes: Change[]): Change[] =>
    [...changes].reverse().map((c) => ({ ...c, before: c.after, after: c.before }));

/** Changes of the draft that can be taken back; what somebody else changed since is never undone. */
export function useDraft(notices: ReturnType<typeof useNotices>) {
    const queries = useQueryClient();
    const done = useRef<Change[][]>([]);
    const undone = useRef<Change[][]>([]);
    const [counts, setCounts] = useState({ done: 0, undone: 0 });
    const [busy, setBusy] = useState(false);
    const [clash, setClash] = useState<Clash | null>(null);
    const counted = () => setCounts({ done: done.current.length, undone: undone.current.length });
    const send = async (changes: Change[]): Promise<Change[] | null> => {
        setBusy(true);
        try {
            const made = await changeDraft(changes);
            if (made.not_offered.length > 0)
                notices.told(`It is not offered on ${made.not_offered.join(', ')} until you say so there.`);
            setClash(null);
            await Promise.all([
                queries.invalidateQueries({ queryKey: ladderQuery().queryKey }),
                queries.invalidateQueries({ queryKey: techniquesQuery().queryKey }),
            ]);
            return made.changes;
        } catch (e) {
            const current = e instanceof Problem ? e.current : null;
            if (current)
                setClash({
                    mine: changes,
                    at: Number(current['change'] ?? 0),
                    theirs: current['current'] ?? null,
                });
            else notices.failed(e);
            return null;
        } finally {
            setBusy(false);
        }
    };
    return {
        busy,
        clash,
        forget: () => setClash(null),
        canUndo: counts.done > 0,
        canRedo: counts.undone > 0,
        make: async (changes: Change[]) => {
            const made = await send(changes);
            if (!made) return false;
            // With what came along, so that taking it back takes all of it back.
            done.current.push(made);
            undone.current = [];
            counted();
            return true;
        },
        undo: async () => {
            const last = done.current.pop();
            if (last && (await send(turned(last)))) undone.current.push(last);
            counted();
        },
        redo: async () => {
            const last = undone.current.pop();
            if (last && (await send(last))) done.current.push(last);
            counted();
        },
    };
}
export type Draft = ReturnType<typeof useDraft>;
