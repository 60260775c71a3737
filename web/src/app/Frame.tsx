import {
    BulbOutlined,
    EditOutlined,
    LogoutOutlined,
    MoonOutlined,
    OrderedListOutlined,
    QuestionOutlined,
    SafetyCertificateOutlined,
    SettingOutlined,
    TableOutlined,
} from '@ant-design/icons';
import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { type ReactNode, useState } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { signOut } from '../api/session';
import { Help } from './Help';
import { useKey } from './keys';
import { RoomLeft } from './RoomLeft';
import { can, usePerson } from './session';
import { switchLamp, useDark } from './theme';

/** The rail in the order of the job; `within` names pages that belong to a place without lying under its address. */
const PLACES = [
    { to: '/standard', name: 'Standard', needs: 'standard.read', within: [], icon: <OrderedListOutlined /> },
    {
        to: '/orders',
        name: 'Orders',
        needs: 'orders.read',
        within: ['/clients', '/schemes', '/figures', '/paints', '/units'],
        icon: <TableOutlined />,
    },
    { to: '/bench', name: 'Bench', needs: 'bench.use', within: [], icon: <EditOutlined /> },
    {
        to: '/check',
        name: 'Check',
        needs: 'check.read',
        within: ['/certificates'],
        icon: <SafetyCertificateOutlined />,
    },
];

/** Pages put their own top line in with <Top>. */
export function Frame({ children }: { children: ReactNode }) {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const dark = useDark();
    const at = useLocation().pathname;
    const [help, setHelp] = useState(false);
    useKey('help', () => setHelp(true));
    const leave = async () => {
        await signOut();
        queries.clear();
        await go('/');
    };
    return (
        <div className="frame">
            <nav className="rail" aria-label="Places">
                <img src="/mark.svg" alt="Ordotype" />
                {PLACES.filter((p) => can(person, p.needs)).map((p) => (
                    <NavLink
                        key={p.to}
                        to={p.to}
                        className={({ isActive }) =>
                            isActive || p.within.some((w) => at.startsWith(w)) ? 'here' : ''
                        }
                    >
                        {p.icon}
                        {p.name}
                    </NavLink>
                ))}
                <div className="foot">
                    <NavLink
                        to={can(person, 'people.edit') ? '/settings/people' : '/settings/you'}
                        className={at.startsWith('/settings') ? 'here' : ''}
                    >
                        <SettingOutlined />
                        Settings
                    </NavLink>
                    <Button type="text" icon={<QuestionOutlined />} onClick={() => setHelp(true)}>
                        Keys
                    </Button>
                    <Button
                        type="text"
                        icon={dark ? <BulbOutlined /> : <MoonOutlined />}
                        onClick={switchLamp}
                    >
                        {dark ? 'Day' : 'Lamp'}
                    </Button>
                    <Button
                        type="text"
                        icon={<LogoutOutlined />}
                        onClick={() => void leave()}
                        aria-label={`Sign out ${person?.name ?? ''}`}
                    >
                        {person?.name.split(' ')[0]}
                    </Button>
                </div>
            </nav>
            <main>
                <RoomLeft />
                {children}
            </main>
            <Help open={help} close={() => setHelp(false)} />
        </div>
    );
}
