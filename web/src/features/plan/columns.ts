import type { PlanStep, TechniqueCard, UnitPlan } from '../../api/types';

/** What the strips show side by side. */
export const COLUMNS = ['Base', 'Shade', 'Light', 'Lines, detail', 'Marks, wear'] as const;

/** Where the techniques of a family stand; null for what is done to the whole model only. */
const COLUMN_OF: Record<TechniqueCard['family'], (typeof COLUMNS)[number] | null> = {
    prepare: null,
    undercoat: null,
    spray: 'Base',
    base: 'Base',
    shade: 'Shade',
    highlight: 'Light',
    blend: 'Light',
    line: 'Lines, detail',
    detail: 'Lines, detail',
    mark: 'Marks, wear',
    wear: 'Marks, wear',
    protect: 'Marks, wear',
    ground: 'Marks, wear',
    check: null,
};

/** The joint of a kept-apart part, tidied after joining. */
export const isJoint = (s: PlanStep) => s.key.endsWith(':joint');

/** The steps on areas that stand in each column. */
export const inColumns = (data: UnitPlan): PlanStep[][] => {
    const column = new Map(data.techniques.map((t) => [t.key, COLUMN_OF[t.family]]));
    return COLUMNS.map((title) =>
        data.plan.steps.filter((s) => s.area !== null && column.get(s.technique) === title),
    );
};

/** One step for each technique on the area; the tidying of a joint stands by itself. */
export const stepsShown = (steps: PlanStep[], area: string): PlanStep[] => {
    const here = steps.filter((s) => s.area === area);
    return here.filter((s) => isJoint(s) || s.key === here.find((x) => x.technique === s.technique)?.key);
};
