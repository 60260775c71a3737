import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import { pagesOf } from './pages';
import type { components } from './schema';

type Bodies = components['schemas'];

export const benchQuery = (find: string) =>
    pagesOf(['bench', find], (cursor) =>
        given(client.GET('/bench', { params: { query: { find, ...(cursor ? { cursor } : {}) } } })),
    );

export const batchQuery = (unit: number) =>
    queryOptions({
        queryKey: ['batch', unit],
        queryFn: () => given(client.GET('/bench/{unit}', { params: { path: { unit } } })),
    });

/** With a key of its own, so that what was tapped once is done once however often it is sent. */
const keyed = (key: string) => ({ headers: { 'Idempotency-Key': key } });

export const mark = (body: Bodies['MarkStepsBody'], key: string) =>
    given(client.POST('/bench/marks', { body, ...keyed(key) }));

/** Asked anew when a pass is done on all models, not with every tap. */
export const forecastQuery = (unit: number, from: number, painters: number, fan: boolean) =>
    queryOptions({
        queryKey: ['forecast', unit, from, painters, fan],
        placeholderData: keepPreviousData,
        queryFn: () =>
            given(
                client.GET('/bench/{unit}/forecast', {
                    params: { path: { unit }, query: { painters, fan } },
                }),
            ),
        staleTime: 60_000,
    });

/** What was marked on a unit, with the minutes that were told for it. */
export const timeQuery = (unit: number) =>
    queryOptions({
        queryKey: ['batch', unit, 'time'],
        queryFn: () => given(client.GET('/bench/{unit}/time', { params: { path: { unit } } })),
    });

export const correctTime = (unit: number, body: Bodies['CorrectTimeBody']) =>
    given(client.PUT('/bench/{unit}/time', { params: { path: { unit } }, body }));

/** So many passes, from the first, were done before it came here. */
export const takeOver = (unit: number, body: Bodies['TakeOverBody']) =>
    given(client.POST('/units/{unit}/taken-over', { params: { path: { unit } }, body }));

export const unmark = (pieces: number[], steps: string[], key: string) =>
    given(client.DELETE('/bench/marks', { body: { pieces, steps }, ...keyed(key) }));

export const offer = (pieces: number[]) => given(client.POST('/bench/offers', { body: { pieces } }));

export const CHECKS = ['checks'] as const;

export const checksQuery = (find: string) =>
    pagesOf([...CHECKS, find], (cursor) =>
        given(client.GET('/checks', { params: { query: { find, ...(cursor ? { cursor } : {}) } } })),
    );

export const checkQuery = (check: number) =>
    queryOptions({
        queryKey: ['check', check],
        queryFn: () => given(client.GET('/checks/{check}', { params: { path: { check } } })),
    });

export const openCheck = (piece: number) =>
    given(client.POST('/pieces/{piece}/check', { params: { path: { piece } } }));

export const answer = (check: number, body: Bodies['AnswerQuestionBody']) =>
    given(client.PUT('/checks/{check}/answers', { params: { path: { check } }, body }));

export const answerLook = (check: number, body: Bodies['AnswerLookBody']) =>
    given(client.PUT('/checks/{check}/looks', { params: { path: { check } }, body }));

export const trayQuery = (unit: number) =>
    queryOptions({
        queryKey: ['tray', unit],
        queryFn: () => given(client.GET('/units/{unit}/tray', { params: { path: { unit } } })),
    });

export const answerTray = (unit: number, body: Bodies['AnswerTrayBody']) =>
    given(client.PUT('/units/{unit}/tray', { params: { path: { unit } }, body }));

export const passTray = (unit: number) =>
    given(client.POST('/units/{unit}/tray', { params: { path: { unit } } }));

