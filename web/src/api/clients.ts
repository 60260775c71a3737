import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import { pagesOf } from './pages';
import type { components } from './schema';

export type ClientRecord = components['schemas']['Client'];

export const clientsQuery = (find: string) =>
    pagesOf(['clients', find], (cursor) =>
        given(
            client.GET('/clients', {
                params: { query: { ...(find ? { find } : {}), ...(cursor ? { cursor } : {}) } },
            }),
        ),
    );

export const clientQuery = (id: number) =>
    queryOptions({
        queryKey: ['client', id],
        queryFn: () => given(client.GET('/clients/{client}', { params: { path: { client: id } } })),
    });

/** Only what changes is sent. */
export const changeClient = (id: number, body: components['schemas']['ChangeClientBody']) =>
    given(client.PUT('/clients/{client}', { params: { path: { client: id } }, body }));

export const eraseClient = (id: number, revision: number) =>
    given(client.DELETE('/clients/{client}', { params: { path: { client: id } }, body: { revision } }));

export const codeQuery = (code: string) =>
    queryOptions({
        queryKey: ['code', code],
        queryFn: () => given(client.GET('/codes/{code}', { params: { path: { code } } })),
        retry: false,
        staleTime: 0,
    });
