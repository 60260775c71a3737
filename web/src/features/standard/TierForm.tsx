import { useState } from 'react';
import type { Change, Ladder, TierFrame } from '../../api/types';

/** The head of a rung: what it is for, how it is looked at, whose clauses it takes. */
export function TierForm({
    frame,
    ladder,
    readOnly,
    busy,
    make,
    close,
}: {
    frame: TierFrame | null;
    ladder: Ladder;
    readOnly: boolean;
    busy: boolean;
    make: (changes: Change[]) => Promise<void>;
    close: () => void;
}) {
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
                Object.entries({ ...form, ...patch }).filter(([, v]) => v !== undefined),
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
    const after = { ...form, order: place, ...(frame ? {} : { key }) };
    const open =
        frame && frame.status !== 'retired' && form.status === 'retired'
            ? ladder.open_units.find((u) => u.tier === frame.key)
            : undefined;
    const select = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <label className="field">
            <span>{label}</span>
            <select
                className="input"
                disabled={readOnly}
                value={value}
                onChange={(e) => pick(e.target.value)}
            >
                {options.map(([v, w]) => (
                    <option key={v} value={v}>
                        {w}
                    </option>
                ))}
            </select>
        </label>
    );
    const number = (label: string, value: number, pick: (n: number) => void) => (
        <label className="field">
            <span>{label}</span>
            <input
                className="input"
                type="number"
                disabled={readOnly}
                value={value}
                onChange={(e) => pick(Number(e.target.value))}
            />
        </label>
    );
    return (
        <form
            className="card pad"
            style={{ display: 'grid', gap: 8 }}
            onSubmit={(e) => {
                e.preventDefault();
                void make([
                    ...room(),
                    { what: 'tier', tier: null, before: frame && { ...frame }, after: { ...after } },
                ]);
            }}
        >
            <div className="eyebrow">{frame ? `The rung ${frame.name}` : 'A new rung'}</div>
            <label className="field">
                <span>Name</span>
                <input
                    className="input"
                    required
                    disabled={readOnly}
                    value={form.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </label>
            <label className="field">
                <span>What it is for</span>
                <textarea
                    className="input"
                    rows={2}
                    disabled={readOnly}
                    value={form.intent}
                    onChange={(e) => set({ intent: e.target.value })}
                />
            </label>
            {select(
                'Place',
                String(under),
                [
                    ['0', 'the lowest'],
                    ...others.map((t, i): [string, string] => [String(i + 1), `above ${t.name}`]),
                ],
                (v) => setUnder(Number(v)),
            )}
            {select(
                'Stands as',
                form.status,
                [
                    ['offered', 'offered'],
                    ['retired', 'retired: stays readable'],
                    ['open', 'open: always quoted'],
                ],
                (v) => set({ status: v as TierFrame['status'] }),
            )}
            {open && (
                <p className="says warn small" style={{ margin: 0 }} role="status">
                    {open.units} open {open.units === 1 ? 'unit is' : 'units are'} at this tier, in{' '}
                    {open.orders.join(', ')}. They keep their version and are finished at it; no new unit can
                    be given it.
                </p>
            )}
            {select(
                'Takes the clauses of',
                form.extends ?? '',
                [
                    ['', 'no other rung'],
                    ...ladder.tiers
                        .filter((t) => t.key !== frame?.key)
                        .map((t): [string, string] => [t.key, t.name]),
                ],
                (v) => set(v === '' ? { extends: undefined, drop: undefined } : { extends: v }),
            )}
            {select(
                'Pace',
                form.pace,
                [
                    ['fast', 'fast'],
                    ['even', 'even'],
                    ['finest', 'finest'],
                ],
                (v) => set({ pace: v as TierFrame['pace'] }),
            )}
            {select(
                'Aim of the plan',
                form.aim,
                [
                    ['quickest', 'the least time that meets it'],
                    ['best', 'the most notice within its minutes'],
                ],
                (v) => set({ aim: v as TierFrame['aim'] }),
            )}
            {select(
                'What no clause names is',
                form.default_status ?? '',
                [
                    ['', 'not offered'],
                    ['on_request', 'on request'],
                    ['allowed', 'allowed'],
                ],
                (v) => set({ default_status: v === '' ? undefined : v }),
            )}
            <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 6 }}>
                {number('Seen from, cm', form.viewing.distance_cm, (n) =>
                    set({ viewing: { ...form.viewing, distance_cm: n } }),
                )}
                {number('Eye, arcmin', form.viewing.angle_arcmin, (n) =>
                    set({ viewing: { ...form.viewing, angle_arcmin: n } }),
                )}
            </div>
            <div style={{ display: 'flex', gap: 8 }}>
                {!readOnly && (
                    <button className="btn main" disabled={busy || after.key === ''}>
                        {frame ? 'Keep' : 'Add the rung'}
                    </button>
                )}
                <button type="button" className="btn" onClick={close}>
                    {readOnly ? 'Close' : 'Leave as it was'}
                </button>
            </div>
        </form>
    );
}
