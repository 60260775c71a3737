import { NavLink } from 'react-router';

const PAGES: [string, string][] = [
    ['/orders', 'Orders'],
    ['/schemes', 'Schemes'],
    ['/figures', 'Figures'],
];

/** What orders are made of. */
export function OrdersTabs() {
    return (
        <nav className="subnav no-print" aria-label="Orders">
            {PAGES.map(([to, name]) => (
                <NavLink key={to} to={to} end className={({ isActive }) => (isActive ? 'here' : '')}>
                    {name}
                </NavLink>
            ))}
        </nav>
    );
}
