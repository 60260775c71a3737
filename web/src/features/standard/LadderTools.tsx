import { Button, Checkbox, Flex, Input, type InputRef } from 'antd';
import { type RefObject, useImperativeHandle, useRef } from 'react';
import { keyShown } from '../../app/keys';
import type { Ladder, Row } from '../../api/types';
import type { LadderDesk } from './useLadder';

/** Which rows and rungs are in sight. */
export interface Narrowed {
    retired: boolean;
    all: boolean;
    find: string;
    /** Families whose single techniques are all in sight. */
    unfolded: string[];
}

/** The families that one line can stand for. */
const foldable = (rows: Row[]): Set<Row['family']> =>
    new Set(rows.filter((r) => r.folded !== null).map((r) => r.family));

/** A line for a whole family, with what it says for all rows that are folded into it. */
const folding = (row: Row): Row =>
    row.folded === null
        ? row
        : {
              ...row,
              cells: row.cells.map((c, i) => ({
                  ...c,
                  words: row.folded?.[i]?.words ?? c.words,
                  as_before: row.folded?.[i]?.as_before ?? c.as_before,
              })),
          };

/**
 * Rows that no tier in sight uses are hidden, and so is what does not match the search; what is merely allowed is one
 * line a family, until it is unfolded or searched.
 */
export function narrowed(whole: Ladder, show: Narrowed): Ladder {
    const folded = new Set(
        show.retired ? [] : whole.tiers.filter((t) => t.status === 'retired').map((t) => t.key),
    );
    const wanted = show.find.trim().toLowerCase();
    const families = foldable(whole.rows);
    const isFolded = (r: Row) =>
        wanted === '' && r.family !== null && families.has(r.family) && !show.unfolded.includes(r.family);
    return {
        ...whole,
        rows: whole.rows
            .filter(
                (r) =>
                    (!isFolded(r) || r.folded !== null) &&
                    (show.all ||
                        (r.family !== null && families.has(r.family)) ||
                        r.cells.some(
                            (c) =>
                                !folded.has(c.tier) &&
                                (c.dropped || (c.clause && c.status !== 'not_offered')),
                        )) &&
                    (wanted === '' ||
                        `${r.label} ${r.group} ${r.cells.map((c) => `${c.clause?.id ?? ''} ${c.says ?? ''}`).join(' ')}`
                            .toLowerCase()
                            .includes(wanted)),
            )
            .map((r) => (isFolded(r) ? folding(r) : r)),
    };
}

/** What stands above the ladder: search, what is shown, and what is done with the draft as a whole. */
export function LadderTools({
    rows,
    show,
    setShow,
    desk,
    writes,
    finder,
    newRung,
}: {
    rows: number;
    show: Narrowed;
    setShow: (next: Narrowed) => void;
    desk: LadderDesk;
    writes: boolean;
    finder: RefObject<HTMLInputElement | null>;
    newRung: () => void;
}) {
    const input = useRef<InputRef>(null);
    useImperativeHandle(finder, () => input.current?.input as HTMLInputElement);
    const { draft } = desk;
    return (
        <Flex gap={8} align="center" wrap>
            <Input
                ref={input}
                className="search"
                allowClear
                placeholder="Find a clause (f)"
                aria-label="Find a clause"
                disabled={desk.changed}
                value={show.find}
                onChange={(e) => setShow({ ...show, find: e.target.value })}
            />
            <Checkbox
                className="small soft"
                checked={show.all}
                onChange={(e) => setShow({ ...show, all: e.target.checked })}
            >
                also rows that no tier uses ({rows})
            </Checkbox>
            <span className="grow" />
            {writes && (
                <>
                    <Button disabled={draft.busy || !draft.canUndo} onClick={() => void draft.undo()}>
                        Undo <kbd>{keyShown('undo')}</kbd>
                    </Button>
                    <Button disabled={draft.busy || !draft.canRedo} onClick={() => void draft.redo()}>
                        Redo <kbd>{keyShown('redo')}</kbd>
                    </Button>
                    <Button onClick={desk.choose}>Add a row</Button>
                    <Button
                        onClick={() => {
                            desk.leave();
                            newRung();
                        }}
                    >
                        Add a rung
                    </Button>
                </>
            )}
        </Flex>
    );
}
