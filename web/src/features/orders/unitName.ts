import type { Order } from '../../api/types';

export const unitName = (order: Order, id: number | null): string | null => {
    const unit = order.units.find((u) => u.id === id);
    return unit ? `${unit.pieces.length} × ${unit.sculpt}${unit.label ? `, ${unit.label}` : ''}` : null;
};
