import type { Technique } from '../../api/types';
import { Field } from '../../ui/Field';
import { More } from '../../ui/More';
import { Pick } from '../../ui/Pick';
import { Words } from './Where';
import { effectWords, plain, valuesOf } from './words';

const pick = (words: string[], all: Record<string, unknown>, start: string | number) =>
    Object.fromEntries(words.map((w) => [w, all[w] ?? start]));

/** What a technique gives, and where it works. */
export function TechniqueReach({ technique: t, set }: { technique: Technique; set: (t: Technique) => void }) {
    return (
        <>
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
        </>
    );
}
