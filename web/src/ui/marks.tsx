import type { Extent, Stage, TierHead } from '../api/types';

/** An upright rule with one notch per rung; an open tier ends in a ring, a retired one is struck through. */
export function TierMark({
    order,
    status,
    of = 5,
}: {
    order: number;
    status: TierHead['status'];
    of?: number;
}) {
    const notches = Array.from({ length: of }, (_, i) => i + 1);
    return (
        <svg
            className="tier-mark"
            width="18"
            height="26"
            viewBox="0 0 18 26"
            role="img"
            aria-label={`rung ${order}${status === 'offered' ? '' : `, ${status}`}`}
        >
            <path d="M3 2v22" stroke="var(--ink)" strokeWidth="2" strokeLinecap="round" />
            {notches.map((n) => (
                <path
                    key={n}
                    d={`M4 ${24 - n * 4.2}h${3 + n * 1.9}`}
                    stroke={n <= order ? 'var(--accent)' : 'var(--rule)'}
                    strokeWidth="2.6"
                    strokeLinecap="round"
                />
            ))}
            {status === 'open' && (
                <circle cx="13" cy="4" r="2.6" fill="none" stroke="var(--accent)" strokeWidth="1.6" />
            )}
            {status === 'retired' && <path d="M1 23 17 3" stroke="var(--fault)" strokeWidth="1.6" />}
        </svg>
    );
}

const EXTENT_WORDS: Record<Extent, string> = {
    spot: 'in a spot',
    prominent: 'where it stands out',
    full: 'everywhere',
};
export const extentWords = (extent: Extent): string => EXTENT_WORDS[extent];

/** Spot: a dot in a corner; prominent: the top edge inked; full: the whole frame. A figure beside it is the passes. */
export function ExtentMark({
    extent,
    passes,
    status = 'required',
}: {
    extent: Extent;
    passes?: number | null;
    status?: string;
}) {
    const pale = 'var(--rule)';
    const ink = 'var(--ink)';
    return (
        <span className="extent-mark">
            <svg
                width="14"
                height="14"
                viewBox="0 0 14 14"
                role="img"
                aria-label={`${EXTENT_WORDS[extent]}${(passes ?? 1) > 1 ? `, ${passes} passes` : ''}`}
            >
                <rect
                    x="1.5"
                    y="1.5"
                    width="11"
                    height="11"
                    rx="2"
                    fill={status === 'required' ? 'color-mix(in srgb, var(--ink) 8%, transparent)' : 'none'}
                    stroke={extent === 'full' ? ink : pale}
                    strokeWidth={extent === 'full' ? 2 : 1.2}
                    strokeDasharray={status === 'allowed' ? '2 1.4' : undefined}
                />
                {extent === 'prominent' && (
                    <path d="M2 2.5h10" stroke={ink} strokeWidth="2.4" strokeLinecap="round" />
                )}
                {extent === 'spot' && <circle cx="10" cy="4" r="2" fill={ink} />}
            </svg>
            {(passes ?? 1) > 1 && <b className="small num">×{passes}</b>}
        </span>
    );
}

const STAGES: Record<Stage, string> = {
    planned: 'planned',
    on_bench: 'on the bench',
    offered: 'offered to the check',
    rework: 'sent back',
    passed: 'passed',
    signed: 'signed off',
    delivered: 'delivered',
    on_hold: 'on hold',
    lost: 'lost',
    cancelled: 'cancelled',
};
export const stageWords = (stage: Stage): string => STAGES[stage];

/** One small cell for each model, by stage; those that may be picked are buttons. */
export function StageStrip<P extends { id: number; number: number; stage: Stage }>({
    pieces,
    pick,
    may = () => true,
}: {
    pieces: P[];
    pick?: (id: number) => void;
    may?: (piece: P) => boolean;
}) {
    return (
        <div className="cells" role="list" aria-label="models by stage">
            {pieces.map((p) => {
                const name = `model ${p.number}: ${STAGES[p.stage]}`;
                return (
                    <span key={p.id} role="listitem">
                        {pick && may(p) ? (
                            <button
                                type="button"
                                className={`cell ${p.stage}`}
                                title={name}
                                aria-label={name}
                                onClick={() => pick(p.id)}
                            >
                                {p.number}
                            </button>
                        ) : (
                            <span className={`cell ${p.stage}`} title={name} role="img" aria-label={name}>
                                {p.number}
                            </span>
                        )}
                    </span>
                );
            })}
        </div>
    );
}

export function Swatch({ hex, name }: { hex: string | null; name?: string | null }) {
    return (
        <span
            className="swatch"
            style={{
                background: hex ?? 'repeating-linear-gradient(45deg, var(--rule) 0 3px, transparent 3px 6px)',
            }}
            role="img"
            aria-label={name ?? hex ?? 'no colour known'}
        />
    );
}

/** Tenths of minutes below three, then whole ones; hours from two hours on. */
export function minutes(m: number): string {
    const whole = Math.round(m);
    if (m > 0 && m < 2.95) return `${Math.max(0.1, m).toFixed(1)} min`;
    return whole < 120
        ? `${whole} min`
        : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
}
