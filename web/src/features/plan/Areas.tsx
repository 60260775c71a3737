import {
    DndContext,
    DragOverlay,
    KeyboardSensor,
    MouseSensor,
    TouchSensor,
    useSensor,
    useSensors,
    type DragEndEvent,
    type UniqueIdentifier,
} from '@dnd-kit/core';
import { useState } from 'react';
import type { PlanStep, UnitPlan } from '../../api/types';
import { byRow, rowByRow, tells, TOUCH } from '../../ui/drag';
import { holdKeys } from '../../app/keys';
import { extentWords } from '../../ui/marks';
import { StepChip } from '../../ui/StepChip';
import { AreaRow } from './AreaRow';
import { type Bend } from './bend';
import { COLUMNS, inColumns, isJoint } from './columns';
import { areaName, colourWords, fewMinutes, longName, shortName, usesOn } from './names';

/** Space lifts a chip and lets it go; Enter opens it, as a press does. */
const BY_KEYS = { start: ['Space'], end: ['Space', 'Enter', 'Tab'], cancel: ['Escape'] };

/** What is done on each area, a row each; what is done on the whole model in one row on top. */
export function Areas({
    data,
    bend,
    lit,
    setLit,
    picked,
    pick,
    names,
}: {
    data: UnitPlan;
    bend: Bend;
    lit: string | null;
    setLit: (key: string | null) => void;
    picked: string | null;
    pick: (key: string) => void;
    names: 'techniques' | 'paints';
}) {
    const { plan } = data;
    const [dragged, setDragged] = useState<string | null>(null);
    const sensors = useSensors(
        useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
        useSensor(TouchSensor, { activationConstraint: TOUCH }),
        useSensor(KeyboardSensor, { coordinateGetter: rowByRow, keyboardCodes: BY_KEYS }),
    );
    const lift = (text: string | null) => {
        setDragged(text);
        holdKeys(text !== null);
    };
    const named = (id: UniqueIdentifier) => {
        const step = plan.steps.find((s) => s.key === id);
        return step ? longName(data, step.technique) : areaName(data, String(id).replace(/^area /, ''));
    };
    const surplus = new Map(plan.surplus.map((s) => [s.step, s]));
    const drop = ({ active, over }: DragEndEvent) => {
        lift(null);
        const area = over?.data.current?.area as string | undefined;
        const technique = active.data.current?.technique as string | undefined;
        if (area === undefined || technique === undefined) return;
        const on = usesOn(data, area);
        const fits = data.techniques.find((t) => t.key === technique)?.areas[area];
        if (fits && !on.some((u) => u.technique === technique))
            bend.edit(area, [...on, { technique, passes: 1, extent: 'full' }]);
    };
    const words = (s: PlanStep) => (names === 'paints' ? colourWords(s) : isJoint(s) ? 'Joint' : null);
    const chip = (s: PlanStep, passes: PlanStep[]) => (
        <StepChip
            key={s.key}
            step={s}
            text={words(s) ?? shortName(data, s.technique)}
            title={[longName(data, s.technique), extentWords(s.extent), colourWords(s)]
                .filter(Boolean)
                .join(', ')}
            passes={passes.length}
            minutes={fewMinutes(passes.reduce((m, x) => m + x.minutes, 0))}
            look={`${surplus.get(s.no)?.beyond ? 'beyond' : ''} ${surplus.get(s.no)?.practice ? 'practice' : ''}`}
            drags={data.editable && s.area !== null}
            pressed={picked === s.key}
            onPress={() => {
                pick(s.key);
                if (s.area) setLit(s.area);
            }}
        />
    );
    const columns = inColumns(data);
    const whole = plan.steps.filter((s) => s.area === null);
    // A column with nothing in it takes no room from the others.
    const widths = columns.map((c) => (c.length > 0 ? 'minmax(0, 1fr)' : '52px')).join(' ');
    return (
        <DndContext
            sensors={sensors}
            collisionDetection={byRow}
            accessibility={tells(named)}
            onDragStart={({ active }) => lift(active.data.current?.text as string)}
            onDragCancel={() => lift(null)}
            onDragEnd={drop}
        >
            <div className="strips" style={{ gridTemplateColumns: `116px ${widths} 40px` }}>
                <div className="h name">Area</div>
                {COLUMNS.map((title, i) => (
                    <div key={title} className="h">
                        {columns[i]?.length ? title : title.split(',')[0]}
                    </div>
                ))}
                <div className="h min">Min</div>
                <div className="name soft">Whole model</div>
                <div className="wide">{whole.map((s) => chip(s, [s]))}</div>
                <div className="min num">{fewMinutes(whole.reduce((m, s) => m + s.minutes, 0))}</div>
                {data.figure.map((a) => (
                    <AreaRow
                        key={a.key}
                        data={data}
                        area={a}
                        columns={columns}
                        lit={lit === a.key}
                        light={() => setLit(a.key)}
                        chip={chip}
                    />
                ))}
                {data.piece !== null && <Lacking data={data} />}
            </div>
            <DragOverlay dropAnimation={null}>
                {dragged !== null && <span className="step dragging">{dragged}</span>}
            </DragOverlay>
        </DndContext>
    );
}

/** The areas that this one model of the unit does not have. */
function Lacking({ data }: { data: UnitPlan }) {
    return data.areas
        .filter((a) => !data.figure.some((f) => f.key === a.key))
        .map((a) => (
            <div key={a.key} className="strip-row soft">
                <div className="name">{areaName(data, a.key)}</div>
                <div className="rest small">this model does not have it</div>
            </div>
        ));
}
