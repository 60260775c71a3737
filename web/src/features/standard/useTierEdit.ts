import { useState } from 'react';
import type { Change, Ladder, TierFrame } from '../../api/types';

/** The head of a rung as it is filled in, and the changes that it comes to. */
export function useTierEdit(frame: TierFrame | null, ladder: Ladder) {
    const others = ladder.tiers.filter((t) => t.key !== frame?.key).sort((a, b) => a.order - b.order);
    const above = Math.max(0, ...ladder.tiers.map((t) => t.order)) + 1;
    const [under, setUnder] = useState(() =>
        frame ? others.filter((t) => t.order < frame.order).length : others.length,
    );
    const [form, setForm] = useState<TierFrame>(
        frame ?? {
            key: '',
            name: '',
            order: above,
            status: 'offered',
            intent: '',
            pace: 'even',
            aim: 'quickest',
            viewing: { distance_cm: 45, angle_arcmin: 2 },
        },
    );
    const set = (patch: { [K in keyof TierFrame]?: TierFrame[K] | undefined }) =>
        setForm(
            Object.fromEntries(
                Object.entries<unknown>({ ...form, ...patch }).filter(([, v]) => v !== undefined),
            ) as TierFrame,
        );
    const key = form.name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '_')
        .replace(/^_+|_+$/g, '');
    // The rung stands where it was put: those above it make room.
    const was = frame ? others.filter((t) => t.order < frame.order).length : null;
    const place =
        under === was && frame ? frame.order : under === 0 ? 1 : (others[under - 1]?.order ?? 0) + 1;
    const room = (): Change[] => {
        const moved: Change[] = [];
        let next = place;
        for (const t of under === was ? [] : others.slice(under)) {
            if (t.order > next) break;
            next++;
            moved.push({
                what: 'tier',
                tier: null,
                before: { ...t.head },
                after: { ...t.head, order: next },
            });
        }
        return moved;
    };
    const after: TierFrame = { ...form, order: place, ...(frame ? {} : { key }) };
    const changes = (): Change[] => [
        ...room(),
        { what: 'tier', tier: null, before: frame && { ...frame }, after: { ...after } },
    ];
    return { others, under, setUnder, form, set, after, changes };
}
