import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { asText, client, given } from './client';
import type { components } from './schema';
import type { Change, Ladder } from './types';

export type Criterion = components['schemas']['Criterion'];

/** The version and the revision of a draft: what is read of it is read anew when either moves. */
const edition = (ladder: Ladder | undefined) => [ladder?.version.number, ladder?.version.revision];

export const ladderQuery = () =>
    queryOptions({ queryKey: ['standard'], queryFn: () => given(client.GET('/standard')) });

export const tryQuery = (ladder: Ladder, tier: string, sculpt: string, changes: Change[]) =>
    queryOptions({
        queryKey: ['try', tier, sculpt, JSON.stringify(changes), ...edition(ladder)],
        queryFn: () => given(client.POST('/standard/draft/try', { body: { tier, sculpt, changes } })),
        placeholderData: keepPreviousData,
        retry: false,
    });

export const consequencesQuery = (ladder: Ladder, changes: Change[]) =>
    queryOptions({
        queryKey: ['consequences', JSON.stringify(changes), ...edition(ladder)],
        queryFn: () => given(client.POST('/standard/draft/consequences', { body: { changes } })),
        placeholderData: keepPreviousData,
        retry: false,
    });

export const openDraft = () => given(client.POST('/standard/draft'));

export const changeDraft = (changes: Change[]) =>
    given(client.POST('/standard/draft/changes', { body: { changes } }));

export const publishDraft = (revision: number, note: string) =>
    given(client.POST('/standard/draft/publish', { body: { revision, note } }));

export const discardDraft = async (revision: number): Promise<void> => {
    await client.DELETE('/standard/draft', { body: { revision } });
};

/** What the retirement of a rung would leave standing. */
export const openUnitsQuery = (tier: string) =>
    queryOptions({
        queryKey: ['orders', 'at tier', tier],
        queryFn: () => given(client.GET('/standard/tiers/{tier}/open-units', { params: { path: { tier } } })),
    });

export const versionsQuery = () =>
    queryOptions({
        queryKey: ['standard', 'versions'],
        queryFn: () => given(client.GET('/standard/versions')),
    });

/** What changes from one version to another; `to` may be the draft, whose revision then counts. */
export const comparedQuery = (from: number, to: number, revision?: number) =>
    queryOptions({
        queryKey: ['compare', from, to, revision],
        queryFn: () => given(client.GET('/standard/compare', { params: { query: { from, to } } })),
    });

export const fileQuery = (ladder: Ladder | undefined) =>
    queryOptions({
        queryKey: ['standard', 'file', ...edition(ladder)],
        queryFn: () =>
            given(
                client.GET('/standard/versions/{number}/export', {
                    params: { path: { number: ladder?.version.number ?? 0 } },
                }),
            ),
        enabled: ladder !== undefined,
        placeholderData: keepPreviousData,
    });

export const techniquesQuery = () =>
    queryOptions({ queryKey: ['techniques'], queryFn: () => given(client.GET('/standard/techniques')) });

export const differenceQuery = (from: string, to: string, sculpt: string, ladder: Ladder | undefined) =>
    queryOptions({
        queryKey: ['difference', from, to, sculpt, ...edition(ladder)],
        queryFn: () => given(client.GET('/standard/difference', { params: { query: { from, to, sculpt } } })),
        enabled: from !== '' && to !== '' && sculpt !== '',
        placeholderData: keepPreviousData,
    });

export const sheetQuery = (sculpt: string) =>
    queryOptions({
        queryKey: ['comparison', sculpt],
        queryFn: () => given(client.GET('/standard/comparison', { params: { query: { sculpt } } })),
        placeholderData: keepPreviousData,
    });

export const sharedQuery = (secret: string) =>
    queryOptions({
        queryKey: ['shared', secret],
        queryFn: () => given(client.GET('/shared/{secret}', { params: { path: { secret } } })),
        retry: false,
    });

export const sharesQuery = () =>
    queryOptions({ queryKey: ['shares'], queryFn: () => given(client.GET('/shares')) });

export const share = (sculpt: string, prices: boolean, days: number) =>
    given(client.POST('/shares', { body: { sculpt, prices, days } }));

export const withdrawShare = async (link: number): Promise<void> => {
    await client.DELETE('/shares/{link}', { params: { path: { link } } });
};

export const packsQuery = () =>
    queryOptions({ queryKey: ['packs'], queryFn: () => given(client.GET('/packs')) });

export const packText = async (pack: string): Promise<string> =>
    given(client.GET('/packs/{pack}', { params: { path: { pack } }, parseAs: 'text' }));

export const previewFile = (text: string) => given(client.POST('/imports/preview', asText(text)));

/** Taken in at once; a long one by the worker, and then it is told how far that is. */
export const takeFile = (text: string) => given(client.POST('/imports', asText(text)));

const over = ['done', 'refused', 'cancelled'];
export const importQuery = (id: number) =>
    queryOptions({
        queryKey: ['import', id],
        queryFn: () => given(client.GET('/imports/{import}', { params: { path: { import: id } } })),
        refetchInterval: ({ state }) => (over.includes(state.data?.state ?? '') ? false : 700),
    });

export const callOffImport = (id: number) =>
    given(client.DELETE('/imports/{import}', { params: { path: { import: id } } }));

export const limitQuery = (criterion: Criterion, limit: number) =>
    queryOptions({
        queryKey: ['limit', criterion, limit],
        queryFn: () => given(client.GET('/standard/limits', { params: { query: { criterion, limit } } })),
    });

export const examplesQuery = () =>
    queryOptions({ queryKey: ['examples'], queryFn: () => given(client.GET('/standard/examples')) });

export const keepExample = (photograph: number, area: string) =>
    given(client.POST('/standard/examples', { body: { photograph, area } }));

export const removeExample = (example: number) =>
    given(client.DELETE('/standard/examples/{example}', { params: { path: { example } } }));
