import { Table } from 'antd';
import type { PaintName, Slot } from '../../api/types';
import { Extras } from './Extras';
import { NewSlot } from './NewSlot';
import { PaintPick } from './PaintPick';
import { type Colours, plainly, type SchemeDocument } from './scheme';
import { NoColours, SlotName } from './SlotName';
import { Tones } from './Tones';

const FALLBACK = '#808080';

/** The slots of the scheme, each a ladder from shade to light, with the steps in lightness where they matter. */
export function Slots({
    slots,
    paints,
    document,
    editable,
    change,
    lit,
}: {
    slots: Slot[];
    paints: PaintName[];
    document: SchemeDocument;
    editable: boolean;
    change: (next: SchemeDocument) => void;
    lit: (slot: string | null) => void;
}) {
    const first = paints[0]?.name ?? FALLBACK;
    const set = (slot: string, colours: Colours | null) => {
        const { [slot]: _, ...rest } = document.slots;
        change({
            ...document,
            slots:
                colours === null
                    ? rest
                    : slot in document.slots
                      ? { ...document.slots, [slot]: colours }
                      : { ...rest, [slot]: colours },
        });
    };
    const of = (s: Slot) => document.slots[s.slot] ?? null;
    return (
        <section className="card over-hidden">
            <Table
                className="slots"
                size="small"
                pagination={false}
                rowKey="slot"
                dataSource={slots}
                onRow={(s) => ({ onMouseEnter: () => lit(s.slot), onMouseLeave: () => lit(null) })}
                columns={[
                    {
                        title: 'Slot',
                        width: 170,
                        render: (_, s) => <SlotName slot={s} coloured={of(s) !== null} />,
                    },
                    {
                        title: 'Shades',
                        onCell: (s) => ({ colSpan: of(s) ? 1 : 4 }),
                        render: (_, s) => {
                            const colours = of(s);
                            if (colours === null)
                                return (
                                    <NoColours
                                        why={s.problems[0] ?? ''}
                                        give={
                                            editable
                                                ? () =>
                                                      set(
                                                          s.slot,
                                                          (s.proposed as Colours | null) ?? plainly(first),
                                                      )
                                                : null
                                        }
                                    />
                                );
                            return (
                                <Tones
                                    of="shades"
                                    colours={colours}
                                    said={s.colours?.shades ?? []}
                                    steps={s.steps}
                                    paints={paints}
                                    editable={editable}
                                    set={(c) => set(s.slot, c)}
                                />
                            );
                        },
                    },
                    {
                        title: 'Base',
                        onCell: (s) => ({ colSpan: of(s) ? 1 : 0 }),
                        render: (_, s) => {
                            const colours = of(s);
                            return (
                                colours && (
                                    <PaintPick
                                        value={colours.base}
                                        said={s.colours?.base}
                                        paints={paints}
                                        editable={editable}
                                        change={(base) => set(s.slot, { ...colours, base })}
                                    />
                                )
                            );
                        },
                    },
                    {
                        title: 'Lights, darkest first',
                        onCell: (s) => ({ colSpan: of(s) ? 1 : 0 }),
                        render: (_, s) => {
                            const colours = of(s);
                            return (
                                colours && (
                                    <Tones
                                        of="lights"
                                        colours={colours}
                                        said={s.colours?.lights ?? []}
                                        steps={s.steps.slice(colours.shades.length)}
                                        paints={paints}
                                        editable={editable}
                                        set={(c) => set(s.slot, c)}
                                    />
                                )
                            );
                        },
                    },
                    {
                        title: 'Tint, line',
                        onCell: (s) => ({ colSpan: of(s) ? 1 : 0 }),
                        render: (_, s) => {
                            const colours = of(s);
                            return (
                                colours && (
                                    <Extras
                                        colours={colours}
                                        said={s.colours}
                                        paints={paints}
                                        editable={editable}
                                        set={(c) => set(s.slot, c)}
                                    />
                                )
                            );
                        },
                    },
                ]}
            />
            {editable && <NewSlot add={(slot) => set(slot, plainly(first))} />}
        </section>
    );
}
