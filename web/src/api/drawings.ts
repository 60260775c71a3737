import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';

/** How often, in ms, it is asked how far a drawing is. */
const ASKS = 900;

/** Where a drawing is to be had, once it is drawn. */
export const pictureOf = (address: string) => `/api/v1/drawn/${address}/picture`;

/** How far a drawing is; asking for the first time has it drawn. */
export const drawingQuery = (address: string) =>
    queryOptions({
        queryKey: ['drawing', address],
        queryFn: () => {
            const [sha = '', secret = ''] = address.split('/');
            return given(client.GET('/drawn/{sha}/{secret}', { params: { path: { sha, secret } } }));
        },
        refetchInterval: (query) =>
            query.state.data?.state === 'ready' || query.state.data?.state === 'failed' ? false : ASKS,
        staleTime: Infinity,
    });

export const drawAgain = (address: string) => {
    const [sha = '', secret = ''] = address.split('/');
    return given(client.POST('/drawn/{sha}/{secret}', { params: { path: { sha, secret } } }));
};

/** Drawings of a unit's plan, or of one of its models, finished or after some passes. */
export const drawnUnitQuery = (unit: number, revision: number, piece: number | null, passes: number | null) =>
    queryOptions({
        queryKey: ['drawn', unit, revision, piece, passes],
        queryFn: () =>
            given(
                client.GET('/units/{unit}/drawn', {
                    params: {
                        path: { unit },
                        query: { ...(piece !== null && { piece }), ...(passes !== null && { passes }) },
                    },
                }),
            ),
    });
