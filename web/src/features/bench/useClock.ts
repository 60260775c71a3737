import { useEffect, useState } from 'react';

/** A clock that ran longer than this asks before its minutes are kept. */
const LONG_MIN = 180;

type Kept = { since: number | null; before: number };

const at = (unit: number) => `ordotype.clock.${unit}`;

function read(unit: number): Kept {
    const kept: unknown = JSON.parse(localStorage.getItem(at(unit)) ?? 'null');
    return typeof kept === 'object' && kept !== null && 'before' in kept
        ? (kept as Kept)
        : { since: null, before: 0 };
}

/**
 * The clock of one painter at one batch, on this device: it survives a reload, can be paused, and its minutes go to
 * what is marked next.
 */
export function useClock(unit: number) {
    const [kept, setKept] = useState(() => read(unit));
    const [now, setNow] = useState(() => Date.now());
    useEffect(() => {
        localStorage.setItem(at(unit), JSON.stringify(kept));
        if (kept.since === null) return;
        const tick = setInterval(() => setNow(Date.now()), 1000);
        return () => clearInterval(tick);
    }, [unit, kept]);
    const ran = kept.before + (kept.since === null ? 0 : Math.max(0, now - kept.since));
    return {
        running: kept.since !== null,
        seconds: Math.floor(ran / 1000),
        isLong: ran > LONG_MIN * 60_000,
        toggle: () => {
            setNow(Date.now());
            setKept(
                kept.since === null
                    ? { since: Date.now(), before: kept.before }
                    : { since: null, before: kept.before + Date.now() - kept.since },
            );
        },
        /** What it shows, in minutes, once: from then on it counts for what comes next. */
        take: (): number | undefined => {
            const minutes = (kept.before + (kept.since === null ? 0 : Date.now() - kept.since)) / 60_000;
            setNow(Date.now());
            setKept({ since: kept.since === null ? null : Date.now(), before: 0 });
            return minutes > 0.02 ? Math.round(minutes * 100) / 100 : undefined;
        },
        drop: () => setKept({ since: kept.since === null ? null : Date.now(), before: 0 }),
    };
}
export type Clock = ReturnType<typeof useClock>;
