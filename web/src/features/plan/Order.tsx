import {
    closestCenter,
    DndContext,
    type DragEndEvent,
    type UniqueIdentifier,
    KeyboardSensor,
    MouseSensor,
    TouchSensor,
    useSensor,
    useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { Move, UnitPlan } from '../../api/types';
import { setSequence, tryMove } from '../../api/units';
import { holdKeys } from '../../app/keys';
import { tells, TOUCH } from '../../ui/drag';
import { useNotices } from '../../app/notices';
import type { Bend } from './bend';
import { longName } from './names';
import { OrderRow } from './OrderRow';
import { Refused } from './Refused';
import { SetAside } from './SetAside';

/** The numbered list, with the rules that hold each step. What a new place would break is said before it is let go. */
export function OrderOfWork({
    data,
    bend,
    setLit,
    pick,
}: {
    data: UnitPlan;
    bend: Bend;
    setLit: (key: string | null) => void;
    pick: (key: string) => void;
}) {
    const notices = useNotices();
    const [dragged, setDragged] = useState<string | null>(null);
    const [over, setOver] = useState<string | null>(null);
    const [refused, setRefused] = useState<{ step: string; move: Move } | null>(null);
    const { steps } = data.plan;
    const keys = steps.map((s) => s.key);
    const unit = data.unit.id;
    const free = data.editable && data.piece === null;
    const from = dragged === null ? -1 : keys.indexOf(dragged);
    const to = over === null ? -1 : keys.indexOf(over);
    const look = useQuery({
        queryKey: ['move', unit, data.unit.revision, dragged, to],
        queryFn: () => tryMove(unit, dragged ?? '', to),
        enabled: dragged !== null && to >= 0 && to !== from,
    });
    const put = (sequence: string[]) =>
        bend.make(
            (revision) => setSequence(unit, sequence, revision),
            (revision) => setSequence(unit, data.arranged.sequence ? keys : [], revision),
        );
    const move = useMutation({
        mutationFn: ({ step, place }: { step: string; place: number }) => tryMove(unit, step, place),
        onSuccess: (m, { step }) => (m.broken.length === 0 ? put(m.sequence) : setRefused({ step, move: m })),
        onError: notices.failed,
    });
    const sensors = useSensors(
        useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
        useSensor(TouchSensor, { activationConstraint: TOUCH }),
        useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
    );
    const named = (id: UniqueIdentifier) => {
        const step = steps.find((s) => s.key === id);
        return step ? `step ${step.no}, ${longName(data, step.technique)}` : '';
    };
    const lift = (step: string | null) => {
        setDragged(step);
        if (step === null) setOver(null);
        holdKeys(step !== null);
    };
    const drop = ({ active, over: at }: DragEndEvent) => {
        const place = at === null ? -1 : keys.indexOf(String(at.id));
        if (place >= 0 && String(active.id) !== String(at?.id))
            move.mutate({ step: String(active.id), place });
        lift(null);
    };
    return (
        <>
            <div className="order-head small">
                <span className="soft">
                    {data.arranged.sequence
                        ? 'In the order you made, as far as the rules let it.'
                        : 'Shortest waiting first, then least to put right, then fewest changes of pot.'}
                    {free && ' Drag a step to move it.'}
                </span>
                {free && data.arranged.sequence && (
                    <Button type="link" disabled={bend.busy} onClick={() => put([])}>
                        As the planner lays it out
                    </Button>
                )}
            </div>
            {refused && (
                <Refused
                    data={data}
                    step={refused.step}
                    move={refused.move}
                    done={(next) => {
                        if (next) bend.put(next);
                        setRefused(null);
                    }}
                />
            )}
            {data.overrules.length > 0 && <SetAside data={data} bend={bend} />}
            <DndContext
                sensors={sensors}
                collisionDetection={closestCenter}
                accessibility={tells(named)}
                onDragStart={({ active }) => lift(String(active.id))}
                onDragOver={({ over: at }) => setOver(at === null ? null : String(at.id))}
                onDragCancel={() => lift(null)}
                onDragEnd={drop}
            >
                <SortableContext items={keys} strategy={verticalListSortingStrategy} disabled={!free}>
                    <ol className="order">
                        {steps.map((s, i) => (
                            <OrderRow
                                key={s.key}
                                data={data}
                                step={s}
                                free={free}
                                busy={bend.busy}
                                last={i === steps.length - 1}
                                look={over === s.key && dragged !== null ? (look.data ?? null) : null}
                                lit={() => setLit(s.area)}
                                pick={() => pick(s.key)}
                                move={(by) => move.mutate({ step: s.key, place: i + by })}
                            />
                        ))}
                    </ol>
                </SortableContext>
            </DndContext>
        </>
    );
}
