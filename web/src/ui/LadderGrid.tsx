import { memo, type Ref } from 'react';
import type { Cell, Row, TierHead } from '../api/types';
import css from './LadderGrid.module.css';
import { ExtentMark, TierMark } from './marks';

export interface At {
    row: number;
    col: number;
}

export const cellId = ({ row, col }: At): string => `cell-${row}-${col}`;

/** The ladder: a row for each thing that is asked, a column for each rung, and one cell that is looked at. */
export function LadderGrid({
    rows,
    tiers,
    at,
    pick,
    head,
    unfold,
    folded,
    unfolded,
    turn,
    ref,
}: {
    rows: Row[];
    tiers: TierHead[];
    at: At;
    pick: (at: At) => void;
    head: (tier: TierHead) => void;
    unfold: () => void;
    /** Whether a rung is folded to its spine. */
    folded: (tier: TierHead) => boolean;
    /** Families whose rows are all in sight. */
    unfolded: string[];
    /** A family's rows into one line, or out of it. */
    turn: (row: number, family: string) => void;
    ref: Ref<HTMLTableElement>;
}) {
    const spines = tiers.map(folded).map(Number).join('');
    return (
        <table className={css.ladder} role="grid" aria-label="The ladder" ref={ref} tabIndex={-1}>
            <thead>
                <tr>
                    <th className={css.first}>
                        <span className="eyebrow">What the tier says</span>
                    </th>
                    {tiers.map((t) =>
                        folded(t) ? (
                            <th key={t.key} className={css.spine}>
                                <button
                                    type="button"
                                    className={css.plainly}
                                    onClick={unfold}
                                    aria-label={`Unfold ${t.name}, retired`}
                                >
                                    <span>{t.name} · retired</span>
                                </button>
                            </th>
                        ) : (
                            <th key={t.key} className={css.rung}>
                                <Rung tier={t} open={() => head(t)} />
                            </th>
                        ),
                    )}
                </tr>
            </thead>
            <tbody>
                {rows.map((r, i) => (
                    <LadderRow
                        key={r.suffix}
                        row={r}
                        index={i}
                        first={i === 0 || rows[i - 1]?.group !== r.group}
                        spines={spines}
                        at={at.row === i ? at.col : null}
                        pick={pick}
                        open={r.folded === null || r.family === null ? null : unfolded.includes(r.family)}
                        turn={turn}
                    />
                ))}
            </tbody>
        </table>
    );
}

function Rung({ tier, open }: { tier: TierHead; open: () => void }) {
    return (
        <button type="button" className={css.plainly} onClick={open}>
            <span className={css.name}>
                <TierMark order={tier.order} status={tier.status} />
                {tier.name}
            </span>
            <span className="small soft">{tier.intent.split('.')[0]}</span>
            <span className="small strong">
                {tier.status === 'open' ? 'always quoted' : `${tier.distance_cm} cm · ${tier.pace}`}
            </span>
        </button>
    );
}

/** One row; drawn again only when it or the selection in it changes, so that eighty rows stay quick. */
const LadderRow = memo(function LadderRow({
    row,
    index,
    first,
    spines,
    at,
    pick,
    open,
    turn,
}: {
    row: Row;
    index: number;
    first: boolean;
    /** A 1 for each rung that is folded. */
    spines: string;
    at: number | null;
    pick: (at: At) => void;
    /** Whether the rows of its family are in sight; null: it stands for no others. */
    open: boolean | null;
    turn: (row: number, family: string) => void;
}) {
    return (
        <tr className={first ? css.group : ''}>
            <th className={css.first} scope="row">
                {first && <span className="eyebrow">{row.group}</span>}
                {row.label}
                {open !== null && row.family && (
                    <button
                        type="button"
                        className={css.fold}
                        aria-expanded={open}
                        aria-label={open ? `One line for ${row.label}` : `Each technique of ${row.label}`}
                        onClick={() => turn(index, row.family ?? '')}
                    >
                        {open ? 'one line' : 'each'}
                    </button>
                )}
            </th>
            {row.cells.map((c, col) =>
                spines[col] === '1' ? (
                    <td key={c.tier} className={css.spine} />
                ) : (
                    <td key={c.tier} aria-selected={at === col}>
                        <button
                            type="button"
                            id={cellId({ row: index, col })}
                            className={
                                `lcell ${css.cell} ${c.as_before || !c.clause ? css.quiet : ''}` +
                                ` ${c.status === 'on_request' ? css.request : ''}`
                            }
                            tabIndex={at === col ? 0 : -1}
                            onClick={() => pick({ row: index, col })}
                            onFocus={() => {
                                if (at !== col) pick({ row: index, col });
                            }}
                        >
                            <Face cell={c} />
                        </button>
                    </td>
                ),
            )}
        </tr>
    );
});

function Face({ cell }: { cell: Cell }) {
    if (cell.dropped) return <span>— not asked here</span>;
    if (!cell.clause && cell.words === '') return <span aria-label="says nothing">·</span>;
    if (cell.as_before) return <span>as before</span>;
    if (cell.status === 'not_offered') return <span>· not offered</span>;
    return (
        <>
            {(cell.status === 'on_request' || cell.status === 'to_agree') && <b aria-hidden="true">+</b>}
            {cell.extent && <ExtentMark extent={cell.extent} passes={cell.passes} />}
            <span>{cell.words}</span>
        </>
    );
}
