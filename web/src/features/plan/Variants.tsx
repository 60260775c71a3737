import { Button, Flex } from 'antd';
import { useState } from 'react';
import type { UnitPlan } from '../../api/types';
import { setVariants } from '../../api/units';
import type { Bend } from './bend';
import { VariantRow } from './VariantRow';
import { type Draft, draftOf, written } from './variants';

/** Equal ones are spread out, so that no two neighbours look like clones. */
export function Variants({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const [list, setList] = useState<Draft[]>(data.variants.map(draftOf));
    const set = (i: number, patch: Partial<Draft>) =>
        setList(list.map((v, k) => (k === i ? { ...v, ...patch } : v)));
    const changed = JSON.stringify(list) !== JSON.stringify(data.variants.map(draftOf));
    const left = 100 - list.reduce((s, v) => s + v.percent, 0);
    return (
        <section>
            <div className="eyebrow">Variants</div>
            <p className="small soft mt-2 mx-0 mb-8">
                A unit should not look like clones. Each variant is another colour in one slot, something
                extra on one area, or both; its models are spread over the unit
                {list.length > 0 ? `, and ${left} % stay as the unit` : ''}.
            </p>
            {list.map((v, i) => (
                <VariantRow
                    key={i}
                    data={data}
                    variant={v}
                    change={(patch) => set(i, patch)}
                    remove={() => setList(list.filter((_, k) => k !== i))}
                />
            ))}
            {data.editable && (
                <Flex gap={8} className="mt-8">
                    <Button
                        onClick={() =>
                            setList([
                                ...list,
                                {
                                    name: `Variant ${list.length + 1}`,
                                    percent: Math.min(25, Math.max(1, left)),
                                    slot: '',
                                    base: '',
                                    technique: '',
                                    area: '',
                                    rest: null,
                                },
                            ])
                        }
                    >
                        Add a variant
                    </Button>
                    {changed && (
                        <Button
                            type="primary"
                            disabled={bend.busy || left < 0}
                            onClick={() =>
                                bend.make(
                                    (revision) => setVariants(data.unit.id, written(list), revision),
                                    (revision) => setVariants(data.unit.id, data.variants, revision),
                                )
                            }
                        >
                            {left < 0 ? 'More than the whole unit' : 'Deal them out'}
                        </Button>
                    )}
                </Flex>
            )}
        </section>
    );
}
