import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import { pagesOf } from './pages';
import type { components } from './schema';

type Bodies = components['schemas'];

export const SCHEMES = ['schemes'] as const;

export const schemesQuery = (find: string) =>
    pagesOf([...SCHEMES, find], (cursor) =>
        given(client.GET('/schemes', { params: { query: { find, ...(cursor ? { cursor } : {}) } } })),
    );

/** A scheme, shown on the figures of an order where one is named. */
export const schemeQuery = (slug: string, order: number | null) =>
    queryOptions({
        queryKey: ['scheme', slug, order],
        queryFn: () =>
            given(
                client.GET('/schemes/{slug}', {
                    params: { path: { slug }, query: order === null ? {} : { order } },
                }),
            ),
    });

export const triedSchemeQuery = (document: Bodies['TrySchemeBody']['document'], order: number | null) =>
    queryOptions({
        queryKey: ['scheme', 'try', JSON.stringify(document), order],
        queryFn: () =>
            given(client.POST('/schemes/try', { body: { document, ...(order === null ? {} : { order }) } })),
        placeholderData: keepPreviousData,
        retry: false,
    });

export const makeScheme = (body: Bodies['MakeSchemeBody']) => given(client.POST('/schemes', { body }));

export const changeScheme = (slug: string, body: Bodies['ChangeSchemeBody']) =>
    given(client.PUT('/schemes/{slug}', { params: { path: { slug } }, body }));

export const judgeTestModel = (slug: string, body: Bodies['JudgeTestModelBody']) =>
    given(client.POST('/schemes/{slug}/outcome', { params: { path: { slug } }, body }));

/** As it comes back: the pairs of a mix told as lists. */
export type Scheme = Awaited<ReturnType<typeof judgeTestModel>>;

export const SCULPTS = ['sculpts'] as const;

export const sculptsQuery = (find: string) =>
    pagesOf([...SCULPTS, find], (cursor) =>
        given(client.GET('/sculpts', { params: { query: { find, ...(cursor ? { cursor } : {}) } } })),
    );

export const templatesQuery = queryOptions({
    queryKey: ['templates'],
    queryFn: () => given(client.GET('/templates')),
    staleTime: Infinity,
});

export const sculptQuery = (slug: string) =>
    queryOptions({
        queryKey: ['sculpt', slug],
        queryFn: () => given(client.GET('/sculpts/{slug}', { params: { path: { slug } } })),
    });

export const triedMapQuery = (document: Bodies['TrySculptBody']['document']) =>
    queryOptions({
        queryKey: ['sculpt', 'try', JSON.stringify(document)],
        queryFn: () => given(client.POST('/sculpts/try', { body: { document } })),
        placeholderData: keepPreviousData,
        retry: false,
    });

export const makeSculpt = (document: Bodies['MakeSculptBody']['document']) =>
    given(client.POST('/sculpts', { body: { document } }));

export const changeSculpt = (slug: string, body: Bodies['ChangeSculptBody']) =>
    given(client.PUT('/sculpts/{slug}', { params: { path: { slug } }, body }));
