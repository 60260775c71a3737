import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';

export const sessionQuery = () =>
    queryOptions({
        queryKey: ['session'],
        queryFn: () => given(client.GET('/session')),
        staleTime: 60_000,
    });

export const signIn = (email: string, password: string) =>
    given(client.POST('/session', { body: { email, password } }));

export const signOut = async (): Promise<void> => {
    await client.DELETE('/session');
};

export const vocabulary = () => given(client.GET('/vocabulary'));

export const studioQuery = () =>
    queryOptions({ queryKey: ['studio'], queryFn: () => given(client.GET('/studio')) });

export const setHourlyRate = (hourly_rate: string) => given(client.PUT('/studio', { body: { hourly_rate } }));
