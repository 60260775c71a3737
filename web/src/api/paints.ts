import { client, given } from './client';
import { pagesOf } from './pages';
import type { components } from './schema';

export type ShelfPaint = components['schemas']['ShelfPaint'];
export const PAINTS = ['paints'] as const;

export const paintsQuery = (find: string) =>
    pagesOf([...PAINTS, find], (cursor) =>
        given(client.GET('/paints', { params: { query: { find, ...(cursor ? { cursor } : {}) } } })),
    );

export const shelvePaint = (body: ShelfPaint) => given(client.POST('/paints', { body }));
