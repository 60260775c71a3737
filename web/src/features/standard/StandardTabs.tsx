import { NavLink } from 'react-router';

const PAGES: [string, string][] = [['/standard', 'Ladder'], ['/standard/techniques', 'Techniques'], ['/standard/prices', 'Prices'], ['/standard/differences', 'Between two tiers'], ['/standard/comparison', 'Comparison sheet'], ['/standard/versions', 'Versions'], ['/standard/packs', 'Packs and files']];

/** The pages of the standard. */
export function StandardTabs() {
    return <nav className="subnav no-print" aria-label="The standard">{PAGES.map(([to, name]) => <NavLink key={to} to={to} end className={({ isActive }) => (isActive ? 'here' : '')}>{name}</NavLink>)}</nav>;
}
