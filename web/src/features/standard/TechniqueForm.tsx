import { Button, Flex, Form, Input, InputNumber } from 'antd';
import type { Technique } from '../../api/types';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { TechniqueNotes } from './TechniqueNotes';
import { TechniqueReach } from './TechniqueReach';
import { valuesOf, word } from './words';

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
            <TechniqueReach technique={t} set={set} />
            <TechniqueNotes technique={t} set={set} />
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={busy || key === ''}>
                    {edit.before ? 'Keep' : 'Add it'}
                </Button>
                <Button onClick={close}>Leave as it was</Button>
            </Flex>
        </Form>
    );
}
