import type { Laid } from './pictures';

/** A picture where it lies in the figure's frame. */
export function Picture({ of: p }: { of: Laid }) {
    return (
        <image
            href={p.href}
            width={p.width}
            height={p.height}
            preserveAspectRatio="none"
            {...(p.matrix && { transform: p.matrix })}
        />
    );
}
