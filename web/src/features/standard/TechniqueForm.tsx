import { Button, Flex, Form, Input, InputNumber } from 'antd';
import type { Technique } from '../../api/types';
import { Field } from '../../ui/Field';
import { More } from '../../ui/More';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Words } from './Where';
import { effectWords, plain, valuesOf, word } from './words';

const FIGURES: [keyof Technique, string, string][] = [
    ['handling', 'Taking it up, for each pass', 'min'],
    ['hand', 'By hand on 10 cm²', 'min'],
    ['per_piece', 'For each counted thing', 'min'],
    ['setup', 'Setting up, once a batch', 'min'],
    ['dry', 'Drying before anything goes over', 'min'],
    ['coat_dry', 'Drying between coats', 'min'],
    ['coats', 'Coats in a pass', ''],
    ['max_passes', 'Passes at most', ''],
    ['credit', 'Counts as colour steps', ''],
    ['grade', 'How clean, 1 rough to 5 show', ''],
    ['skill', 'Skill, 1 to 5', ''],
    ['mess', 'Strays onto neighbours, 0 to 3', ''],
];

const NOTES = {
    purpose: 'What it is for',
    how: 'How it is done',
    consistency: 'Paint',
    tools: 'Tools',
    good: 'What good looks like',
} as const;

/** A technique that is on no tier yet. */
export const NEW: Technique = {
    key: '',
    name: '',
    family: 'highlight',
    effects: { highlight_raised: 'full' },
    credit: 1,
    whole: false,
    suits: { hard_edges: 2, soft_folds: 2 },
    grade: 3,
    coats: 1,
    max_passes: 1,
    handling: 0.2,
    hand: 1,
    per_piece: 0,
    setup: 1,
    dry: 5,
    coat_dry: 0,
    skill: 2,
    mess: 0,
    big: false,
    tidied: false,
    only_on: [],
    never_on: [],
    excludes: [],
    needs: [],
    notes: { purpose: '', how: '', consistency: '', tools: '', good: '', faults: [], caution: null },
};

/** The figures and notes of a technique of the catalogue. */
export function TechniqueForm({
    edit,
    busy,
    clash,
    set,
    put,
    close,
}: {
    edit: { before: Technique | null; now: Technique };
    busy: boolean;
    clash: boolean;
    set: (t: Technique) => void;
    put: (t: Technique) => void;
    close: () => void;
}) {
    const t = edit.now;
    const key =
        edit.before?.key ??
        t.name
            .toLowerCase()
            .replace(/[^a-z0-9]+/g, '_')
            .replace(/^_+|_+$/g, '');
    const pick = (words: string[], all: Record<string, unknown>, start: string | number) =>
        Object.fromEntries(words.map((w) => [w, all[w] ?? start]));
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() => {
                put({ ...t, key });
            }}
        >
            {clash && (
                <Says kind="warn">
                    Somebody else changed this technique first. Close this and look at theirs.
                </Says>
            )}
            <Field label="Name">
                <Input value={t.name} onChange={(e) => set({ ...t, name: e.target.value })} />
            </Field>
            <Field label="Family">
                <Pick
                    value={t.family}
                    onChange={(value) => set({ ...t, family: value })}
                    options={valuesOf('family').map((f) => ({ value: f, label: word('family', f) }))}
                />
            </Field>
            <div className="two">
                {FIGURES.map(([k, label, unit]) => (
                    <Field key={k} label={unit ? `${label}, ${unit}` : label}>
                        <InputNumber
                            step={unit ? 0.05 : 1}
                            min={0}
                            value={typeof t[k] === 'number' ? t[k] : null}
                            onChange={(value) =>
                                set({
                                    ...t,
                                    [k]: value === null && k === 'grade' ? null : (value ?? 0),
                                })
                            }
                        />
                    </Field>
                ))}
            </div>
            <More label={<>What it gives: {Object.keys(t.effects).map(effectWords).join(', ')}</>}>
                <Words
                    label="Effects"
                    all={valuesOf('effect')}
                    chosen={Object.keys(t.effects)}
                    name={effectWords}
                    onChange={(w) =>
                        set({ ...t, effects: pick(w, t.effects, 'full') as Technique['effects'] })
                    }
                />
                {Object.entries(t.effects).map(([e, x]) => (
                    <Field key={e} label={`${effectWords(e)}, at most`}>
                        <Pick
                            value={x}
                            onChange={(value) => set({ ...t, effects: { ...t.effects, [e]: value } })}
                            options={(['spot', 'prominent', 'full'] as const).map((w) => ({
                                value: w,
                                label: w,
                            }))}
                        />
                    </Field>
                ))}
            </More>
            {!t.whole && (
                <More label={<>Where it works</>}>
                    <Words
                        label="Suits"
                        all={valuesOf('relief')}
                        chosen={Object.keys(t.suits)}
                        onChange={(w) => set({ ...t, suits: pick(w, t.suits, 2) as Technique['suits'] })}
                    />
                    {Object.entries(t.suits).map(([r, n]) => (
                        <Field key={r} label={plain(r)}>
                            <Pick
                                value={n}
                                onChange={(value) => set({ ...t, suits: { ...t.suits, [r]: value } })}
                                options={[
                                    { value: 3, label: 'made for it' },
                                    { value: 2, label: 'fine' },
                                    { value: 1, label: 'possible' },
                                ]}
                            />
                        </Field>
                    ))}
                    <Words
                        label="Only on"
                        all={valuesOf('material')}
                        chosen={t.only_on}
                        onChange={(w) => set({ ...t, only_on: w })}
                    />
                    <Words
                        label="Never on"
                        all={valuesOf('material')}
                        chosen={t.never_on}
                        onChange={(w) => set({ ...t, never_on: w })}
                    />
                </More>
            )}
            <More label={<>Notes for the painter</>}>
                {(Object.keys(NOTES) as (keyof typeof NOTES)[]).map((n) => (
                    <Field key={n} label={NOTES[n]}>
                        <Input.TextArea
                            rows={2}
                            value={t.notes[n]}
                            onChange={(e) => set({ ...t, notes: { ...t.notes, [n]: e.target.value } })}
                        />
                    </Field>
                ))}
                <Field label="Caution">
                    <Input.TextArea
                        rows={2}
                        value={t.notes.caution ?? ''}
                        onChange={(e) =>
                            set({
                                ...t,
                                notes: { ...t.notes, caution: e.target.value === '' ? null : e.target.value },
                            })
                        }
                    />
                </Field>
            </More>
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={busy || key === ''}>
                    {edit.before ? 'Keep' : 'Add it'}
                </Button>
                <Button onClick={close}>Leave as it was</Button>
            </Flex>
        </Form>
    );
}
