import { Button, Input } from 'antd';
import type { Scope } from '../../api/types';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { plain, valuesOf, word } from './words';

/** Some words of a closed set, each switched on or off. */
export function Words<T extends string>({
    label,
    all,
    chosen,
    name = plain,
    onChange,
}: {
    label: string;
    all: T[];
    chosen: T[];
    name?: (w: T) => string;
    onChange: (now: T[]) => void;
}) {
    return (
        <div className="mt-8" role="group" aria-label={label}>
            <div className="eyebrow mb-4">{label}</div>
            <div className="chips">
                {all.map((w) => (
                    <Chip
                        on={chosen.includes(w)}
                        key={w}
                        onClick={() =>
                            onChange(chosen.includes(w) ? chosen.filter((x) => x !== w) : [...chosen, w])
                        }
                    >
                        {name(w)}
                    </Chip>
                ))}
            </div>
        </div>
    );
}

export function scopeWords(scope: Scope): string {
    return [
        ...(scope.role ?? []).map((r) => `${r} models`),
        ...(scope.size ?? []).map((s) => `${s} models`),
        ...(scope.rank ?? []),
        ...(scope.material ?? []).map((m) => word('material', m)),
        ...(scope.facing ?? []).map((f) => `facing ${f}`),
        ...(scope.area ?? []),
        ...(scope.relief ?? []).map((r) => `with ${word('relief', r)}`),
        ...(scope.focus_min ? [`of focus ${scope.focus_min} and up`] : []),
        ...(scope.except ? [`except ${scopeWords(scope.except)}`] : []),
    ]
        .map(plain)
        .join(', ');
}

export function ScopeEditor({
    scope,
    onChange,
    model,
}: {
    scope: Scope;
    onChange: (now: Scope | undefined) => void;
    model: boolean;
}) {
    const set = (patch: Partial<Scope>) => {
        const next = Object.fromEntries(
            Object.entries<unknown>({ ...scope, ...patch }).filter(
                ([, v]) => v !== undefined && !(Array.isArray(v) && v.length === 0),
            ),
        ) as Scope;
        onChange(Object.keys(next).length === 0 ? undefined : next);
    };
    const words = (label: string, key: 'role' | 'size' | 'rank' | 'material' | 'relief' | 'facing') => (
        <Words<string>
            label={label}
            all={valuesOf(key)}
            name={(w) => word(key, w)}
            chosen={scope[key] ?? []}
            onChange={(w) => set({ [key]: w })}
        />
    );
    return (
        <>
            {words('Role', 'role')}
            {words('Size', 'size')}
            {!model && (
                <>
                    {words('Rank', 'rank')}
                    {words('Relief', 'relief')}
                    {words('Material', 'material')}
                    {words('Facing', 'facing')}
                    <Field label="Focus from">
                        <Pick
                            value={scope.focus_min ?? ''}
                            onChange={(value) => set({ focus_min: value === '' ? undefined : value })}
                            options={[
                                { value: '', label: 'any' },
                                ...[1, 2, 3].map((f) => ({ value: f, label: `${f} and up` })),
                            ]}
                        />
                    </Field>
                    <Field label="Only these areas, by their keys">
                        <Input
                            defaultValue={(scope.area ?? []).join(', ')}
                            onBlur={(e) =>
                                set({
                                    area: e.target.value
                                        .split(',')
                                        .map((w) => w.trim())
                                        .filter(Boolean),
                                })
                            }
                        />
                    </Field>
                </>
            )}
            {scope.except ? (
                <div className="inset">
                    <div className="small strong">Except</div>
                    <ScopeEditor
                        scope={scope.except}
                        model={model}
                        onChange={(now) => set({ except: now })}
                    />
                    <Button type="link" onClick={() => set({ except: undefined })}>
                        No exception
                    </Button>
                </div>
            ) : (
                <Button type="link" onClick={() => set({ except: { rank: ['detail'] } })}>
                    Add an exception
                </Button>
            )}
        </>
    );
}