/** `revision` is anew whenever something was marked: then other models stand at the gates. */
export const gatesQuery = (unit: number, revision: string) =>
    queryOptions({
        queryKey: ['gates', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/gates', { params: { path: { unit } } })),
    });

export const answerGate = (unit: number, body: Bodies['AnswerGateBody']) =>
    given(client.POST('/units/{unit}/gates', { params: { path: { unit } }, body }));

export const judgeTest = (unit: number, body: Bodies['GateWordBody']) =>
    given(client.POST('/units/{unit}/test-model', { params: { path: { unit } }, body }));

export const takeColours = (unit: number, revision: number) =>
    given(client.POST('/units/{unit}/colours', { params: { path: { unit } }, body: { revision } }));

export const lotQuery = (unit: number) =>
    queryOptions({
        queryKey: ['lot', unit],
        queryFn: () => given(client.GET('/units/{unit}/lot', { params: { path: { unit } } })),
    });

export const drawLot = (unit: number) =>
    given(client.POST('/units/{unit}/lot', { params: { path: { unit } } }));

export const drillQuery = () =>
    queryOptions({ queryKey: ['drill'], queryFn: () => given(client.GET('/drill')), staleTime: Infinity });

export const beginDrill = (body: Bodies['BeginDrillBody']) => given(client.POST('/drill', { body }));

export const callDrill = (drill: number, body: Bodies['CallDrillBody']) =>
    given(client.PUT('/drill/{drill}', { params: { path: { drill } }, body }));

export const askTheClient = (check: number) =>
    given(client.POST('/checks/{check}/concession', { params: { path: { check } } }));

export const concessionQuery = (secret: string) =>
    queryOptions({
        queryKey: ['concession', secret],
        queryFn: () => given(client.GET('/concessions/{secret}', { params: { path: { secret } } })),
        retry: false,
    });

export const concede = (secret: string, body: Bodies['ConcedeBody']) =>
    given(client.POST('/concessions/{secret}', { params: { path: { secret } }, body }));

export const takeCheckOver = (check: number) =>
    given(client.POST('/checks/{check}/hold', { params: { path: { check } } }));

/** What a fault would count; nothing is noted. */
export const judgementQuery = (check: number, body: Bodies['JudgeFaultBody']) =>
    queryOptions({
        queryKey: ['judgement', check, body],
        queryFn: () => given(client.POST('/checks/{check}/judgement', { params: { path: { check } }, body })),
    });

export const overruleFault = (check: number, fault: number, body: Bodies['OverruleFaultBody']) =>
    given(client.PUT('/checks/{check}/faults/{fault}', { params: { path: { check, fault } }, body }));

export const takeFaultAway = (check: number, fault: number) =>
    given(client.DELETE('/checks/{check}/faults/{fault}', { params: { path: { check, fault } } }));

export const closeCheck = (check: number, body: Bodies['CloseCheckBody']) =>
    given(client.POST('/checks/{check}/verdict', { params: { path: { check } }, body }));

export const signPieces = (body: Bodies['SignPiecesBody']) => given(client.POST('/sign-offs', { body }));

/** Drawings of what faults look like, by the fault. */
export const faultPicturesQuery = () =>
    queryOptions({
        queryKey: ['fault pictures'],
        queryFn: () => given(client.GET('/faults/pictures')),
        staleTime: Infinity,
    });

export const certificateQuery = (number: number) =>
    queryOptions({
        queryKey: ['certificate', number],
        queryFn: () => given(client.GET('/sign-offs/{number}', { params: { path: { number } } })),
    });

export const certificateForClientQuery = (secret: string) =>
    queryOptions({
        queryKey: ['certificate', secret],
        queryFn: () => given(client.GET('/certificates/{secret}', { params: { path: { secret } } })),
        retry: false,
    });

/** What a record of these models would say. */
export const previewQuery = (pieces: number[]) =>
    queryOptions({
        queryKey: ['preview', ...pieces],
        queryFn: () => given(client.POST('/sign-offs/preview', { body: { pieces } })),
        retry: false,
    });

export const lateVariantsQuery = (unit: number) =>
    queryOptions({
        queryKey: ['late', unit],
        queryFn: () => given(client.GET('/units/{unit}/late-variants', { params: { path: { unit } } })),
    });

export const giveLateVariants = (unit: number, body: Bodies['LateVariantsBody']) =>
    given(client.POST('/units/{unit}/late-variants', { params: { path: { unit } }, body }));

export const withdrawSignOff = (number: number, reason: string) =>
    given(client.POST('/sign-offs/{number}/withdrawal', { params: { path: { number } }, body: { reason } }));

export const signOffsQuery = () =>
    pagesOf(['sign-offs'], (cursor) =>
        given(client.GET('/sign-offs', { params: { query: cursor ? { cursor } : {} } })),
    );
