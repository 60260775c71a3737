/** ISO/IEC 7810 ID-1: the size of a bank card, mm. */
export const CARD_MM = { width: 85.6, height: 53.98 };

/** How far one usually sits from a screen, cm. */
export const EYE_CM = 60;

const KEPT = 'ordotype.screen';

/** CSS pixels a millimetre, as measured with a card on this screen; null before. */
export function screenScale(): number | null {
    const kept = Number(localStorage.getItem(KEPT));
    return Number.isFinite(kept) && kept > 1 && kept < 40 ? kept : null;
}

export function keepScreenScale(pixelsPerMm: number): void {
    localStorage.setItem(KEPT, String(pixelsPerMm));
}
