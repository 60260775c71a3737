import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Schemas = components['schemas'];
export type BatchHand = Schemas['BatchHand'];
export type BatchBody = Schemas['BatchBody'];
export type BenchDay = Schemas['BenchDay'];
export type DayBoard = Schemas['DayBoard'];
export type NextRun = Schemas['NextRun'];
export type RunWork = Schemas['RunWork'];

const path = (batch: number) => ({ params: { path: { batch } } });

/** A day's boards; today's where none is named. They move with every mark. */
export const dayQuery = (on: string | null) =>
    queryOptions({
        queryKey: ['batches', 'day', on],
        placeholderData: keepPreviousData,
        refetchInterval: 60_000,
        queryFn: () => given(client.GET('/bench/day', { params: { query: on === null ? {} : { on } } })),
    });

export const batchesQuery = () =>
    queryOptions({ queryKey: ['batches'], queryFn: () => given(client.GET('/batches')) });

export const plannedQuery = (batch: number) =>
    queryOptions({
        queryKey: ['batches', batch],
        placeholderData: keepPreviousData,
        refetchInterval: 60_000,
        queryFn: () => given(client.GET('/batches/{batch}', path(batch))),
    });

export const anewQuery = (batch: number, revision: number) =>
    queryOptions({
        queryKey: ['batches', batch, 'anew', revision],
        queryFn: () => given(client.GET('/batches/{batch}/anew', path(batch))),
    });

export const makeBatch = (body: BatchBody) => given(client.POST('/batches', { body }));

export const changeBatch = (batch: number, body: Schemas['BatchChange']) =>
    given(client.PUT('/batches/{batch}', { ...path(batch), body }));

export const layBatchAnew = (batch: number, revision: number) =>
    given(client.POST('/batches/{batch}/runs', { ...path(batch), body: { revision } }));

export const endBatch = async (batch: number): Promise<void> => {
    await client.DELETE('/batches/{batch}', path(batch));
};
