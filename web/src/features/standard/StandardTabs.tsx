import { LinkButton } from '../../ui/LinkButton';
import { Empty } from '../../ui/states';
import { SubNav } from '../../ui/SubNav';

const PAGES = [
    { to: '/standard', name: 'Ladder' },
    { to: '/standard/techniques', name: 'Techniques' },
    { to: '/standard/prices', name: 'Prices' },
    { to: '/standard/differences', name: 'Between two tiers' },
    { to: '/standard/comparison', name: 'Comparison sheet' },
    { to: '/standard/versions', name: 'Versions' },
    { to: '/standard/packs', name: 'Packs and files' },
];

/** The pages of the standard. */
export const StandardTabs = () => <SubNav label="The standard" pages={PAGES} />;

export const NoFigure = () => (
    <Empty title="No figure yet">
        <p>A tier shows what it means on a figure. Take one in from a file in the open format.</p>
        <LinkButton type="primary" to="/standard/packs">
            Choose a file
        </LinkButton>
    </Empty>
);
