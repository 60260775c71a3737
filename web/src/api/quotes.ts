import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Bodies = components['schemas'];

export type Quote = Bodies['Quote'];
export type QuoteVersion = Bodies['QuoteVersion'];
export type QuoteExtra = Bodies['QuoteExtra'];
export type QuoteSums = Bodies['QuoteSums'];
export type UnitInQuote = Bodies['UnitInQuote'];
export type OrderForClient = Bodies['OrderForClient'];
export type UnitForClient = Bodies['UnitForClient'];
export type Crop = Bodies['Crop'];
export type TypedQuote = Omit<Bodies['TypeQuoteBody'], 'revision'>;

const on = (order: number) => ({ path: { order } });

export const quoteQuery = (order: number) =>
    queryOptions({
        queryKey: ['quote', order],
        queryFn: () => given(client.GET('/orders/{order}/quote', { params: on(order) })),
    });

export const typeQuote = (order: number, body: Bodies['TypeQuoteBody']) =>
    given(client.PUT('/orders/{order}/quote', { params: on(order), body }));

export const sendQuote = (order: number, body: Bodies['SendQuoteBody']) =>
    given(client.POST('/orders/{order}/quotes', { params: on(order), body }));

export const settleQuote = (order: number, number: number, body: Bodies['SettleQuoteBody']) =>
    given(
        client.PUT('/orders/{order}/quotes/{number}/came-true', {
            params: { path: { order, number } },
            body,
        }),
    );

export const agreeOtherwise = (order: number, body: Bodies['AgreeOtherwiseBody']) =>
    given(client.PUT('/orders/{order}/agreed', { params: on(order), body }));

export const budgetQuery = (order: number, amount: string) =>
    queryOptions({
        queryKey: ['budget', order, amount],
        queryFn: () =>
            given(client.GET('/orders/{order}/budget', { params: { ...on(order), query: { amount } } })),
        retry: false,
    });

export const fitBudget = (order: number, body: Bodies['FitBudgetBody']) =>
    given(client.PUT('/orders/{order}/budget', { params: on(order), body }));

export const continueArmy = (order: number, until: string) =>
    given(client.POST('/orders/{order}/continued', { params: on(order), body: { until } }));

export const lettersQuery = (order: number, revision: number) =>
    queryOptions({
        queryKey: ['letters', order, revision],
        queryFn: () => given(client.GET('/orders/{order}/letter', { params: on(order) })),
    });

export const sendLetter = (order: number, body: Bodies['SendLetterBody']) =>
    client.POST('/orders/{order}/letter', { params: on(order), body });

export const extrasQuery = (unit: number) =>
    queryOptions({
        queryKey: ['extras', unit],
        queryFn: () => given(client.GET('/units/{unit}/extras', { params: { path: { unit } } })),
    });

export const costsQuery = (slug: string) =>
    queryOptions({
        queryKey: ['costs', slug],
        queryFn: () => given(client.GET('/sculpts/{slug}/costs', { params: { path: { slug } } })),
        enabled: slug !== '',
    });

/** Where a client's page is read: by its secret, or as the studio looks at it. */
export type PageOf = { secret: string } | { order: number };

export const clientPageQuery = (of: PageOf, ticks: string[]) =>
    queryOptions({
        queryKey: ['client-page', of, ticks],
        queryFn: () => {
            const query = ticks.length === 0 ? {} : { ticks: ticks.join(',') };
            return 'secret' in of
                ? given(client.GET('/for-you/{secret}', { params: { path: of, query } }))
                : given(client.GET('/orders/{order}/client-page', { params: { path: of, query } }));
        },
        retry: false,
        placeholderData: (before) => before,
    });

const by = (secret: string) => ({ path: { secret } });

export const answerQuote = (secret: string, body: Bodies['AnswerQuoteBody']) =>
    given(client.POST('/for-you/{secret}/answer', { params: by(secret), body }));

export const askStudio = (secret: string, body: Bodies['AskStudioBody']) =>
    given(client.POST('/for-you/{secret}/questions', { params: by(secret), body }));

export const replyToStudio = (secret: string, question: number, body: Bodies['ReplyToStudioBody']) =>
    given(
        client.PUT('/for-you/{secret}/questions/{question}', {
            params: { path: { secret, question } },
            body,
        }),
    );

export const unitAtTiersQuery = (secret: string, unit: number) =>
    queryOptions({
        queryKey: ['unit-at-tiers', secret, unit],
        queryFn: () =>
            given(client.GET('/for-you/{secret}/units/{unit}/tiers', { params: { path: { secret, unit } } })),
    });
