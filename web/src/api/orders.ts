import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import { pagesOf } from './pages';
import type { components, operations } from './schema';

type Bodies = components['schemas'];

export type OrdersAsked = Omit<NonNullable<operations['listOrders']['parameters']['query']>, 'cursor'>;

export const ORDERS = ['orders'] as const;

export const ordersQuery = (asked: OrdersAsked) =>
    pagesOf([...ORDERS, asked], (cursor) =>
        given(client.GET('/orders', { params: { query: { ...asked, ...(cursor ? { cursor } : {}) } } })),
    );

export const orderQuery = (order: number) =>
    queryOptions({
        queryKey: ['order', order],
        queryFn: () => given(client.GET('/orders/{order}', { params: { path: { order } } })),
    });

/** When it is painted, as the batches lie. */
export const orderForecastQuery = (order: number) =>
    queryOptions({
        queryKey: ['order', order, 'forecast'],
        queryFn: () => given(client.GET('/orders/{order}/forecast', { params: { path: { order } } })),
        staleTime: 60_000,
    });

export const openOrder = (body: Bodies['OpenOrderBody']) => given(client.POST('/orders', { body }));

/** Only what changes is sent. */
export const editOrder = (order: number, body: Bodies['EditOrderBody']) =>
    given(client.PUT('/orders/{order}', { params: { path: { order } }, body }));

export const addUnit = (order: number, body: Bodies['AddUnitBody']) =>
    given(client.POST('/orders/{order}/units', { params: { path: { order } }, body }));

/** The scheme of an order, its reference picture, or both. */
export const colourOrder = (order: number, body: Bodies['GiveSchemeBody']) =>
    given(client.PUT('/orders/{order}/scheme', { params: { path: { order } }, body }));

export const movePiece = (piece: number, body: Bodies['MovePieceBody']) =>
    given(client.POST('/pieces/{piece}/move', { params: { path: { piece } }, body }));

/** Kept under the hash of what it shows. */
export const takePicture = (file: File) => {
    const form = new FormData();
    form.append('picture', file);
    return given(client.POST('/pictures', { body: form as never, bodySerializer: () => form }));
};

export const orderLinksQuery = (order: number) =>
    queryOptions({
        queryKey: ['order-links', order],
        queryFn: () => given(client.GET('/orders/{order}/links', { params: { path: { order } } })),
    });

export const shareOrder = (order: number) =>
    given(client.POST('/orders/{order}/links', { params: { path: { order } } }));

const on = (order: number) => ({ path: { order } });

/** Each answers with the order as it stands then. */
export const moveOrder = (order: number, body: Bodies['MoveOrderBody']) =>
    given(client.POST('/orders/{order}/moves', { params: on(order), body }));

export const holdOrder = (order: number, body: Bodies['HoldOrderBody']) =>
    given(client.PUT('/orders/{order}/hold', { params: on(order), body }));

export const resumeOrder = (order: number, revision: number) =>
    given(client.DELETE('/orders/{order}/hold', { params: on(order), body: { revision } }));

export const planPayments = (order: number, body: Bodies['PlanPaymentsBody']) =>
    given(client.PUT('/orders/{order}/payments', { params: on(order), body }));

export const notePayment = (order: number, payment: number, body: Bodies['NotePaymentBody']) =>
    given(client.PUT('/orders/{order}/payments/{payment}', { params: { path: { order, payment } }, body }));

export const noteParcel = (order: number, body: Bodies['ParcelBody']) =>
    given(client.POST('/orders/{order}/parcels', { params: on(order), body }));

export const askClient = (order: number, body: Bodies['AskClientBody']) =>
    given(client.POST('/orders/{order}/questions', { params: on(order), body }));

export const noteAnswer = (question: number, body: Bodies['NoteAnswerBody']) =>
    given(client.PUT('/questions/{question}', { params: { path: { question } }, body }));

export const receiveUnit = (unit: number, body: Bodies['ReceiveUnitBody']) =>
    given(client.PUT('/units/{unit}/receiving', { params: { path: { unit } }, body }));

export const editUnit = (unit: number, body: Bodies['EditUnitBody']) =>
    given(client.PUT('/units/{unit}', { params: { path: { unit } }, body }));

export const splitUnit = (unit: number, body: Bodies['SplitUnitBody']) =>
    given(client.POST('/units/{unit}/split', { params: { path: { unit } }, body }));

export const removeUnit = (unit: number, revision: number) =>
    given(client.DELETE('/units/{unit}', { params: { path: { unit } }, body: { revision } }));

export const pasteLines = (order: number, lines: string, keep: boolean) =>
    given(client.POST('/orders/{order}/lines', { params: on(order), body: { lines, keep } }));

export const owedQuery = (order: number, revision: number) =>
    queryOptions({
        queryKey: ['owed', order, revision],
        queryFn: () => given(client.GET('/orders/{order}/owed', { params: on(order) })),
    });
