import type { UseQueryResult } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { memo, type Ref } from 'react';
import { isKey } from '../../app/keys';
import { saysWhy } from '../../api/client';
import type { Attempt, Consequences, Ladder } from '../../api/types';
import { cellId } from '../../ui/LadderGrid';
import { ExtentMark } from '../../ui/marks';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';
import { Holds } from './Holds';
import { NEW } from './kinds';
import { Tried } from './Tried';
import type { LadderDesk } from './useLadder';
import { ThisCell } from './ThisCell';

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
