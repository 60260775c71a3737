import type { PaintName } from '../../api/types';
import { Swatch } from '../../ui/marks';
import { Pick } from '../../ui/Pick';

/** A paint by its name, with its colour. */
export function PaintPick({
    value,
    paints,
    editable,
    empty,
    change,
}: {
    value: string;
    paints: PaintName[];
    editable: boolean;
    /** What it is called to have none; without it there must be one. */
    empty?: string;
    change: (value: string) => void;
}) {
    const hex = value.startsWith('#') ? value : (paints.find((p) => p.name === value)?.hex ?? null);
    return (
        <span className="paint-pick">
            <Swatch hex={value ? hex : null} name={value || 'none'} />
            {editable ? (
                <Pick
                    variant="borderless"
                    size="small"
                    value={value}
                    aria-label={empty ?? 'paint'}
                    onChange={change}
                    options={[
                        ...(empty === undefined ? [] : [{ value: '', label: empty }]),
                        ...(value !== '' && !paints.some((p) => p.name === value)
                            ? [{ value, label: value }]
                            : []),
                        ...paints.map((p) => ({ value: p.name, label: p.name })),
                    ]}
                />
            ) : (
                <span className="small">{value || '–'}</span>
            )}
        </span>
    );
}
