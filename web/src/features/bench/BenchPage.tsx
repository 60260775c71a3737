import { useInfiniteQuery } from '@tanstack/react-query';
import { Progress } from 'antd';
import { useState } from 'react';
import type { BenchUnit } from '../../api/types';
import { benchQuery } from '../../api/work';
import { Top } from '../../app/Top';
import { LinkButton } from '../../ui/LinkButton';
import { StageStrip } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { FindAmongMany, Listed } from '../../ui/Listed';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { day } from '../../ui/when';
import css from './Bench.module.css';

export default function BenchPage() {
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(benchQuery(wanted));
    return (
        <div className="bench">
            <Top>
                <h1>Bench</h1>
                <span className="soft">what is released, the most urgent first</span>
                <span className="room" />
                <LinkButton to="/bench/day">The day</LinkButton>
            </Top>
            <div className="page">
                <Listed
                    what="the bench"
                    query={query}
                    narrowed={wanted !== ''}
                    tools={
                        <FindAmongMany
                            label="Order, figure or code"
                            query={query}
                            value={find}
                            onChange={setFind}
                        />
                    }
                    empty={
                        <Empty title="Nothing is on the bench">
                            <p>The lead releases units from their plans. Then they wait here.</p>
                        </Empty>
                    }
                >
                    {(batches) => (
                        <div className={css.batches}>
                            {batches.map((u) => (
                                <Batch key={u.id} unit={u} />
                            ))}
                        </div>
                    )}
                </Listed>
            </div>
        </div>
    );
}

function Batch({ unit: u }: { unit: BenchUnit }) {
    const done = u.pieces.reduce((n, p) => n + Math.min(p.done, u.steps), 0);
    const back = u.pieces.filter((p) => p.stage === 'rework').length;
    const isAtWork = u.pieces.some((p) => ['planned', 'on_bench', 'rework'].includes(p.stage));
    const percent = Math.round((100 * done) / Math.max(1, u.steps * u.pieces.length));
    return (
        <section className={`card pad ${css.batch}`}>
            <div>
                <h2>
                    {u.pieces.length} × {u.sculpt}
                </h2>
                <span className="soft">
                    {u.tier} · {u.title}
                    {u.due_on ? ` · due ${day(u.due_on, false)}` : ''}
                </span>
            </div>
            <Progress percent={percent} size="small" aria-label="Steps done" />
            <StageStrip pieces={u.pieces} />
            {back > 0 && <Says kind="bad">{back} sent back by the check</Says>}
            <LinkButton
                className={css.work}
                type={isAtWork ? 'primary' : 'default'}
                size="large"
                to={`/bench/${u.id}`}
            >
                {isAtWork ? 'Work on this batch' : 'Finished: waits for the check'}
            </LinkButton>
        </section>
    );
}
