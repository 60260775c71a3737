import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Batch, BatchPass, BatchPiece } from '../../api/types';
import { takeBack as takeUnitBack } from '../../api/units';
import { offer as offerPieces } from '../../api/work';
import { useNotices } from '../../app/notices';
import { useTaps } from './taps';

export const working = (p: BatchPiece): boolean => ['planned', 'on_bench', 'rework'].includes(p.stage);

/** The steps of a pass that a model needs: where models differ, not all need all. */
export const needs = (p: BatchPiece, pass: BatchPass): string[] =>
    p.wants === null ? pass.steps : pass.steps.filter((s) => p.wants?.includes(s));

export const isDone = (p: BatchPiece, pass: BatchPass): boolean =>
    needs(p, pass).every((s) => p.done.includes(s));

/** Until when the paint under a pass is wet on a model; null: it is dry. */
export const wetUntil = (p: BatchPiece, pass: BatchPass): string | null => {
    const until = p.wet.find((w) => w.pass === pass.no)?.until ?? null;
    return until !== null && new Date(until).getTime() > Date.now() ? until : null;
};

/** Models that want nothing more: every step they need, and every repair, is done. */
export function finished(batch: Batch): BatchPiece[] {
    return batch.pieces.filter(
        (p) =>
            working(p) &&
            batch.passes.every((pass) => isDone(p, pass)) &&
            p.repairs.every((r) => p.done.includes(r.key)),
    );
}

/** What was marked last, on this page. */
export interface Marked {
    pieces: BatchPiece[];
    steps: string[];
    pass: BatchPass;
}

/** What was marked, in words: "Mounting on a handle, model 10". */
export const markedWords = ({ pieces, pass }: Omit<Marked, 'steps'>): string => {
    const [first] = pieces;
    const of = pieces.length === 1 && first ? `model ${first.number}` : `${pieces.length} models`;
    return `${[pass.technique, pass.paint].filter(Boolean).join(', ')}, ${of}`;
};

/** What is done with a batch: marked, taken back, offered to the check. */
export function useBatch(batch: Batch, person: number) {
    const queries = useQueryClient();
    const notices = useNotices();
    const go = useNavigate();
    const refresh = async () => {
        void queries.invalidateQueries({ queryKey: ['batches'] });
        await queries.invalidateQueries({ queryKey: ['batch'] });
    };
    const taps = useTaps(person);
    const offer = useMutation({
        mutationFn: offerPieces,
        onSuccess: () => notices.done('Offered to the check.'),
        onSettled: refresh,
        onError: notices.failed,
    });
    const takeBack = useMutation({
        mutationFn: () => takeUnitBack(batch.unit.id, batch.unit.revision),
        onSuccess: async () => {
            await queries.invalidateQueries();
            notices.done('Taken back from the bench: it can be changed and released again.');
            await go(`/units/${batch.unit.id}/plan`);
        },
        onError: notices.failed,
    });
    return { taps, offer, takeBack };
}
export type BatchDesk = ReturnType<typeof useBatch>;
