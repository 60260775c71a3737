import { useQuery } from '@tanstack/react-query';
import { sessionQuery } from '../api/session';
import type { Person } from '../api/types';

export const useSession = () => useQuery(sessionQuery());

export const usePerson = (): Person | null => useSession().data?.person ?? null;

/** What links for others begin with: as the studio says, else where this page is. */
export const useLinkBase = (): string => {
    const address = useSession().data?.studio.address;
    return (address ?? window.location.origin).replace(/\/$/, '');
};

export const can = (person: Person | null, ability: string): boolean =>
    person?.can.includes(ability) ?? false;

/** Everyone starts where their work waits. */
export const startOf = (person: Person): string =>
    ({ lead: '/standard', painter: '/bench', desk: '/orders' })[person.role];
