import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { fresh, Problem, saysWhy } from '../../api/client';
import type { Batch, BatchPiece } from '../../api/types';
import { mark, unmark } from '../../api/work';

/** One tap at the bench, as it waits in this browser until the server has it. */
export interface Tap {
    key: string;
    /** When it was tapped: paint dries from then. */
    at: string;
    done: boolean;
    pieces: number[];
    steps: string[];
    minutes?: number;
    words: string;
}

interface Taps {
    waiting: Tap[];
    /** What the server would not have, with its reason. */
    refused: (Tap & { why: string })[];
    /** Since when the server is out of reach; null: it is not known to be. */
    since: string | null;
}

const NONE: Taps = { waiting: [], refused: [], since: null };

/** So long, in ms, until what could not be sent is tried again. */
const AGAIN_MS = 5_000;

const place = (person: number) => `ordotype.taps.${person}`;

/** The taps of one person on this device, each sent once and in order; nobody else who signs in here sends them. */
class Queue {
    private taps: Taps;
    private heard = new Set<() => void>();
    private sending = false;

    constructor(private readonly person: number) {
        const kept = localStorage.getItem(place(person));
        this.taps = kept === null ? NONE : { ...NONE, ...(JSON.parse(kept) as Partial<Taps>) };
    }

    readonly now = (): Taps => this.taps;

    readonly hear = (told: () => void): (() => void) => {
        this.heard.add(told);
        return () => this.heard.delete(told);
    };

    private set(patch: Partial<Taps>): void {
        this.taps = { ...this.taps, ...patch };
        localStorage.setItem(place(this.person), JSON.stringify(this.taps));
        this.heard.forEach((told) => told());
    }

    add(tap: Omit<Tap, 'key' | 'at'>): void {
        const at = `${new Date().toISOString().slice(0, 19)}Z`;
        this.set({ waiting: [...this.taps.waiting, { ...tap, key: fresh(), at }] });
    }

    forget(key: string): void {
        this.set({ refused: this.taps.refused.filter((t) => t.key !== key) });
    }

    /** Sends what waits, the oldest first; what follows one that did not arrive waits with it. */
    async send(arrived: () => Promise<void>): Promise<void> {
        if (this.sending) return;
        this.sending = true;
        try {
            let sent = false;
            for (let tap = this.taps.waiting[0]; tap; tap = this.taps.waiting[0]) {
                if (!(await this.one(tap))) break;
                sent = true;
                // What is shown follows before the tap goes, so that nothing flickers.
                if (this.taps.waiting.length === 1) await arrived();
                const { key } = tap;
                this.set({ since: null, waiting: this.taps.waiting.filter((t) => t.key !== key) });
            }
            if (sent && this.taps.waiting.length > 0) await arrived();
        } finally {
            this.sending = false;
        }
    }

    /** Whether the server has answered it, one way or the other. */
    private async one(tap: Tap): Promise<boolean> {
        try {
            const { at, pieces, steps, minutes } = tap;
            if (tap.done)
                await mark({ at, pieces, steps, ...(minutes === undefined ? {} : { minutes }) }, tap.key);
            else await unmark(pieces, steps, tap.key);
            return true;
        } catch (error) {
            // Out of reach, signed out, or broken there: it is kept, and tried again.
            const isKept = !(error instanceof Problem) || error.status === 401 || error.status === 419;
            if (isKept || error.status === 0 || error.status >= 500) {
                this.set({ since: this.taps.since ?? new Date().toISOString() });
                return false;
            }
            this.set({ refused: [...this.taps.refused, { ...tap, why: saysWhy(error) }] });
            return true;
        }
    }
}

const queues = new Map<number, Queue>();

function queueOf(person: number): Queue {
    const queue = queues.get(person) ?? new Queue(person);
    queues.set(person, queue);
    return queue;
}

/** What a person taps at the bench: shown at once, kept in the browser until the server has it. */
export function useTaps(person: number) {
    const queue = queueOf(person);
    const taps = useSyncExternalStore(queue.hear, queue.now);
    const queries = useQueryClient();
    const open = taps.waiting.length;
    useEffect(() => {
        const send = () =>
            queue.send(async () => {
                void queries.invalidateQueries({ queryKey: ['batches'] });
                await queries.invalidateQueries({ queryKey: ['batch'] });
            });
        if (open > 0) void send();
        const again = setInterval(() => open > 0 && void send(), AGAIN_MS);
        const back = () => void send();
        window.addEventListener('online', back);
        return () => {
            clearInterval(again);
            window.removeEventListener('online', back);
        };
    }, [queue, queries, open]);
    return {
        ...taps,
        add: (tap: Omit<Tap, 'key' | 'at'>) => queue.add(tap),
        forget: (key: string) => queue.forget(key),
    };
}

/** A batch as it is with what was tapped and has not arrived yet. */
export function withTaps(batch: Batch, waiting: Tap[]): Batch {
    if (waiting.length === 0) return batch;
    const tapped = (p: BatchPiece): BatchPiece =>
        waiting
            .filter((t) => t.pieces.includes(p.id))
            .reduce(
                (piece, t) => ({
                    ...piece,
                    done: t.done
                        ? [...new Set([...piece.done, ...t.steps])]
                        : piece.done.filter((s) => !t.steps.includes(s)),
                }),
                p,
            );
    return { ...batch, pieces: batch.pieces.map(tapped) };
}
