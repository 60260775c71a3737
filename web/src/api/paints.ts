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

type ReadPaints = components['schemas']['ReadPaintsBody'];
export type TableOfPaints = components['schemas']['TableOfPaints'];

/** Without a text it is the starter rack. */
export const readPaints = (body: ReadPaints) => given(client.POST('/paints/table', { body }));

export const changePaint = (paint: number, body: components['schemas']['ChangePaintBody']) =>
    given(client.PUT('/paints/{paint}', { params: { path: { paint } }, body }));
