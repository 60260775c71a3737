import type { PlanStep, UnitPlan } from '../../api/types';
import { areaName, longName } from './names';

/** What a step follows, nearest first, and why: “after 3, undercoat by can: …”; the nearest hold it hardest. */
export function follows(data: UnitPlan, step: PlanStep, most = Infinity): string[] {
    const whys = new Map<number, string>();
    for (const { no, why } of data.follows[step.no - 1] ?? [])
        if (!whys.has(no)) whys.set(no, data.reasons[why] ?? '');
    return [...whys].slice(0, most).map(([no, why]) => {
        const before = data.plan.steps.find((s) => s.no === no);
        if (!before) return why;
        const name = longName(data, before.technique).toLowerCase();
        const area = before.area === null ? '' : ` on ${areaName(data, before.area).toLowerCase()}`;
        return `after ${no}, ${name}${area}: ${why}`;
    });
}
