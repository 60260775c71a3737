import { Checkbox, Input, InputNumber } from 'antd';
import { Chip } from '../../ui/Chip';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { plain, valuesOf, word } from '../standard/words';
import { AreaKey } from './AreaKey';
import { type Area, flip, type Sculpt } from './map';
import { Touches } from './Touches';

/** The words of a map in a line each, where they are met. */
const MEANS: Record<string, string> = {
    Rank: 'How much of the figure’s look it carries.',
    Focus: '0: nobody looks here; 3: the face.',
    Layer: 'What lies over what: the higher one is on top.',
    Counted: 'Single small things in it, such as rivets.',
    Access: '1: easy to reach; 2: takes twice as long.',
    Faces: 'The side from which it is seen.',
    'Kept apart with': 'Painted off the model, with this part.',
};

/** What an area is: its material and forms, how much of the figure it makes, what it touches. */
export function AreaForm({
    area,
    sculpt,
    editable,
    share,
    set,
    rename,
    remove,
}: {
    area: Area;
    sculpt: Sculpt;
    editable: boolean;
    share: number | undefined;
    set: (patch: Partial<Area>) => void;
    rename: (key: string) => void;
    remove: () => void;
}) {
    const others = sculpt.areas.filter((a) => a.key !== area.key);
    const select = <V extends string>(
        label: string,
        value: V,
        options: readonly V[],
        pick: (v: V) => void,
        empty?: string,
    ) => (
        <Field label={label} help={MEANS[label]}>
            <Pick
                disabled={!editable}
                value={value}
                onChange={(value) => pick(value)}
                options={[
                    ...(empty !== undefined ? [{ value: '' as V, label: empty }] : []),
                    ...options.map((o) => ({
                        value: o,
                        label: label === 'Material' ? word('material', o) : plain(o),
                    })),
                ]}
            />
        </Field>
    );
    const number = (
        label: string,
        value: number,
        pick: (v: number) => void,
        step = 1,
        min = 0,
        max = 100,
    ) => (
        <Field label={label} help={MEANS[label]}>
            <InputNumber
                disabled={!editable}
                step={step}
                min={min}
                max={max}
                value={value}
                onChange={(value) => pick(value ?? 0)}
            />
        </Field>
    );
    const outlined = share !== undefined && Math.abs(share - area.share_pct) >= 0.1;
    return (
        <section className="card pad area-form" aria-label="The area">
            <Field label="Name">
                <Input
                    disabled={!editable}
                    value={area.name}
                    onChange={(e) => set({ name: e.target.value })}
                />
            </Field>
            <div className="two">
                {select('Material', area.material, valuesOf('material'), (v) => set({ material: v }))}
                {select('Rank', area.rank, valuesOf('rank'), (v) => set({ rank: v }))}
            </div>
            <div>
                <span className="small soft">Relief: the forms that a technique meets here</span>
                <div className="chips">
                    {valuesOf('relief').map((r) => (
                        <Chip
                            on={area.relief.includes(r)}
                            key={r}
                            disabled={!editable}
                            onClick={() => set({ relief: flip(area.relief, r) })}
                        >
                            {word('relief', r)}
                        </Chip>
                    ))}
                </div>
            </div>
            <div className="two">
                {number('Focus', area.focus, (v) => set({ focus: v }), 1, 0, 3)}
                {number('Layer', area.layer, (v) => set({ layer: v }), 1, -20, 60)}
                {number('Counted', area.count, (v) => set({ count: v }), 1, 0, 999)}
                {number('Access', area.access, (v) => set({ access: v }), 0.1, 1, 2)}
            </div>
            <div className="two">
                {select('Faces', area.facing, ['front', 'back', 'both', 'under'] as const, (v) =>
                    set({ facing: v }),
                )}
                <Field
                    help="Of the surface of the whole figure."
                    label={outlined ? `Share, % (outlined ${share})` : 'Share, %'}
                >
                    <InputNumber
                        disabled={!editable}
                        step={0.1}
                        min={0.1}
                        max={100}
                        value={area.share_pct}
                        onChange={(value) => set({ share_pct: value ?? 0 })}
                    />
                </Field>
            </div>
            <div className="two">
                <Field label="Slot of the scheme" help="Which colours of an army it wears, such as cloth 1.">
                    <Input
                        disabled={!editable}
                        value={area.slot ?? ''}
                        onChange={(e) => {
                            set(e.target.value === '' ? { slot: undefined } : { slot: e.target.value });
                        }}
                    />
                </Field>
                {select(
                    'Kept apart with',
                    area.part ?? '',
                    sculpt.parts,
                    (v) => set({ part: v || null }),
                    'nothing',
                )}
            </div>
            {select(
                'Framed by, as a gem by its ring',
                area.surround ?? '',
                others.map((o) => o.key),
                (v) => set({ surround: v || null }),
                'nothing',
            )}
            <Touches area={area} others={others} editable={editable} set={set} />
            <Checkbox
                className="small tick-line"
                disabled={!editable}
                checked={area.optional === true}
                onChange={(e) => set(e.target.checked ? { optional: true } : { optional: false })}
            >
                some models lack it
            </Checkbox>
            {editable && <AreaKey area={area} others={others} rename={rename} remove={remove} />}
        </section>
    );
}
