import type { PlanStep, UnitPlan } from '../../api/types';

/** What the strips show side by side, and the families of technique that stand in each. */
export const COLUMNS: { title: string; families: string[] }[] = [
    { title: 'Base', families: ['spray', 'base'] },
    { title: 'Shade', families: ['shade'] },
    { title: 'Light', families: ['highlight', 'blend'] },
    { title: 'Lines, detail', families: ['line', 'detail'] },
    { title: 'Marks, wear', families: ['mark', 'wear', 'protect', 'ground'] },
];

/** The joint of a kept-apart part, tidied after joining. */
export const isJoint = (s: PlanStep) => s.key.endsWith(':joint');

/** The steps on areas that stand in each column. */
export const inColumns = (data: UnitPlan): PlanStep[][] => {
    const family = new Map(data.techniques.map((t) => [t.key, t.family]));
    return COLUMNS.map(({ families }) =>
        data.plan.steps.filter((s) => s.area !== null && families.includes(family.get(s.technique) ?? '')),
    );
};

/** One step for each technique on the area; the tidying of a joint stands by itself. */
export const stepsShown = (steps: PlanStep[], area: string): PlanStep[] => {
    const here = steps.filter((s) => s.area === area);
    return here.filter((s) => isJoint(s) || s.key === here.find((x) => x.technique === s.technique)?.key);
};
