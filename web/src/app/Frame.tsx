import { useQueryClient } from '@tanstack/react-query';
import { Modal } from 'antd';
import { type ReactNode, useEffect, useState } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { api } from '../api/client';
import { can, usePerson } from './session';
import { switchLamp, useDark } from './theme';

const PLACES: [string, string, string, ReactNode][] = [
    ['/standard', 'Standard', 'standard.read', <path key="s" d="M5 3v14M5.5 5h4M5.5 9h7M5.5 13h10" />],
    ['/orders', 'Orders', 'orders.read', <path key="o" d="M3.5 4h13v12h-13zM3.5 8h13M9 8v8" />],
    ['/bench', 'Bench', 'bench.use', <path key="b" d="m5 12 7.5-8 3 3L8 14.500l-4 1zM3 17.500h14" />],
    [
        '/check',
        'Check',
        'check.read',
        <path
            key="c"
            d="M8.500 3.500a5 5 0 1 1 0 10 5 5 0 0 1 0-10zM12.500 12.500l4 4M6.500 8.500l1.500 1.500 3-3"
        />,
    ],
];

// Pages that belong to a place without lying under its address.
const WITHIN: Record<string, string[]> = {
    '/orders': ['/schemes', '/figures', '/units'],
    '/check': ['/certificates'],
};

const KEYS: [string, string][] = [
    ['?', 'this list'],
    ['arrow keys', 'Standard: move over the ladder'],
    ['Enter', 'Standard: edit the cell · Check: next question'],
    ['c', 'Standard: copy a cell to the right'],
    ['u r', 'Standard: undo and redo your edits'],
    ['f', 'Standard: find a clause'],
    ['Ctrl Enter · Esc', 'Standard: keep the edit · leave it as it was'],
    ['u', 'Plan: take the last change back'],
    ['Delete · Esc', 'Plan: take the chosen step out · close it'],
    ['arrow keys · Delete', 'Figures: move a point of an outline · take it out'],
    ['Enter · Esc', 'Figures: close an outline · drop it'],
    ['y f s x', 'Check: yes, fault, cannot be seen, does not apply'],
    ['n b', 'Bench: next pass, pass before'],
    ['a', 'Bench: all models done'],
];

/** The rail in the order of the job. Pages put their own top line in with <Top>. */
export function Frame({ children }: { children: ReactNode }) {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const dark = useDark();
    const at = useLocation().pathname;
    const [help, setHelp] = useState(false);
    useEffect(() => {
        const press = (e: KeyboardEvent) => {
            if (
                e.key === '?' &&
                !(e.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(e.target.tagName))
            )
                setHelp(true);
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    }, []);
    const leave = async () => {
        await api.remove('session');
        queries.clear();
        await go('/');
    };
    return (
        <div className="frame">
            <nav className="rail" aria-label="Places">
                <img src="/mark.svg" alt="Ordotype" />
                {PLACES.filter(([, , ability]) => can(person, ability)).map(([to, name, , icon]) => (
                    <NavLink
                        key={to}
                        to={to}
                        className={({ isActive }) =>
                            isActive || WITHIN[to]?.some((p) => at.startsWith(p)) ? 'here' : ''
                        }
                    >
                        <svg viewBox="0 0 20 20" aria-hidden="true">
                            {icon}
                        </svg>
                        {name}
                    </NavLink>
                ))}
                <div className="foot">
                    <button onClick={() => setHelp(true)}>
                        <svg viewBox="0 0 20 20" aria-hidden="true">
                            <path d="M7 7.500a3 3 0 1 1 4 2.800c-.8.300-1 .9-1 1.700M10 15v.100" />
                        </svg>
                        Keys
                    </button>
                    <button onClick={switchLamp}>
                        <svg viewBox="0 0 20 20" aria-hidden="true">
                            {dark ? (
                                <path d="M10 6.500a3.500 3.500 0 1 1 0 7 3.500 3.500 0 0 1 0-7zM10 2v2M10 16v2M2 10h2M16 10h2" />
                            ) : (
                                <path d="M15.500 12A6 6 0 0 1 8 4.500 6 6 0 1 0 15.500 12z" />
                            )}
                        </svg>
                        {dark ? 'Day' : 'Lamp'}
                    </button>
                    <button onClick={() => void leave()} aria-label={`Sign out ${person?.name ?? ''}`}>
                        <svg viewBox="0 0 20 20" aria-hidden="true">
                            <path d="M8 3.500H4v13h4M12.500 6.500 16 10l-3.500 3.500M16 10H8" />
                        </svg>
                        {person?.name.split(' ')[0]}
                    </button>
                </div>
            </nav>
            <main>{children}</main>
            <Modal open={help} title="Keys" footer={null} onCancel={() => setHelp(false)}>
                <table className="plain">
                    <tbody>
                        {KEYS.map(([key, what]) => (
                            <tr key={key}>
                                <td>
                                    <kbd>{key}</kbd>
                                </td>
                                <td>{what}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </Modal>
        </div>
    );
}

export function Top({ children }: { children: ReactNode }) {
    return <header className="top">{children}</header>;
}
