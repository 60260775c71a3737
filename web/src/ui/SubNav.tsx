import { NavLink } from 'react-router';

/** The pages of one place, side by side. */
export function SubNav({ label, pages }: { label: string; pages: { to: string; name: string }[] }) {
    return (
        <nav className="subnav no-print" aria-label={label}>
            {pages.map((p) => (
                <NavLink key={p.to} to={p.to} end className={({ isActive }) => (isActive ? 'here' : '')}>
                    {p.name}
                </NavLink>
            ))}
        </nav>
    );
}
