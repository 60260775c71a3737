import { CheckOutlined } from '@ant-design/icons';
import { Button, Flex } from 'antd';
import type { Batch } from '../../api/types';
import { minutes } from '../../ui/marks';
import css from './Bench.module.css';
import type { BatchDesk } from './useBatch';

/** What the check sent back, model by model, in the order in which it is repaired. */
export function Repairs({ batch, desk }: { batch: Batch; desk: BatchDesk }) {
    const areaName = (key: string) => batch.figure.find((a) => a.key === key)?.name.toLowerCase() ?? '';
    return (
        <>
            {batch.pieces
                .filter((p) => p.stage === 'rework')
                .map((p) => (
                    <section key={p.id} className={`card pad ${css.back}`}>
                        <h2>Model {p.number}: sent back</h2>
                        <Flex vertical gap={8} className="mt-10">
                            {p.repairs.map((r) => {
                                const done = p.done.includes(r.key);
                                return (
                                    <Button
                                        key={r.key}
                                        className={css.repair ?? ''}
                                        size="large"
                                        type={done ? 'default' : 'primary'}
                                        icon={done ? <CheckOutlined /> : undefined}
                                        onClick={() =>
                                            done
                                                ? desk.unmark.mutate({ piece: p.id, steps: [r.key] })
                                                : desk.mark.mutate({ pieces: [p.id], steps: [r.key] })
                                        }
                                    >
                                        {r.technique}
                                        {r.area ? ` on ${areaName(r.area)}` : ''}, {minutes(r.minutes)}
                                    </Button>
                                );
                            })}
                        </Flex>
                    </section>
                ))}
        </>
    );
}
