import type { PlanStep, UnitPlan } from '../../api/types';
import { ExtentMark, extentWords } from '../../ui/marks';
import { areaName, type Bend, colourWords, longName, shortName, usesOn, fewMinutes } from './bend';

const COLUMNS: [string, string[]][] = [
    ['Base', ['spray', 'base']],
    ['Shade', ['shade']],
    ['Light', ['highlight', 'blend']],
    ['Lines, detail', ['line', 'detail']],
    ['Marks, wear', ['mark', 'wear', 'protect', 'ground']],
];

/** The joint of a kept-apart part, tidied after joining. */
const isJoint = (s: PlanStep) => s.key.endsWith(':joint');

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
    const family = (key: string) => data.techniques.find((t) => t.key === key)?.family ?? '';
    const surplus = new Map(plan.surplus.map((s) => [s.step, s]));
    const drop = (area: string, technique: string) => {
        const on = usesOn(data, area);
        if (
            technique &&
            !on.some((u) => u.technique === technique) &&
            data.techniques.find((t) => t.key === technique)?.areas[area]
        )
            bend.edit(area, [...on, { technique, passes: 1, extent: 'full' }]);
    };
    const chip = (s: PlanStep, all: PlanStep[], whole = false) => {
        const more = surplus.get(s.no);
        const text =
            names === 'paints'
                ? (colourWords(s) ?? shortName(data, s.technique))
                : isJoint(s)
                  ? 'Joint'
                  : shortName(data, s.technique);
        return (
            <button
                key={s.key}
                className={`step ${more?.beyond ? 'beyond' : ''} ${more?.practice ? 'practice' : ''}`}
                style={whole ? { width: 'auto' } : undefined}
                aria-pressed={picked === s.key}
                data-area={s.area ?? ''}
                draggable={data.editable && s.area !== null}
                title={`${longName(data, s.technique)}, ${extentWords(s.extent)}${colourWords(s) ? `, ${colourWords(s) ?? ''}` : ''}`}
                onDragStart={(e) => e.dataTransfer.setData('text/technique', s.technique)}
                onClick={() => {
                    pick(s.key);
                    if (s.area) setLit(s.area);
                }}
            >
                <span className="ink" style={{ background: s.colour?.hex ?? 'var(--rule)' }} />
                <span className="t">{text}</span>
                {(s.extent !== 'full' || all.length > 1) && (
                    <ExtentMark extent={s.extent} passes={all.length} />
                )}
                <span className="m num">{fewMinutes(all.reduce((m, x) => m + x.minutes, 0))}</span>
            </button>
        );
    };
    const used = COLUMNS.map(([, families]) =>
        plan.steps.some((s) => s.area !== null && families.includes(family(s.technique))),
    );
    // A column with nothing in it takes no room from the others.
    const columns = `116px ${used.map((u) => (u ? 'minmax(0, 1fr)' : '52px')).join(' ')} 40px`;
    return (
        <div className="strips" style={{ gridTemplateColumns: columns }}>
            <div className="h name">Area</div>
            {COLUMNS.map(([t], i) => (
                <div key={t} className="h">
                    {used[i] ? t : t.split(',')[0]}
                </div>
            ))}
            <div className="h min">Min</div>
            <div className="name soft">Whole model</div>
            <div style={{ gridColumn: '2 / 7', display: 'flex', gap: 4, flexWrap: 'wrap' }}>
                {plan.steps.filter((s) => s.area === null).map((s) => chip(s, [s], true))}
            </div>
            <div className="min num">
                {fewMinutes(plan.steps.filter((s) => s.area === null).reduce((m, s) => m + s.minutes, 0))}
            </div>
            {data.figure.map((a) => {
                const planned = plan.areas.find((p) => p.area === a.key);
                const steps = plan.steps.filter((s) => s.area === a.key);
                const conflict = plan.conflicts.find((c) => c.area === a.key);
                const on = lit === a.key ? 'lit' : '';
                return (
                    <div
                        key={a.key}
                        className="strip-row"
                        onMouseEnter={() => setLit(a.key)}
                        onDragOver={data.editable ? (e) => e.preventDefault() : undefined}
                        onDrop={(e) => {
                            e.preventDefault();
                            drop(a.key, e.dataTransfer.getData('text/technique'));
                        }}
                    >
                        <div className={`name ${on}`}>
                            <button className="btn quiet plain-name" onClick={() => setLit(a.key)}>
                                <b>{a.no}</b> {a.name}
                                {data.unit.edits[a.key] && (
                                    <span title="changed by hand" aria-label="changed by hand">
                                        {' '}
                                        ✎
                                    </span>
                                )}
                            </button>
                        </div>
                        {conflict ? (
                            <div style={{ gridColumn: '2 / 7' }} className={on}>
                                <span className="says bad small" style={{ display: 'block' }}>
                                    Cannot be planned: {conflict.reason}
                                </span>
                            </div>
                        ) : (
                            COLUMNS.map(([t, families]) => (
                                <div key={t} className={on}>
                                    {steps
                                        .filter(
                                            (s) =>
                                                families.includes(family(s.technique)) &&
                                                (isJoint(s) ||
                                                    s.key ===
                                                        steps.find((x) => x.technique === s.technique)?.key),
                                        )
                                        .map((s) =>
                                            chip(
                                                s,
                                                isJoint(s)
                                                    ? [s]
                                                    : steps.filter(
                                                          (x) => x.technique === s.technique && !isJoint(x),
                                                      ),
                                            ),
                                        )}
                                </div>
                            ))
                        )}
                        <div className={`min num ${on}`}>
                            {planned?.minutes == null ? '–' : fewMinutes(planned.minutes)}
                        </div>
                    </div>
                );
            })}
            {data.piece !== null &&
                data.areas
                    .filter((a) => !data.figure.some((f) => f.key === a.key))
                    .map((a) => (
                        <div key={a.key} className="strip-row soft">
                            <div className="name">{areaName(data, a.key)}</div>
                            <div style={{ gridColumn: '2 / 8' }} className="small">
                                this model does not have it
                            </div>
                        </div>
                    ))}
        </div>
    );
}
