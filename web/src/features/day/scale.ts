import { createContext, useContext } from 'react';

/** From when to when a day is drawn, in milliseconds. */
export interface Scale {
    from: number;
    to: number;
}

export const HOUR = 3_600_000;

export const ScaleOfDay = createContext<Scale>({ from: 0, to: 1 });

/** Where on the board a moment lies, in per cent. */
export function usePlace(): (at: string | number) => number {
    const { from, to } = useContext(ScaleOfDay);
    return (at) => {
        const moment = typeof at === 'number' ? at : new Date(at).getTime();
        return (100 * (Math.min(to, Math.max(from, moment)) - from)) / (to - from);
    };
}

/** Dark paint takes light words. */
export function isDark(hex: string | null): boolean {
    if (hex === null) return false;
    const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
    return 0.299 * r + 0.587 * g + 0.114 * b < 140;
}
