import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Person, Session } from '../api/types';

export const useSession = () =>
    useQuery({ queryKey: ['session'], queryFn: () => api.get<Session>('session'), staleTime: 60_000 });

export const usePerson = (): Person | null => useSession().data?.person ?? null;

export const can = (person: Person | null, ability: string): boolean =>
    person?.can.includes(ability) ?? false;

/** Everyone starts where their work waits. */
export const startOf = (person: Person): string =>
    ({ lead: '/standard', painter: '/bench', desk: '/orders' })[person.role];
