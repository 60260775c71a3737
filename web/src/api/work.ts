import { queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';

type Bodies = components['schemas'];

export const benchQuery = () =>
    queryOptions({ queryKey: ['bench'], queryFn: () => given(client.GET('/bench')) });

export const batchQuery = (unit: number) =>
    queryOptions({
        queryKey: ['batch', unit],
        queryFn: () => given(client.GET('/bench/{unit}', { params: { path: { unit } } })),
    });

export const mark = (body: Bodies['MarkStepsBody']) => given(client.POST('/bench/marks', { body }));

export const unmark = (piece: number, step: string) =>
    given(client.DELETE('/bench/marks', { body: { piece, step } }));

export const offer = (piece: number) =>
    given(client.POST('/pieces/{piece}/offer', { params: { path: { piece } } }));

export const checksQuery = () =>
    queryOptions({ queryKey: ['checks'], queryFn: () => given(client.GET('/checks')) });

export const checkQuery = (check: number) =>
    queryOptions({
        queryKey: ['check', check],
        queryFn: () => given(client.GET('/checks/{check}', { params: { path: { check } } })),
    });

export const openCheck = (piece: number) =>
    given(client.POST('/pieces/{piece}/check', { params: { path: { piece } } }));

export const answer = (check: number, body: Bodies['AnswerQuestionBody']) =>
    given(client.PUT('/checks/{check}/answers', { params: { path: { check } }, body }));

export const takeFaultAway = (check: number, fault: number) =>
    given(client.DELETE('/checks/{check}/faults/{fault}', { params: { path: { check, fault } } }));

export const closeCheck = (check: number, body: Bodies['CloseCheckBody']) =>
    given(client.POST('/checks/{check}/verdict', { params: { path: { check } }, body }));

export const signPieces = (pieces: number[]) => given(client.POST('/sign-offs', { body: { pieces } }));

export const certificateQuery = (number: number) =>
    queryOptions({
        queryKey: ['certificate', number],
        queryFn: () => given(client.GET('/sign-offs/{number}', { params: { path: { number } } })),
    });

export const withdrawSignOff = (number: number, reason: string) =>
    given(client.POST('/sign-offs/{number}/withdrawal', { params: { path: { number } }, body: { reason } }));

export const signOffsQuery = () =>
    queryOptions({ queryKey: ['sign-offs'], queryFn: () => given(client.GET('/sign-offs')) });
