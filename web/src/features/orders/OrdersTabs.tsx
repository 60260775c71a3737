import { SubNav } from '../../ui/SubNav';

const PAGES = [
    { to: '/orders', name: 'Orders' },
    { to: '/clients', name: 'Clients' },
    { to: '/schemes', name: 'Schemes' },
    { to: '/figures', name: 'Figures' },
    { to: '/paints', name: 'Paints' },
];

/** What orders are made of. */
export const OrdersTabs = () => <SubNav label="Orders" pages={PAGES} />;
