import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Bodies = components['schemas'];
export type Photograph = Bodies['Photograph'];
export type PhotographPlacement = Bodies['PhotographPlacement'];
export type HeldFigure = Bodies['HeldFigure'];
export type Evenness = Bodies['EvennessAnswer'];
export type PhotographView = Bodies['PhotographView'];

/** How often, in ms, it is asked how far measuring is. */
const ASKS = 900;

export const photographsQuery = (piece: number) =>
    queryOptions({
        queryKey: ['photographs', piece],
        queryFn: () => given(client.GET('/pieces/{piece}/photographs', { params: { path: { piece } } })),
        refetchInterval: (query) =>
            query.state.data?.data.some((p) => p.state === 'waiting') === true ? ASKS : false,
    });

export const keepPhotograph = (piece: number, body: Bodies['NewPhotograph']) =>
    given(client.POST('/pieces/{piece}/photographs', { params: { path: { piece } }, body }));

export const figurePhotographsQuery = (slug: string) =>
    queryOptions({
        queryKey: ['photographs', slug],
        queryFn: () => given(client.GET('/sculpts/{slug}/photographs', { params: { path: { slug } } })),
    });

export const keepFigurePhotograph = (slug: string, body: Bodies['NewFigurePhotograph']) =>
    given(client.POST('/sculpts/{slug}/photographs', { params: { path: { slug } }, body }));

export const evennessQuery = (unit: number) =>
    queryOptions({
        queryKey: ['evenness', unit],
        queryFn: () => given(client.GET('/units/{unit}/evenness', { params: { path: { unit } } })),
    });

export const chooseTestModel = (unit: number, model: number | null) =>
    given(client.PUT('/units/{unit}/test-model', { params: { path: { unit } }, body: { model } }));

export const placePhotograph = (photograph: number, body: Bodies['PlacePhotographBody']) =>
    given(client.PUT('/photographs/{photograph}/placement', { params: { path: { photograph } }, body }));

export const removePhotograph = (photograph: number) =>
    given(client.DELETE('/photographs/{photograph}', { params: { path: { photograph } } }));
