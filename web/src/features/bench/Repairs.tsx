import { CheckOutlined } from '@ant-design/icons';
import { Button, Flex } from 'antd';
import type { Batch, BatchPiece } from '../../api/types';
import { minutes } from '../../ui/marks';
import { FaultPicture } from '../check/FaultPicture';
import css from './Bench.module.css';
import type { BatchDesk } from './useBatch';

/** What the check sent back: a card for each fault, with where it is and the steps that put it right. */
export function Repairs({ batch, desk }: { batch: Batch; desk: BatchDesk }) {
    return (
        <>
            {batch.pieces
                .filter((p) => p.stage === 'rework')
                .map((p) => (
                    <section key={p.id} className={`card pad ${css.back}`}>
                        <h2>Model {p.number}: sent back</h2>
                        {p.found.map((f, i) => {
                            const steps = p.repairs.filter(
                                (r) => f.steps.includes(r.key) && !isLast(p, r.key),
                            );
                            return (
                                <Flex key={i} gap={14} className="mt-10" align="flex-start" wrap>
                                    <FaultPicture
                                        piece={p.id}
                                        figure={batch.figure}
                                        frame={[batch.unit.frame_mm[0] ?? 60, batch.unit.frame_mm[1] ?? 80]}
                                        area={f.area}
                                        pin={f.pin}
                                        mark={String(i + 1)}
                                    />
                                    <div className="grow">
                                        <h3 className="m-0">
                                            {f.name}
                                            {f.area === null ? '' : `, ${nameOf(batch, f.area)}`}
                                        </h3>
                                        <p className="soft m-0">
                                            {f.said}
                                            {f.pin ? '' : '; not pinned, look over all of it'}
                                        </p>
                                        <Steps batch={batch} piece={p} desk={desk} steps={steps} />
                                    </div>
                                </Flex>
                            );
                        })}
                        {p.repairs.some((r) => isLast(p, r.key)) && (
                            <>
                                <h3 className="mt-12 mb-0">Last, over all of it</h3>
                                <Steps
                                    batch={batch}
                                    piece={p}
                                    desk={desk}
                                    steps={p.repairs.filter((r) => isLast(p, r.key))}
                                />
                            </>
                        )}
                    </section>
                ))}
        </>
    );
}

/** What goes over the whole model comes after all other repairs, whichever fault called for it. */
const isLast = (piece: BatchPiece, key: string): boolean =>
    piece.found.length > 1 && piece.repairs.some((r) => r.key === key && r.area === null);

const nameOf = (batch: Batch, key: string) =>
    batch.figure.find((a) => a.key === key)?.name.toLowerCase() ?? '';

function Steps({
    batch,
    piece: p,
    desk,
    steps,
}: {
    batch: Batch;
    piece: BatchPiece;
    desk: BatchDesk;
    steps: BatchPiece['repairs'];
}) {
    const next = steps.find((r) => !p.done.includes(r.key))?.key;
    return (
        <Flex vertical gap={8} className="mt-8">
            {steps.map((r) => {
                const done = p.done.includes(r.key);
                const isNext = r.key === next;
                return (
                    <Button
                        key={r.key}
                        className={css.repair ?? ''}
                        size="large"
                        type={isNext ? 'primary' : 'default'}
                        disabled={!done && !isNext}
                        icon={done ? <CheckOutlined /> : undefined}
                        onClick={() =>
                            desk.taps.add({
                                done: !done,
                                pieces: [p.id],
                                steps: [r.key],
                                words: `${r.technique}, model ${p.number}`,
                            })
                        }
                    >
                        {r.technique}
                        {r.area ? ` on ${nameOf(batch, r.area)}` : ''}, {minutes(r.minutes)}
                        {r.dry > 0 && <span className={css.dries}>then {minutes(r.dry)} to dry</span>}
                    </Button>
                );
            })}
        </Flex>
    );
}
