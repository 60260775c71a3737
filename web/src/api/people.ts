import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Schemas = components['schemas'];
export type Colleague = Schemas['Colleague'];

export const peopleQuery = () =>
    queryOptions({ queryKey: ['people'], queryFn: () => given(client.GET('/people')) });

export const invitePerson = (body: Schemas['InvitePersonBody']) => given(client.POST('/people', { body }));

export const changePerson = (person: number, body: Schemas['ChangePersonBody']) =>
    given(client.PUT('/people/{person}', { params: { path: { person } }, body }));

export const setPersonAside = (person: number, body: Schemas['SetPersonAsideBody']) =>
    given(client.PUT('/people/{person}/aside', { params: { path: { person } }, body }));

/** A link by which somebody sets a password; the one before it opens nothing any more. */
export const linkPerson = (person: number) =>
    given(client.POST('/people/{person}/link', { params: { path: { person } } }));

export const invitationQuery = (secret: string) =>
    queryOptions({
        queryKey: ['invitation', secret],
        queryFn: () => given(client.GET('/invitations/{secret}', { params: { path: { secret } } })),
        retry: false,
    });

export const takeInvitation = async (secret: string, password: string): Promise<void> => {
    await client.POST('/invitations/{secret}', { params: { path: { secret } }, body: { password } });
};

export const changePassword = async (body: Schemas['ChangePasswordBody']): Promise<void> => {
    await client.PUT('/account/password', { body });
};

export const signOutElsewhere = async (): Promise<void> => {
    await client.DELETE('/account/sessions');
};

export const beginSecondFactor = (current: string) =>
    given(client.POST('/account/second-factor', { body: { current } }));

export const confirmSecondFactor = (code: string) =>
    given(client.PUT('/account/second-factor', { body: { code } }));

export const removeSecondFactor = async (current: string): Promise<void> => {
    await client.DELETE('/account/second-factor', { body: { current } });
};

export const takeSecondFactorAway = async (person: number): Promise<void> => {
    await client.DELETE('/people/{person}/second-factor', { params: { path: { person } } });
};
