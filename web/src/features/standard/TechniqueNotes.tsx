import { Input } from 'antd';
import type { Technique } from '../../api/types';
import { Field } from '../../ui/Field';
import { More } from '../../ui/More';

const NOTES = {
    purpose: 'What it is for',
    how: 'How it is done',
    consistency: 'Paint',
    tools: 'Tools',
    good: 'What good looks like',
} as const;

/** What the painter reads of a technique. */
export function TechniqueNotes({ technique: t, set }: { technique: Technique; set: (t: Technique) => void }) {
    return (
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
    );
}
