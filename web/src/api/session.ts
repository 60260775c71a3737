import { queryOptions } from '@tanstack/react-query';
import { tellTimeIn } from '../ui/when';
import { client, given } from './client';
import type { components } from './schema';

export const sessionQuery = () =>
    queryOptions({
        queryKey: ['session'],
        queryFn: async () => {
            const session = await given(client.GET('/session'));
            tellTimeIn(session.studio.time_zone);
            return session;
        },
        staleTime: 60_000,
    });

/** What the service worker keeps of the bench is of the person who is signed in. */
const forgetRead = async (): Promise<void> => {
    if ('caches' in window) await caches.delete('ordotype-read');
};

export const signIn = async (body: components['schemas']['SignInBody']) => {
    await forgetRead();
    return given(client.POST('/session', { body }));
};

export const signOut = async (): Promise<void> => {
    await client.DELETE('/session');
    await forgetRead();
};

export const vocabulary = () => given(client.GET('/vocabulary'));

export const studioQuery = () =>
    queryOptions({ queryKey: ['studio'], queryFn: () => given(client.GET('/studio')) });

export const firstStepsQuery = queryOptions({
    queryKey: ['studio', 'first-steps'],
    queryFn: () => given(client.GET('/studio/first-steps')),
});

export type Studio = components['schemas']['ShowStudioAnswer'];

/** Only what changes is sent. */
export const setStudio = (body: components['schemas']['ChangeStudioBody']) =>
    given(client.PUT('/studio', { body }));
