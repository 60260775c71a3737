import { Button } from 'antd';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useKeysIn, wayOf } from '../../app/keys';
import type { Ladder, TierFrame, TierHead } from '../../api/types';
import { Top } from '../../app/Top';
import { LadderGrid } from '../../ui/LadderGrid';
import { Pick } from '../../ui/Pick';
import { Empty } from '../../ui/states';
import { CellPanel } from './CellPanel';
import { LadderTools, type Narrowed, narrowed } from './LadderTools';
import { OpenDraft } from './OpenDraft';
import { Publish } from './Publish';
import { StandardTabs } from './StandardTabs';
import { TierDrawer } from './TierForm';
import { trialFigure } from './trial';
import { useLadder } from './useLadder';
import { useFollowing, useTrial } from './useTrial';

/** The ladder: every clause by its tiers, what the cell at hand means, and the way to publish. */
export function LadderView({ ladder: whole }: { ladder: Ladder }) {
    const [show, setShow] = useState<Narrowed>({
        retired: false,
        all: false,
        find: '',
        unfolded: [],
    });
    const ladder = useMemo(() => narrowed(whole, show), [whole, show]);
    const folded = (t: TierHead) => t.status === 'retired' && !show.retired;
    const desk = useLadder(ladder, folded);
    const [head, setHead] = useState<{ tier: TierFrame | null } | null>(null);
    const [sculpt, setSculpt] = useState(trialFigure(ladder));
    const [publishing, setPublishing] = useState(false);
    const finder = useRef<HTMLInputElement>(null);
    const panel = useRef<HTMLElement>(null);
    const drafting = ladder.version.status === 'draft';
    const writes = drafting && ladder.editable;
    const { draft } = desk;
    const { tried, after } = useTrial(ladder, desk, sculpt);

    const col = useRef(desk.at.col);
    useEffect(() => {
        col.current = desk.at.col;
    });
    const { pick } = desk;
    /** One line for the family, or all its rows. */
    const turn = useCallback(
        (row: number, family: string) => {
            setShow((now) => ({
                ...now,
                unfolded: now.unfolded.includes(family)
                    ? now.unfolded.filter((f) => f !== family)
                    : [...now.unfolded, family],
            }));
            pick({ row, col: col.current });
        },
        [pick],
    );
    const { shows, behind } = useFollowing({ whole, ladder, desk, writes, tried, after });
    const entering = useRef(false);
    // The panel is entered once it shows the cell that was meant.
    const enter = () => {
        if (!entering.current || behind) return;
        panel.current?.querySelector<HTMLElement>('input')?.focus();
        entering.current = false;
    };
    useEffect(enter);
    const idle = writes && !draft.busy;
    const grid = useKeysIn<HTMLTableElement>({
        move: (e) => {
            const [right, down] = wayOf(e);
            desk.step(down, right);
        },
        find: () => finder.current?.focus(),
        edit: () => {
            entering.current = writes;
            enter();
        },
        copyRight: () => idle && desk.copyRight(),
        undo: () => idle && void draft.undo(),
        redo: () => idle && void draft.redo(),
    });
    return (
        <>
            <Top>
                <h1>Standard</h1>
                <span className="pill">
                    v{ladder.version.number}, {ladder.version.status}
                    {drafting && ladder.published ? ` · last published v${ladder.published.number}` : ''}
                </span>
                <span className="room" />
                {ladder.sculpts.length > 0 && (
                    <span className="small soft">
                        Try it on{' '}
                        <Pick
                            aria-label="Try it on"
                            value={sculpt}
                            onChange={setSculpt}
                            options={ladder.sculpts.map((s) => ({ value: s.slug, label: s.name }))}
                        />
                    </span>
                )}
                {ladder.editable &&
                    (drafting ? (
                        <Button type="primary" onClick={() => setPublishing(true)}>
                            Publish v{ladder.version.number}
                        </Button>
                    ) : (
                        <OpenDraft />
                    ))}
            </Top>
            <StandardTabs />
            <div className="ladder-page">
                <div className="ladder-side">
                    <LadderTools
                        rows={whole.rows.length}
                        show={show}
                        setShow={(next) => {
                            setShow(next);
                            if (next.find !== show.find) desk.pick({ row: 0, col: desk.at.col });
                        }}
                        desk={desk}
                        writes={writes}
                        finder={finder}
                        newRung={() => setHead({ tier: null })}
                    />
                    <div className="ladder-wrap" tabIndex={-1}>
                        <LadderGrid
                            ref={grid}
                            rows={ladder.rows}
                            tiers={ladder.tiers}
                            at={desk.at}
                            pick={desk.pick}
                            head={(t) => setHead({ tier: t.head })}
                            folded={folded}
                            unfold={() => setShow({ ...show, retired: true })}
                            unfolded={show.unfolded}
                            turn={turn}
                        />
                        {ladder.rows.length === 0 && (
                            <Empty title="No clause says that">
                                <p>Look for other words, or show the rows that no tier uses.</p>
                            </Empty>
                        )}
                    </div>
                </div>
                <CellPanel ref={panel} shows={shows} />
            </div>
            {head && (
                <TierDrawer
                    key={head.tier?.key ?? 'new'}
                    frame={head.tier}
                    ladder={ladder}
                    readOnly={!writes}
                    busy={draft.busy}
                    make={async (c) => {
                        if (await draft.make(c)) setHead(null);
                    }}
                    close={() => setHead(null)}
                />
            )}
            <Publish open={publishing} ladder={ladder} close={() => setPublishing(false)} />
        </>
    );
}
