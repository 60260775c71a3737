import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect } from 'react';
import { Problem } from '../../api/client';
import { consequencesQuery, tryQuery } from '../../api/standard';
import type { Ladder } from '../../api/types';
import { useSettled } from '../../ui/useSettled';
import type { PanelShows } from './CellPanel';
import type { useLadder } from './useLadder';

/** A moment after the last change: then the whole lint and the open orders are asked for. */
const SETTLES_MS = 350;

/** What the draft in hand means: at once for one figure, and for open orders once it has settled. */
export function useTrial(ladder: Ladder, desk: ReturnType<typeof useLadder>, sculpt: string) {
    const { tier } = desk;
    const tried = useQuery({
        ...tryQuery(ladder, tier?.key ?? '', sculpt, desk.trying),
        enabled: ladder.editable && !!tier && sculpt !== '',
    });
    const settled = useSettled(desk.trying, SETTLES_MS);
    const after = useQuery({ ...consequencesQuery(ladder, settled), enabled: ladder.editable });
    // Figures of a draft that is no longer the one on the screen are not shown: the ladder is read again, and
    // they with it.
    const { reread } = desk;
    const stale = [tried.error, after.error].some((e) => e instanceof Problem && e.status === 409);
    useEffect(() => {
        if (stale) reread();
        // Read again once for each time that it went stale.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [stale]);
    return { tried, after };
}

/**
 * What the panel shows follows the cell in a render of its own, which a further arrow key interrupts: the cell is
 * marked within the frame. On one cell it is never behind, so that typing in it is not held up.
 */
export function useFollowing(now: PanelShows): { shows: PanelShows; behind: boolean } {
    const then = useDeferredValue(now);
    const behind = then.desk.at !== now.desk.at;
    return { shows: behind ? then : now, behind };
}
