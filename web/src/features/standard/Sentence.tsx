import { Input } from 'antd';
import type { Clause, Ladder } from '../../api/types';
import { Field } from '../../ui/Field';
import { More } from '../../ui/More';
import { Pick } from '../../ui/Pick';
import { seen } from './kinds';
import { ScopeEditor } from './Where';

const SEVERITIES = ['critical', 'major', 'minor'] as const;

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
    const { holds, sentence, more } = seen(clause, { ladder, readOnly, onChange });
    return (
        <div>
            <p className="sentence my-6">{sentence}</p>
            {!readOnly && holds !== 'as it says' && (
                <More label={<>Change where it holds</>}>
                    <ScopeEditor
                        scope={clause.scope ?? {}}
                        model={holds === 'on models'}
                        onChange={(scope) => onChange({ ...clause, scope })}
                    />
                </More>
            )}
            {(!readOnly || clause.kind === 'finish') && more}
            {!readOnly && (
                <More label={<>Its name, plain words and severity</>}>
                    <Field label="Name of the row">
                        <Input
                            value={clause.label ?? ''}
                            onChange={(e) => onChange({ ...clause, label: e.target.value || undefined })}
                        />
                    </Field>
                    <Field label="What a client reads">
                        <Input.TextArea
                            rows={2}
                            value={clause.client_text ?? ''}
                            onChange={(e) =>
                                onChange({ ...clause, client_text: e.target.value || undefined })
                            }
                        />
                    </Field>
                    <Field label="A fault against it is">
                        <Pick
                            value={clause.severity ?? ''}
                            onChange={(value) => onChange({ ...clause, severity: value || undefined })}
                            options={[
                                { value: '', label: 'as the fault table says' },
                                ...SEVERITIES.map((s) => ({ value: s, label: s })),
                            ]}
                        />
                    </Field>
                </More>
            )}
        </div>
    );
}
