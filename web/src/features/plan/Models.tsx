import { Button, Flex, Table } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { PieceKind, UnitPlan } from '../../api/types';
import { minutes, stageWords } from '../../ui/marks';
import type { Bend } from './bend';
import { areaName } from './names';
import { OneModel } from './OneModel';
import { Variants } from './Variants';

const numbers = (list: readonly number[]): string => {
    const runs: string[] = [];
    for (let i = 0; i < list.length; i++) {
        const from = list[i] ?? 0;
        while (list[i + 1] === (list[i] ?? 0) + 1) i++;
        runs.push(list[i] === from ? `${from}` : `${from}–${list[i] ?? 0}`);
    }
    return runs.join(', ');
};

/** Which models are alike, what each lacks or gets of its own, and the variants dealt over them. */
export function Models({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const [search, setSearch] = useSearchParams();
    const [chosen, setChosen] = useState<number | null>(data.piece);
    const piece = data.pieces.find((p) => p.number === chosen) ?? null;
    const open = (n: number | null) => {
        const next = new URLSearchParams(search);
        if (n === null) next.delete('piece');
        else next.set('piece', String(n));
        next.set('tab', 'areas');
        setSearch(next);
    };
    const words = (k: PieceKind) =>
        [
            k.variant,
            k.lacks.length > 0
                ? `without ${k.lacks.map((a) => areaName(data, a).toLowerCase()).join(', ')}`
                : null,
            k.amendments.length > 0 ? `amendment ${k.amendments.join(', ')}` : null,
            k.edited ? 'changed by hand' : null,
        ]
            .filter(Boolean)
            .join(' · ') || 'as the unit';
    return (
        <Flex vertical gap={20} className="p-16">
            <section>
                <div className="eyebrow">Painted alike</div>
                <Table
                    size="small"

                    pagination={false}
                    rowKey={(k) => k.pieces.join()}
                    dataSource={data.kinds}
                    columns={[
                        {
                            key: '0',
                            title: 'Models',
                            className: 'strong num',
                            render: (_, k) => (
                                <>
                                    {numbers(k.pieces)} <span className="soft">({k.pieces.length})</span>
                                </>
                            ),
                        },
                        { key: '1', title: 'What is different', render: (_, k) => words(k) },
                        {
                            key: '2',
                            title: 'A model',
                            align: 'right',
                            className: 'num',
                            render: (_, k) => minutes(k.minutes),
                        },
                        {
                            key: '3',
                            title: 'Adds',
                            align: 'right',
                            className: 'num',
                            render: (_, k) =>
                                Math.round(k.adds) === 0
                                    ? ''
                                    : `${k.adds > 0 ? '+' : '−'}${minutes(Math.abs(k.adds))}`,
                        },
                        {
                            key: '4',
                            title: 'Tier',
                            render: (_, k) =>
                                k.conflicts > 0 ? (
                                    <span className="late">cannot be planned</span>
                                ) : k.short > 0 ? (
                                    <span className="late">{k.short} short</span>
                                ) : (
                                    <span className="soft">met</span>
                                ),
                        },
                    ]}
                />
                {data.kinds.length > 1 && (
                    <p className="small soft mt-8 mx-0 mb-0">
                        All of them are worked in one order; on the bench each model gets the steps it needs.
                    </p>
                )}
            </section>
            <section>
                <div className="eyebrow mb-6">One model</div>
                <div className="cells">
                    {data.pieces.map((p) => {
                        const kind = data.kinds.find((k) => k.pieces.includes(p.number));
                        return (
                            <Button
                                key={p.id}
                                size="small"
                                className={kind?.plain ? 'cell model' : 'cell model differs'}
                                aria-pressed={chosen === p.number}
                                title={
                                    `model ${p.number}, ${p.code}: ${stageWords(p.stage)}` +
                                    (kind?.plain ? '' : `, ${kind ? words(kind) : ''}`)
                                }
                                onClick={() => setChosen(chosen === p.number ? null : p.number)}
                            >
                                {p.number}
                            </Button>
                        );
                    })}
                </div>
                {piece === null ? (
                    <p className="small soft">
                        Pick a model to say what it lacks, to give it something of its own, or to open its
                        plan. A sergeant or a banner bearer is such a model.
                    </p>
                ) : (
                    <OneModel
                        key={`${piece.id} ${data.unit.revision}`}
                        data={data}
                        bend={bend}
                        piece={piece}
                        open={() => open(piece.number)}
                    />
                )}
            </section>
            <Variants key={data.unit.revision} data={data} bend={bend} />
        </Flex>
    );
}
