import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ladderQuery } from '../../api/standard';
import type { Cell, Change, Clause, Ladder, Row, TierHead } from '../../api/types';
import { useNotices } from '../../app/notices';
import { type At, cellId } from '../../ui/LadderGrid';
import { type Clash, type Draft, useDraft } from './draft';
import { useKeptEdit } from './kept';

/** The row that is being written and is not on the ladder yet. */
interface NewRow {
    suffix: string;
    label: string;
}

/** What a cell's own tier says there; null where it says nothing or takes it from the rung below. */
const own = (cell: Cell | undefined): Clause | null => (cell?.own ? cell.clause : null);

/** From what the tier says there now to what it is to say. */
const change = (to: Clause | null, tier: TierHead, cell: Cell | undefined): Change => {
    const before = own(cell);
    return { what: 'clause', tier: tier.key, before: before && { ...before }, after: to && { ...to } };
};

/** The head of a tier with other rows left out on purpose. */
const dropping = (tier: TierHead, drop: string[]): Change => {
    const { drop: _, ...rest } = tier.head;
    return {
        what: 'tier',
        tier: null,
        before: { ...tier.head },
        after: drop.length > 0 ? { ...rest, drop } : rest,
    };
};

export interface LadderDesk {
    at: At;
    pick: (to: At) => void;
    step: (rows: number, cols: number) => void;
    row: Row | undefined;
    tier: TierHead | undefined;
    cell: Cell | undefined;
    clause: Clause | null;
    changed: boolean;
    trying: Change[];
    clash: Clash | null;
    adding: NewRow | 'choose' | null;
    choose: () => void;
    begin: (row: NewRow, clause: Clause) => void;
    edit: (to: Clause) => void;
    leave: () => void;
    save: () => Promise<void>;
    notAsked: () => void;
    asBelow: () => void;
    askAsBelow: () => void;
    copyRight: () => void;
    draft: Draft;
    reread: () => void;
}

/** Where one is on the ladder, what is being changed there, and what can be done with it. */
export function useLadder(ladder: Ladder, folded: (tier: TierHead) => boolean): LadderDesk {
    const queries = useQueryClient();
    const notices = useNotices();
    const draft = useDraft(notices);
    const kept = useKeptEdit();
    const [at, setAt] = useState<At>(kept.found?.at ?? { row: 0, col: 1 });
    const [edited, setEdited] = useState<Clause | null>(kept.found?.clause ?? null);
    // What the cell said when the change of it began.
    const [was, setWas] = useState<Clause | null>(kept.found?.was ?? null);
    const [adding, setAdding] = useState<NewRow | 'choose' | null>(null);
    // Keys come faster than the page is drawn: where we are is known at once.
    const here = useRef(at);
    const whereIs = (place: At) => {
        const row = ladder.rows[Math.min(place.row, ladder.rows.length - 1)];
        // A ladder may have one rung only.
        const col = Math.min(place.col, ladder.tiers.length - 1);
        return { row, tier: ladder.tiers[col], cell: row?.cells[col] };
    };
    const { row, tier, cell: there } = whereIs(at);
    const cell = adding ? undefined : there;

    const template = useMemo((): Clause | null => {
        if (!row || !tier) return null;
        const like = cell?.clause ?? row.cells.find((c) => c.clause)?.clause ?? null;
        return like && { ...like, id: own(cell)?.id ?? `${tier.key}.${row.suffix}` };
    }, [row, tier, cell]);
    const trying = edited && tier ? [change(edited, tier, cell)] : [];
    // Somebody else may change the cell while it is being changed here: both are shown, and neither is lost.
    const overtaken = edited !== null && !adding && JSON.stringify(own(cell)) !== JSON.stringify(was);

    const leave = () => {
        setEdited(null);
        setAdding(null);
        draft.forget();
        kept.forget();
    };
    const pick = (to: At) => {
        if (to.row === here.current.row && to.col === here.current.col && !adding) return;
        here.current = to;
        setAt(to);
        leave();
    };
    const pickRef = useRef(pick);
    useEffect(() => {
        pickRef.current = pick;
    });
    const step = (rows: number, cols: number) => {
        const within = (n: number, most: number) => Math.max(0, Math.min(most, n));
        // A folded rung is stepped over.
        const open = ladder.tiers.flatMap((t, i) => (folded(t) ? [] : [i]));
        const { row: from, col } = here.current;
        const to = {
            row: within(from + rows, ladder.rows.length - 1),
            col: open[within(open.indexOf(col) + cols, open.length - 1)] ?? col,
        };
        pick(to);
        // By then a later key may have led on: the focus goes where we are, not where we were.
        requestAnimationFrame(() => document.getElementById(cellId(here.current))?.focus());
    };
    const make = async (changes: Change[]) => {
        if (await draft.make(changes)) leave();
    };
    return {
        at,
        pick: useCallback((to: At) => pickRef.current(to), []),
        step,
        row,
        tier,
        cell,
        clause: edited ?? (adding ? null : template),
        changed: edited !== null,
        trying,
        clash: draft.clash ?? (overtaken ? { mine: trying, at: 0, theirs: own(cell) } : null),
        adding,
        choose: () => {
            leave();
            setAdding('choose');
        },
        begin: (next, clause) => {
            setAdding(next);
            setWas(null);
            setEdited(clause);
        },
        edit: (to) => {
            const began = edited ? was : own(cell);
            setWas(began);
            setEdited(to);
            kept.keep({ at, was: began, clause: to });
        },
        leave,
        save: async () => {
            const to = edited ?? template;
            if (!to || !tier || overtaken) return;
            const named =
                adding && adding !== 'choose' && edited && !edited.label
                    ? { ...edited, label: adding.label }
                    : to;
            // A row that was not asked here comes back by its own clause, so the drop goes with it.
            const back =
                cell?.dropped && tier.head.drop
                    ? [
                          dropping(
                              tier,
                              tier.head.drop.filter((s) => s !== cell.clause?.id && s !== row?.suffix),
                          ),
                      ]
                    : [];
            await make([change(named, tier, cell), ...back]);
        },
        notAsked: () => {
            if (!tier || !row || !cell?.clause) return;
            const col = ladder.tiers.findIndex((t) => t.key === tier.extends);
            const below = col >= 0 && row.cells[col]?.clause;
            void draft.make([
                ...(cell.own ? [change(null, tier, cell)] : []),
                ...(below ? [dropping(tier, [...(tier.head.drop ?? []), row.suffix])] : []),
            ]);
        },
        asBelow: () => {
            if (tier) void draft.make([change(null, tier, cell)]);
        },
        askAsBelow: () => {
            if (tier)
                void draft.make([
                    dropping(
                        tier,
                        (tier.head.drop ?? []).filter((s) => s !== row?.suffix),
                    ),
                ]);
        },
        copyRight: () => {
            const from = whereIs(here.current);
            const to = whereIs({ row: here.current.row, col: here.current.col + 1 });
            if (!to.tier || !to.cell || !from.row || !from.cell?.clause) return;
            const id = own(to.cell)?.id ?? `${to.tier.key}.${from.row.suffix}`;
            void draft.make([change({ ...from.cell.clause, id }, to.tier, to.cell)]);
        },
        draft,
        reread: () => void queries.invalidateQueries({ queryKey: ladderQuery().queryKey }),
    };
}
