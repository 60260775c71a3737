import type { KeyboardEvent, MouseEvent } from 'react';
import css from './Orders.module.css';

export interface Pin {
    x: number;
    y: number;
}

const STEPS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};

/** So far a pin goes with one press of an arrow. */
const STEP = 0.02;

const inside = (n: number) => Math.min(1, Math.max(0, n));

/** A picture with a pin where something is meant; pressed, or moved by the arrows, where it may be set. */
export function Pinned({ sha, pin, set }: { sha: string; pin: Pin | null; set?: (pin: Pin) => void }) {
    const picture = (
        <>
            <img src={`/api/v1/pictures/${sha}`} alt="What is asked about" />
            {pin && <span className={css.pin} style={{ left: `${100 * pin.x}%`, top: `${100 * pin.y}%` }} />}
        </>
    );
    if (!set) return <span className={css.pinned}>{picture}</span>;
    const press = (e: MouseEvent<HTMLButtonElement>) => {
        // By the keyboard there is no place: the arrows move it.
        if (e.detail === 0) return;
        const box = e.currentTarget.getBoundingClientRect();
        set({ x: inside((e.clientX - box.left) / box.width), y: inside((e.clientY - box.top) / box.height) });
    };
    const key = (e: KeyboardEvent) => {
        const step = STEPS[e.key];
        if (!step) return;
        e.preventDefault();
        const from = pin ?? { x: 0.5, y: 0.5 };
        set({ x: inside(from.x + step[0] * STEP), y: inside(from.y + step[1] * STEP) });
    };
    return (
        <button
            type="button"
            className={css.pinned}
            aria-label="Place of the pin: press it, or use the arrows"
            onClick={press}
            onKeyDown={key}
        >
            {picture}
        </button>
    );
}
