import { Button, Drawer, Flex, Form, Input, InputNumber } from 'antd';
import type { Change, Ladder, TierFrame } from '../../api/types';
import { Pick } from '../../ui/Pick';
import { Field } from '../../ui/Field';
import { LeftStanding } from './LeftStanding';
import { useTierEdit } from './useTierEdit';

interface TierEdit {
    frame: TierFrame | null;
    ladder: Ladder;
    readOnly: boolean;
    busy: boolean;
    make: (changes: Change[]) => Promise<void>;
    close: () => void;
}

/** The head of a rung, beside the ladder that it belongs to. */
export function TierDrawer(edit: TierEdit) {
    return (
        <Drawer
            open
            title={edit.frame ? `The rung ${edit.frame.name}` : 'A new rung'}
            onClose={edit.close}
            size={400}
        >
            <TierForm {...edit} />
        </Drawer>
    );
}

/** What a rung is for, how it is looked at, whose clauses it takes. */
function TierForm({ frame, ladder, readOnly, busy, make, close }: TierEdit) {
    const { others, under, setUnder, form, set, after, changes } = useTierEdit(frame, ladder);
    const select = (label: string, value: string, options: [string, string][], pick: (v: string) => void) => (
        <Field label={label}>
            <Pick
                disabled={readOnly}
                value={value}
                onChange={(value) => pick(value)}
                options={options.map(([v, w]) => ({ value: v, label: w }))}
            />
        </Field>
    );
    const number = (label: string, value: number, pick: (n: number) => void) => (
        <Field label={label}>
            <InputNumber disabled={readOnly} value={value} onChange={(value) => pick(value ?? 0)} />
        </Field>
    );
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                void make(changes());
            }}
        >
            <Field label="Name">
                <Input
                    disabled={readOnly}
                    value={form.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </Field>
            <Field label="What it is for">
                <Input.TextArea
                    rows={2}
                    disabled={readOnly}
                    value={form.intent}
                    onChange={(e) => set({ intent: e.target.value })}
                />
            </Field>
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
            {frame && frame.status !== 'retired' && form.status === 'retired' && (
                <LeftStanding tier={frame.key} />
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
            <div className="two">
                {number('Seen from, cm', form.viewing.distance_cm, (n) =>
                    set({ viewing: { ...form.viewing, distance_cm: n } }),
                )}
                {number('Eye, arcmin', form.viewing.angle_arcmin, (n) =>
                    set({ viewing: { ...form.viewing, angle_arcmin: n } }),
                )}
            </div>
            <Flex gap={8}>
                {!readOnly && (
                    <Button type="primary" htmlType="submit" disabled={busy || after.key === ''}>
                        {frame ? 'Keep' : 'Add the rung'}
                    </Button>
                )}
                <Button onClick={close}>{readOnly ? 'Close' : 'Leave as it was'}</Button>
            </Flex>
        </Form>
    );
}
