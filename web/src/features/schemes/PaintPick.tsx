import { Popover } from 'antd';
import { useState } from 'react';
import type { PaintName } from '../../api/types';
import { Swatch } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { MixForm } from './MixForm';
import type { Paint } from './scheme';

const MIXED = 'mixed';
const MIX = 'mix';

/** A paint by its name or a mix, with its colour; that of a mix is a forecast. */
export function PaintPick({
    value,
    said,
    paints,
    editable,
    empty,
    change,
}: {
    value: Paint;
    /** What the server says of it: a mix in words, and its colour. */
    said?: { paint: string; hex: string | null } | null | undefined;
    paints: PaintName[];
    editable: boolean;
    /** What it is called to have none; without it there must be one. */
    empty?: string;
    change: (value: Paint) => void;
}) {
    const [open, setOpen] = useState(false);
    const plain = typeof value === 'string' ? value : null;
    const words = plain ?? said?.paint ?? 'a mix';
    const hex =
        plain === null
            ? (said?.hex ?? null)
            : plain.startsWith('#')
              ? plain
              : (paints.find((p) => p.name === plain)?.hex ?? null);
    const isListed = paints.some((p) => p.name === plain);
    return (
        <span className="paint-pick">
            <Swatch
                hex={words ? hex : null}
                name={plain === null ? `${words}, as forecast` : words || 'none'}
            />
            {editable ? (
                <Popover
                    trigger={[]}
                    open={open}
                    onOpenChange={setOpen}
                    title="Mixed"
                    destroyOnHidden
                    content={
                        <MixForm
                            value={value}
                            paints={paints}
                            leave={() => setOpen(false)}
                            use={(mix) => {
                                setOpen(false);
                                change(mix);
                            }}
                        />
                    }
                >
                    <Pick
                        variant="borderless"
                        size="small"
                        value={plain ?? MIXED}
                        aria-label={empty ?? 'paint'}
                        onChange={(v) => (v === MIX ? setOpen(true) : change(v))}
                        options={[
                            ...(empty === undefined ? [] : [{ value: '', label: empty }]),
                            ...(plain === null ? [{ value: MIXED, label: words }] : []),
                            ...(plain && !isListed ? [{ value: plain, label: plain }] : []),
                            { value: MIX, label: plain === null ? 'change the mix …' : 'mix it …' },
                            ...paints.map((p) => ({ value: p.name, label: p.name })),
                        ]}
                    />
                </Popover>
            ) : (
                <span className="small">{words || '–'}</span>
            )}
        </span>
    );
}
