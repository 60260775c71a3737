import type { ShelfPaint } from '../../api/paints';

export const KINDS: Record<string, string> = {
    opaque: 'opaque paint',
    wash: 'wash',
    stain: 'stain',
    metal: 'metal',
};

export const HIDING: Record<ShelfPaint['hiding'], string> = { high: 'well', medium: 'fairly', low: 'poorly' };
