import { Button, Flex, Input, Table } from 'antd';
import { useState } from 'react';
import type { PaintName, Slot } from '../../api/types';
import { Says } from '../../ui/Says';
import { PaintPick } from './PaintPick';
import { type Colours, plainly, type SchemeDocument } from './scheme';
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
                        render: (_, s) => <Name slot={s} coloured={of(s) !== null} />,
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
                                        give={editable ? () => set(s.slot, plainly(first)) : null}
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

/** The areas of a slot, without the figures they are on. */
function where(slot: Slot): string {
    const areas = [...new Set(slot.places.map((p) => p.slice(p.indexOf(': ') + 2).toLowerCase()))];
    return areas.length === 0
        ? 'on none of these figures'
        : `${areas.slice(0, 4).join(', ')}${areas.length > 4 ? ` and ${areas.length - 4} more` : ''}`;
}

function Name({ slot, coloured }: { slot: Slot; coloured: boolean }) {
    return (
        <>
            <b>{slot.slot}</b>
            <div className="small soft">{where(slot)}</div>
            {coloured &&
                slot.problems.map((p) => (
                    <Says kind="warn" key={p}>
                        {p}
                    </Says>
                ))}
        </>
    );
}

function NoColours({ why, give }: { why: string; give: (() => void) | null }) {
    return (
        <Flex gap={8} align="center" wrap>
            <Says kind="warn">{why}</Says>
            {give && (
                <Button type="link" onClick={give}>
                    Give it colours
                </Button>
            )}
        </Flex>
    );
}

function Extras({
    colours,
    said,
    paints,
    editable,
    set,
}: {
    colours: Colours;
    said: Slot['colours'];
    paints: PaintName[];
    editable: boolean;
    set: (next: Colours) => void;
}) {
    return (
        <Flex vertical gap={2}>
            {(['tint', 'line'] as const).map((k) => (
                <PaintPick
                    key={k}
                    value={colours[k] ?? ''}
                    said={said?.[k]}
                    paints={paints}
                    editable={editable}
                    empty={`no ${k}`}
                    change={(v) => {
                        const { [k]: _, ...rest } = colours;
                        set(v === '' ? rest : { ...rest, [k]: v });
                    }}
                />
            ))}
        </Flex>
    );
}

function NewSlot({ add }: { add: (slot: string) => void }) {
    const [name, setName] = useState('');
    return (
        <Flex gap={8} className="p-12">
            <Input
                className="search"
                placeholder="another slot"
                aria-label="Name of another slot"
                value={name}
                onChange={(e) => setName(e.target.value)}
            />
            <Button
                disabled={name.trim() === ''}
                onClick={() => {
                    add(name.trim());
                    setName('');
                }}
            >
                Add the slot
            </Button>
        </Flex>
    );
}
