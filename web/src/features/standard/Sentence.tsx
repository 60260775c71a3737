import { Button, Input } from 'antd';
import type { Criterion } from '../../api/standard';
import type { Clause, Ladder } from '../../api/types';
import { Field } from '../../ui/Field';
import { More } from '../../ui/More';
import { Pick } from '../../ui/Pick';
import { Limit } from './Limit';
import { type Patch, SentenceWords } from './SentenceWords';
import { ScopeEditor, Words } from './Where';
import { valuesOf, word } from './words';

/** A clause as a sentence whose words can be changed in place. */
export function Sentence({
    clause,
    ladder,
    onChange,
    readOnly,
}: {
    clause: Clause;
    ladder: Ladder;
    onChange: (now: Clause) => void;
    readOnly: boolean;
}) {
    const set = (patch: Patch) =>
        onChange(
            Object.fromEntries(
                Object.entries<unknown>({ ...clause, ...patch }).filter(([, v]) => v !== undefined),
            ) as Clause,
        );
    const name = (key: string) => ladder.techniques.find((t) => t.key === key)?.name ?? key;
    const effects = [clause.effect ?? []].flat();
    const setEffects = (now: string[]) => set({ effect: now.length === 1 ? now[0] : now, by: undefined });
    const scoped = ['effect', 'technique', 'steps', 'finish', 'sprayed_colours', 'skill', 'minutes'].includes(
        clause.kind,
    );
    const giving = ladder.techniques.filter((t) => !t.retired && effects.some((e) => t.effects.includes(e)));
    return (
        <div>
            <SentenceWords clause={clause} ladder={ladder} readOnly={readOnly} set={set} />
            {clause.kind === 'finish' && clause.criterion !== undefined && (
                <More label={<>What this limit looks like</>}>
                    <Limit criterion={clause.criterion as Criterion} limit={clause.limit ?? 0} />
                </More>
            )}
            {!readOnly && (
                <>
                    {scoped && (
                        <More label={<>Change where it holds</>}>
                            <ScopeEditor
                                scope={clause.scope ?? {}}
                                model={['sprayed_colours', 'skill', 'minutes'].includes(clause.kind)}
                                onChange={(now) => set({ scope: now })}
                            />
                            {clause.kind === 'minutes' && (
                                <Words
                                    label="Sizes it is for"
                                    all={valuesOf('size')}
                                    chosen={clause.size ?? []}
                                    onChange={(w) => {
                                        if (w.length > 0) set({ size: w });
                                    }}
                                />
                            )}
                        </More>
                    )}
                    {clause.kind === 'effect' && (
                        <More label={<>Change how it may be done</>}>
                            <Words
                                label="Only by"
                                all={giving.map((t) => t.key)}
                                chosen={clause.by ?? []}
                                name={name}
                                onChange={(w) => set({ by: w.length === 0 ? undefined : w })}
                            />
                            {effects.length < 4 && (
                                <Button
                                    type="link"
                                    onClick={() => setEffects([...effects, 'highlight_spot'])}
                                >
                                    Or another effect
                                </Button>
                            )}
                        </More>
                    )}
                    {clause.kind === 'acceptance' && (
                        <More label={<>Who, from where, and when</>}>
                            <Words
                                label="Roles"
                                all={valuesOf('role')}
                                chosen={clause.role ?? []}
                                onChange={(w) => set({ role: w })}
                            />
                            <Words
                                label="Views"
                                all={valuesOf('view')}
                                chosen={clause.views ?? []}
                                onChange={(w) => set({ views: w })}
                            />
                            <Words
                                label="Gates"
                                all={valuesOf('gate')}
                                name={(w) => word('gate', w)}
                                chosen={clause.gates ?? []}
                                onChange={(w) => set({ gates: w })}
                            />
                        </More>
                    )}
                    <More label={<>Its name, plain words and severity</>}>
                        <Field label="Name of the row">
                            <Input
                                value={clause.label ?? ''}
                                onChange={(e) => set({ label: e.target.value || undefined })}
                            />
                        </Field>
                        <Field label="What a client reads">
                            <Input.TextArea
                                rows={2}
                                value={clause.client_text ?? ''}
                                onChange={(e) => set({ client_text: e.target.value || undefined })}
                            />
                        </Field>
                        <Field label="A fault against it is">
                            <Pick
                                value={clause.severity ?? ''}
                                onChange={(value) => set({ severity: value || undefined })}
                                options={[
                                    { value: '', label: 'as the fault table says' },
                                    ...['critical', 'major', 'minor'].map((s) => ({ value: s, label: s })),
                                ]}
                            />
                        </Field>
                    </More>
                </>
            )}
        </div>
    );
}
