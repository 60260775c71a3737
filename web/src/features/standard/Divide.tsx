import { Flex, Slider } from 'antd';
import { useState } from 'react';
import type { ComparedRung, Comparison } from '../../api/types';
import { Drawn } from '../../ui/Drawn';
import { Pick } from '../../ui/Pick';
import css from './Divide.module.css';

type View = 'front' | 'back';

/** Two tiers on one figure, behind a divide that can be dragged, and the same details of both, large. */
export function Divide({ sheet }: { sheet: Comparison }) {
    const drawn = sheet.rungs.filter((r) => r.drawn.front !== undefined);
    const [left, setLeft] = useState(drawn[0]?.key ?? '');
    const [right, setRight] = useState(drawn[drawn.length - 1]?.key ?? '');
    const [at, setAt] = useState(50);
    const [view, setView] = useState<View>('front');
    const one = drawn.find((r) => r.key === left);
    const other = drawn.find((r) => r.key === right);
    if (!one || !other) return null;
    const tiers = drawn.map((r) => ({ value: r.key, label: r.name }));
    const hasBack = one.drawn.back !== undefined && other.drawn.back !== undefined;
    return (
        <section className={css.divide} aria-label="Two tiers side by side">
            <Flex gap={10} align="center" wrap className="mb-8 no-print">
                <Pick aria-label="Tier on the left" value={left} onChange={setLeft} options={tiers} />
                <span className="soft">beside</span>
                <Pick aria-label="Tier on the right" value={right} onChange={setRight} options={tiers} />
                {hasBack && (
                    <Pick
                        aria-label="Seen from"
                        value={view}
                        onChange={setView}
                        options={[
                            { value: 'front', label: 'from the front' },
                            { value: 'back', label: 'from the back' },
                        ]}
                    />
                )}
            </Flex>
            <div className={css.both}>
                <div>
                    <div
                        className={css.stage}
                        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
                        onPointerMove={(e) => {
                            if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
                            const box = e.currentTarget.getBoundingClientRect();
                            const share = (100 * (e.clientX - box.left)) / box.width;
                            setAt(Math.min(100, Math.max(0, share)));
                        }}
                    >
                        <Picture rung={other} view={view} />
                        <div className={css.upper} style={{ clipPath: `inset(0 ${100 - at}% 0 0)` }}>
                            <Picture rung={one} view={view} />
                        </div>
                        <div className={css.line} style={{ left: `${at}%` }} aria-hidden="true" />
                        <span className={css.left}>{one.name}</span>
                        <span className={css.right}>{other.name}</span>
                    </div>
                    <Slider
                        className="no-print"
                        value={at}
                        onChange={setAt}
                        tooltip={{ formatter: null }}
                        ariaLabelForHandle="Where the divide stands"
                    />
                </div>
                <Details sheet={sheet} view={view} rungs={[one, other]} />
            </div>
        </section>
    );
}

function Picture({ rung, view }: { rung: ComparedRung; view: View }) {
    const address = rung.drawn[view] ?? rung.drawn.front;
    if (address === undefined) return null;
    return (
        <Drawn
            still
            address={address}
            alt={`${rung.name}, ${view}`}
            instead={<div className={css.blank} />}
        />
    );
}

/** What is worth a closer look: the face, something hard-edged, the ground. */
function Details({ sheet, view, rungs }: { sheet: Comparison; view: View; rungs: ComparedRung[] }) {
    const outlined = sheet.figure.filter((a) => (a.outline[view]?.length ?? 0) > 0);
    const largest = (fits: (a: (typeof outlined)[number]) => boolean) =>
        outlined.filter(fits).sort((a, b) => b.focus - a.focus || b.no - a.no)[0];
    const found = [
        { name: 'The face', area: largest((a) => a.material === 'skin' && a.focus === 3) },
        {
            name: 'Hard edges',
            area: largest((a) => a.relief.includes('hard_edges') && a.material !== 'skin' && a.layer > 1),
        },
        { name: 'The base', area: outlined.find((a) => a.material === 'ground') },
    ];
    return (
        <div className={css.details}>
            {found.map(({ name, area }) =>
                area === undefined ? null : (
                    <figure key={name} className={css.detail}>
                        <div className={css.pair}>
                            {rungs.map((r) => (
                                <div key={r.key} className={css.crop}>
                                    <div
                                        style={cropOf((area.outline[view] ?? []).slice(0, 1), sheet.frame_mm)}
                                    >
                                        <Picture rung={r} view={view} />
                                    </div>
                                </div>
                            ))}
                        </div>
                        <figcaption className="small soft">
                            {name}: {rungs.map((r) => r.name).join(' and ')}
                        </figcaption>
                    </figure>
                ),
            )}
        </div>
    );
}

/** Width by height of a crop. */
const CROP = 16 / 10;

/** A picture enlarged so that the rings of an area fill a crop, and never past the picture's edge. */
function cropOf(rings: number[][][], frame: number[]) {
    const xs = rings.flatMap((ring) => ring.map((p) => p[0] ?? 0));
    const ys = rings.flatMap((ring) => ring.map((p) => p[1] ?? 0));
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const zoom = Math.min(4.5, Math.max(1.2, 0.8 / Math.max(x1 - x0, 1e-3)));
    const [w = 3, h = 4] = frame;
    const tall = (zoom * h * CROP) / w;
    const within = (middle: number, size: number) =>
        Math.min(1 - 0.5 / size, Math.max(0.5 / size, middle)) * 100;
    return {
        width: `${zoom * 100}%`,
        transform: `translate(${-within((x0 + x1) / 2, zoom)}%, ${-within((y0 + y1) / 2, tall)}%)`,
        position: 'absolute' as const,
        left: '50%',
        top: '50%',
    };
}
