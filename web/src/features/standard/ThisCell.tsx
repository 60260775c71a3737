import { Button, Flex } from 'antd';
import { keyShown } from '../../app/keys';
import type { Ladder } from '../../api/types';
import { Says } from '../../ui/Says';
import type { Clash } from './draft';
import { inShort, isClause } from './kinds';
import { Sentence } from './Sentence';
import type { LadderDesk } from './useLadder';

export function ThisCell({ ladder, desk, writes }: { ladder: Ladder; desk: LadderDesk; writes: boolean }) {
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
