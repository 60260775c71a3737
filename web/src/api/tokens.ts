import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Schemas = components['schemas'];
export type Token = Schemas['Token'];

export const tokensQuery = () =>
    queryOptions({ queryKey: ['tokens'], queryFn: () => given(client.GET('/tokens')) });

/** The token itself is in this answer only. */
export const makeToken = (body: Schemas['MakeTokenBody']) => given(client.POST('/tokens', { body }));

export const revokeToken = async (token: number): Promise<void> => {
    await client.DELETE('/tokens/{token}', { params: { path: { token } } });
};
