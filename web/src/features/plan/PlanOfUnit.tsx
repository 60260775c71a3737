import { useQuery } from '@tanstack/react-query';
import { Flex, Modal, Tabs } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { UnitPlan } from '../../api/types';
import { aimsQuery, setAim } from '../../api/units';
import { useKey } from '../../app/keys';
import { Chip } from '../../ui/Chip';
import { minutes } from '../../ui/marks';
import { Areas } from './Areas';
import { Arrange } from './Arrange';
import { type Bend, useBend } from './bend';
import { Compare } from './Compare';
import { Models } from './Models';
import { usesOn } from './names';
import { OrderOfWork } from './Order';
import { Paints, Passes } from './Passes';
import { PlanFigure } from './PlanFigure';
import { PlanTop } from './PlanTop';
import { Report } from './Report';
import { Time } from './Time';
import { Why } from './Why';

const TABS = {
    areas: 'Areas',
    passes: 'Passes',
    order: 'Order of work',
    paints: 'Paints',
    time: 'Time',
    models: 'Models',
} as const;

type Tab = keyof typeof TABS;

const isTab = (word: string | null): word is Tab => word !== null && word in TABS;

export function PlanOfUnit({ data }: { data: UnitPlan }) {
    const [search, setSearch] = useSearchParams();
    const asked = search.get('tab');
    const tab: Tab = isTab(asked) ? asked : 'areas';
    const go = (patch: Record<string, string | null>) => {
        const next = new URLSearchParams(search);
        for (const [k, v] of Object.entries(patch)) {
            if (v === null) next.delete(k);
            else next.set(k, v);
        }
        setSearch(next, { replace: true });
    };
    const [lit, setLit] = useState<string | null>(null);
    const [picked, setPicked] = useState<string | null>(null);
    const [names, setNames] = useState<'techniques' | 'paints'>('techniques');
    const [comparing, setComparing] = useState(false);
    const bend = useBend(data);
    const step = data.plan.steps.find((s) => s.key === picked) ?? null;
    useKey('close', () => setPicked(null));
    useKey('takeBack', () => bend.undo?.());
    useKey('takeOut', () => {
        if (!step?.area || !data.editable) return;
        const rest = usesOn(data, step.area).filter((u) => u.technique !== step.technique);
        if (rest.length > 0) bend.edit(step.area, rest);
    });
    return (
        <>
            <PlanTop data={data} bend={bend} go={go} compare={() => setComparing(true)} />
            <div className="tabs-row">
                <Tabs
                    className="tabs"
                    activeKey={tab}
                    onChange={(t) => go({ tab: t })}
                    items={Object.entries(TABS).map(([key, label]) => ({
                        key,
                        label:
                            key === 'models' && data.kinds.length > 1
                                ? `${label} ${data.kinds.length} kinds`
                                : label,
                    }))}
                />
                <Totals data={data} bend={bend} />
            </div>
            <div className="plan-page">
                <PlanFigure
                    data={data}
                    lit={lit}
                    setLit={setLit}
                    names={tab === 'areas' ? names : null}
                    setNames={setNames}
                />
                <section className="card over-hidden">
                    {tab === 'areas' && (
                        <Areas
                            data={data}
                            bend={bend}
                            lit={lit}
                            setLit={setLit}
                            picked={picked}
                            pick={setPicked}
                            names={names}
                        />
                    )}
                    {tab === 'passes' && <Passes data={data} setLit={setLit} />}
                    {tab === 'order' && (
                        <OrderOfWork data={data} bend={bend} setLit={setLit} pick={setPicked} />
                    )}
                    {tab === 'paints' && <Paints data={data} />}
                    {tab === 'time' && <Time data={data} />}
                    {tab === 'models' && <Models data={data} bend={bend} />}
                </section>
                <aside className="report">
                    {step && <Why data={data} bend={bend} step={step} close={() => setPicked(null)} />}
                    <Report data={data} bend={bend} pick={setPicked} />
                    <Arrange data={data} bend={bend} />
                </aside>
            </div>
            <Modal
                open={comparing}
                title="Two plans side by side"
                footer={null}
                width={860}
                onCancel={() => setComparing(false)}
                destroyOnHidden
            >
                <Compare data={data} />
            </Modal>
        </>
    );
}

/** The minutes of either aim, of a model and of the unit. */
function Totals({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const { unit, aim: planned, whole, plan } = data;
    const aims = useQuery({ ...aimsQuery(unit.id, unit.revision), enabled: !unit.released }).data;
    return (
        <Flex gap={12} align="center" wrap>
            <span className="chips aims" role="group" aria-label="What it is planned for">
                {(['quickest', 'best'] as const).map((aim) => (
                    <Chip
                        key={aim}
                        className="num"
                        on={planned === aim}
                        disabled={!data.editable || bend.busy}
                        title={
                            aim === 'quickest'
                                ? 'The least time that meets the tier'
                                : 'The most to be noticed within the tier’s minutes'
                        }
                        onClick={() => {
                            if (planned !== aim)
                                bend.make(
                                    (revision) => setAim(unit.id, aim, revision),
                                    (revision) => setAim(unit.id, planned, revision),
                                );
                        }}
                    >
                        {aim} {aims && minutes(aims[aim])}
                    </Chip>
                ))}
            </span>
            <span className="num totals">
                <b className="figure-of">{minutes(plan.totals.by_passes)}</b>{' '}
                <span className="soft">a model ·</span> <b>{minutes(whole.minutes + whole.setup)}</b>{' '}
                <span className="soft">
                    the unit ·{' '}
                    {whole.waiting >= 1 ? `${minutes(whole.waiting)} waiting for paint` : 'no waiting'}
                </span>
            </span>
        </Flex>
    );
}
