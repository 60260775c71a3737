import type { UseQueryResult } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { memo, type Ref } from 'react';
import { isKey, keyShown } from '../../app/keys';
import { saysWhy } from '../../api/client';
import type { Attempt, Consequences, Ladder } from '../../api/types';
import { cellId } from '../../ui/LadderGrid';
import { ExtentMark } from '../../ui/marks';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';
import type { Clash } from './draft';
import { Holds } from './Holds';
import { inShort, isClause, NEW } from './kinds';
import { Sentence } from './Sentence';
import { Tried } from './Tried';
import type { LadderDesk } from './useLadder';

export interface PanelShows {
    whole: Ladder;
    ladder: Ladder;
    desk: LadderDesk;
    writes: boolean;
    tried: UseQueryResult<Attempt>;
    after: UseQueryResult<Consequences>;
}

/**
 * What stands beside the ladder: the cell as a sentence, what it does to a figure, to the ladder and to
 * open orders.
 */
export const CellPanel = memo(function CellPanel({
    shows: { whole, ladder, desk, writes, tried, after },
    ref,
}: {
    shows: PanelShows;
    ref: Ref<HTMLElement>;
}) {
    const { draft, tier, changed } = desk;
    return (
        // Keep and leave by key hold for every part of the panel, whichever one has the focus.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
        <aside
            className="side"
            ref={ref}
            aria-label="The cell"
            onKeyDown={(e) => {
                if (isKey('keep', e) && changed && !draft.busy) {
                    e.preventDefault();
                    void desk.save();
                }
                if (isKey('leave', e)) {
                    desk.leave();
                    document.getElementById(cellId(desk.at))?.focus();
                }
            }}
        >
            {desk.adding === 'choose' && tier && <NewRow whole={whole} desk={desk} />}
            {desk.adding !== 'choose' && tier && (desk.row ?? desk.adding) && (
                <ThisCell ladder={ladder} desk={desk} writes={writes} />
            )}
            {tried.isError && <Says kind="bad">{saysWhy(tried.error)}</Says>}
            {after.isError && !tried.isError && (
                <Says kind="bad">
                    What it does to the ladder and to open orders is not known: {saysWhy(after.error)}
                </Says>
            )}
            {!tried.isError && tried.data && <Tried result={tried.data} changed={changed} />}
            {!after.isError && after.data && (
                <Holds
                    says={after.data}
                    ladder={ladder}
                    writes={writes && !changed}
                    busy={draft.busy}
                    make={(c) => void draft.make(c)}
                />
            )}
            <More className="small soft" label="What the marks mean">
                <Flex vertical gap={6}>
                    <span>
                        <ExtentMark extent="spot" /> in a spot
                    </span>
                    <span>
                        <ExtentMark extent="prominent" /> where it stands out most
                    </span>
                    <span>
                        <ExtentMark extent="full" passes={2} /> everywhere, two passes
                    </span>
                    <span>
                        <b>+</b> on request
                    </span>
                    <span>· says nothing, or not offered</span>
                </Flex>
            </More>
        </aside>
    );
});

/** What a new row could say; the words of the row come from it. */
function NewRow({ whole, desk }: { whole: Ladder; desk: LadderDesk }) {
    const { tier } = desk;
    if (!tier) return null;
    return (
        <section className="card pad">
            <div className="eyebrow">A new row, at {tier.name}</div>
            <p className="small soft">What does it say?</p>
            <Flex vertical gap={4}>
                {NEW.map(({ words, begins }) => (
                    <Button
                        key={words}
                        className="choice"
                        onClick={() => {
                            const { kind } = begins('');
                            const taken = new Set(whole.rows.map((r) => r.suffix));
                            let suffix: string = kind;
                            for (let n = 2; taken.has(suffix); n++) suffix = `${kind}_${n}`;
                            desk.begin(
                                { suffix, label: words.split(':')[0] ?? words },
                                begins(`${tier.key}.${suffix}`),
                            );
                        }}
                    >
                        {words}
                    </Button>
                ))}
            </Flex>
        </section>
    );
}

function ThisCell({ ladder, desk, writes }: { ladder: Ladder; desk: LadderDesk; writes: boolean }) {
    const { tier, row, cell, clause, adding } = desk;
    if (!tier) return null;
    return (
        <section className="card pad">
            <div className="eyebrow">
                {tier.name} · {adding ? 'a new row' : row?.label}
            </div>
            {clause ? (
                <Sentence clause={clause} ladder={ladder} onChange={desk.edit} readOnly={!writes} />
            ) : (
                <p className="soft">Nothing is said here.</p>
            )}
            {cell?.dropped && (
                <p className="small soft">
                    {tier.name} takes the clauses of the rung below, and leaves this one out on purpose.
                </p>
            )}
            {!adding && cell && !cell.clause && !cell.dropped && clause && (
                <p className="small soft">
                    {tier.name} says nothing here yet; this is how another rung puts it.
                </p>
            )}
            {!writes && ladder.editable && (
                <p className="small soft">
                    This version is published and stays as it is. Open a draft to change it.
                </p>
            )}
            {desk.clash && <ClashNote clash={desk.clash} desk={desk} ladder={ladder} />}
            {writes && <Acts desk={desk} />}
        </section>
    );
}

/** Everything that can be done with the cell, the likeliest first. */
function Acts({ desk }: { desk: LadderDesk }) {
    const { draft, cell, changed, adding, tier } = desk;
    return (
        <Flex gap={8} wrap align="center" className="mt-8">
            <Button
                type="primary"
                disabled={draft.busy || desk.clash !== null || (!changed && !!cell?.clause)}
                onClick={() => void desk.save()}
            >
                {cell?.clause ? 'Keep' : 'Ask this here'}
            </Button>
            {changed && <kbd>{keyShown('keep')}</kbd>}
            {(changed || adding) && <Button onClick={desk.leave}>Leave as it was</Button>}
            {!changed && cell?.clause && (
                <Button type="link" onClick={desk.notAsked}>
                    Not asked here
                </Button>
            )}
            {!changed && cell?.own && cell.clause && tier?.extends && (
                <Button type="link" onClick={desk.asBelow}>
                    As the rung below
                </Button>
            )}
            {cell?.dropped && (
                <Button type="link" onClick={desk.askAsBelow}>
                    Ask as the rung below
                </Button>
            )}
        </Flex>
    );
}

function ClashNote({ clash, desk, ladder }: { clash: Clash; desk: LadderDesk; ladder: Ladder }) {
    const theirs = typeof clash.theirs === 'object' && clash.theirs ? { ...clash.theirs } : null;
    const leave = () => {
        desk.leave();
        desk.reread();
    };
    const put = async () => {
        const mine = clash.mine.map((c, i) => (i === clash.at ? { ...c, before: theirs } : c));
        if (await desk.draft.make(mine)) leave();
    };
    return (
        <Says kind="warn" className="my-8">
            <b>Somebody else changed this first.</b>
            <br />
            <span className="small">
                Theirs: {isClause(clash.theirs) ? inShort(clash.theirs, ladder) : 'taken out'}. Yours is kept
                above.
            </span>
            <br />
            <Button type="link" onClick={() => void put()}>
                Put mine in its place
            </Button>
            <Button type="link" onClick={leave}>
                Take theirs
            </Button>
        </Says>
    );
}
