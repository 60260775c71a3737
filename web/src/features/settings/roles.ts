import type { Colleague } from '../../api/people';

export const ROLES: Record<Colleague['role'], string> = {
    lead: 'lead painter',
    painter: 'painter',
    desk: 'front desk',
};

/** As the server asks for it too. */
export const PASSWORD = 12;
