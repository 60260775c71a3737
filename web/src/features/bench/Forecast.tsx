import { useQuery } from '@tanstack/react-query';
import { Checkbox, Flex, InputNumber, Table } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { forecastQuery } from '../../api/work';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import css from './Bench.module.css';

/** How long what is left takes, in which mix, and why nobody waits. */
export function Forecast({ unit, from }: { unit: number; from: number }) {
    const [painters, setPainters] = useState(1);
    const [fan, setFan] = useState(false);
    const query = useQuery(forecastQuery(unit, from, painters, fan));
    const f = query.data;
    return (
        <section className={`card pad ${css.forecast}`} aria-label="How long it takes">
            <div className="eyebrow">What is left of it</div>
            <Flex gap={10} align="center" wrap className="my-6 small">
                <span>
                    <InputNumber
                        min={1}
                        max={9}
                        precision={0}
                        size="small"
                        className={css.few ?? ''}
                        aria-label="painters"
                        value={painters}
                        onChange={(n) => setPainters(n ?? 1)}
                    />{' '}
                    {painters === 1 ? 'painter' : 'painters'}
                </span>
                <Checkbox checked={fan} onChange={(e) => setFan(e.target.checked)}>
                    with a fan
                </Checkbox>
            </Flex>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {query.isPending && <p className="soft m-0">Laying it out …</p>}
            {f && (
                <div className={css.both}>
                    <div>
                        <p className={css.finish}>
                            {minutes(f.own_mix.minutes)}
                            <span className="small soft">
                                {' '}
                                in its own mix
                                {f.proven ? ', proven the least' : `, never under ${minutes(f.at_least)}`}
                            </span>
                        </p>
                        <Table
                            className={css.ways ?? ''}
                            size="small"
                            pagination={false}
                            rowKey="words"
                            dataSource={[
                                { words: 'own mix', ...f.own_mix },
                                { words: 'step by step', ...f.step_by_step },
                                { words: 'model by model', ...f.piece_by_piece },
                            ]}
                            columns={[
                                { title: 'Worked', dataIndex: 'words', rowScope: 'row' },
                                { title: 'takes', render: (_, way) => minutes(way.minutes) },
                                {
                                    title: 'waits',
                                    render: (_, way) =>
                                        way.waiting < 0.5 ? 'no wait' : minutes(way.waiting),
                                },
                                { title: 'pots', dataIndex: 'changes' },
                            ]}
                        />
                        <p className="small m-0">
                            Were each pass to wait until the one before it is dry, {f.pieces}{' '}
                            {f.pieces === 1 ? 'model' : 'models'} would wait{' '}
                            {minutes(f.curve[f.pieces - 1]?.waiting ?? 0)}
                            {f.none_from === null ? '.' : `, and ${f.none_from} not at all.`}
                        </p>
                    </div>
                    <div>
                        <p className="small soft m-0">It begins with</p>
                        <ol className={css.runs}>
                            {f.first.map((r, i) => (
                                <li key={i}>
                                    <span className="num soft">{minutes(r.from)}</span> <b>{r.technique}</b>
                                    {r.paint ? `, ${r.paint}` : ''}, {r.models.length}{' '}
                                    {r.models.length === 1 ? 'model' : 'models'}
                                    {painters > 1 && <span className="soft"> · painter {r.painter}</span>}
                                    {r.waited >= 1 && (
                                        <span className="soft"> · after {minutes(r.waited)} of drying</span>
                                    )}
                                </li>
                            ))}
                        </ol>
                    </div>
                </div>
            )}
        </section>
    );
}
