import { Link, NavLink } from 'react-router';
import { Empty } from '../../ui/states';

const PAGES: [string, string][] = [
    ['/standard', 'Ladder'],
    ['/standard/techniques', 'Techniques'],
    ['/standard/prices', 'Prices'],
    ['/standard/differences', 'Between two tiers'],
    ['/standard/comparison', 'Comparison sheet'],
    ['/standard/versions', 'Versions'],
    ['/standard/packs', 'Packs and files'],
];

/** The pages of the standard. */
export function StandardTabs() {
    return (
        <nav className="subnav no-print" aria-label="The standard">
            {PAGES.map(([to, name]) => (
                <NavLink key={to} to={to} end className={({ isActive }) => (isActive ? 'here' : '')}>
                    {name}
                </NavLink>
            ))}
        </nav>
    );
}

export const NoFigure = () => (
    <Empty title="No figure yet">
        <p>A tier shows what it means on a figure. Take one in from a file in the open format.</p>
        <Link className="btn main" to="/standard/packs">
            Choose a file
        </Link>
    </Empty>
);
