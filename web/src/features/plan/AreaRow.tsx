import { EditOutlined } from '@ant-design/icons';
import { useDroppable } from '@dnd-kit/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { PlanStep, UnitPlan } from '../../api/types';
import { Says } from '../../ui/Says';
import { isJoint, stepsShown } from './columns';
import { fewMinutes } from './names';

/** One area's row of strips: its name, what is done in each column, its minutes. */
export function AreaRow({
    data,
    area,
    columns,
    lit,
    light,
    chip,
}: {
    data: UnitPlan;
    area: UnitPlan['figure'][number];
    columns: PlanStep[][];
    lit: boolean;
    light: () => void;
    chip: (step: PlanStep, passes: PlanStep[]) => ReactNode;
}) {
    const { setNodeRef, isOver } = useDroppable({ id: `area ${area.key}`, data: { area: area.key } });
    const steps = data.plan.steps.filter((s) => s.area === area.key);
    const conflict = data.plan.conflicts.find((c) => c.area === area.key);
    const minutes = data.plan.areas.find((p) => p.area === area.key)?.minutes;
    const on = `${lit ? 'lit' : ''} ${isOver ? 'over' : ''}`;
    const passes = (s: PlanStep) =>
        isJoint(s) ? [s] : steps.filter((x) => x.technique === s.technique && !isJoint(x));
    return (
        <div className="strip-row" onMouseEnter={light}>
            <div className={`name ${on}`} ref={setNodeRef}>
                <Button type="link" className="plain-name" onClick={light}>
                    <b>{area.no}</b> {area.name}
                    {data.unit.edits[area.key] && (
                        <EditOutlined title="changed by hand" aria-label="changed by hand" />
                    )}
                </Button>
            </div>
            {conflict ? (
                <div className={`wide ${on}`}>
                    <Says kind="bad" className="small">
                        Cannot be planned: {conflict.reason}
                    </Says>
                </div>
            ) : (
                columns.map((all, i) => (
                    <div key={i} className={on}>
                        {stepsShown(all, area.key).map((s) => chip(s, passes(s)))}
                    </div>
                ))
            )}
            <div className={`min num ${on}`}>{minutes == null ? '–' : fewMinutes(minutes)}</div>
        </div>
    );
}
