import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { client, given } from './client';
import type { components } from './schema';
import type { Edits, Variant } from './types';

type Bodies = components['schemas'];
const of = (unit: number) => ({ path: { unit } });

/** The plan of a unit, or of one of its models by its number. */
export const planQuery = (unit: number, piece?: number | null) =>
    queryOptions({
        queryKey: ['plan', unit, piece ?? null],
        queryFn: () =>
            given(
                client.GET('/units/{unit}/plan', {
                    params: { path: { unit }, query: piece == null ? {} : { piece } },
                }),
            ),
    });

export const tiersQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['tiers', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/tiers', { params: of(unit) })),
    });

export const schoolsQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['schools', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/schools', { params: of(unit) })),
        placeholderData: keepPreviousData,
    });

export const stopsQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['stops', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/stops', { params: of(unit) })),
    });

export const sprayingQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['spraying', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/spraying', { params: of(unit) })),
    });

export const paintsOfUnitQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['paints-of', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/paints', { params: of(unit) })),
    });

/** Beside the planner's own plan, an aim, a tier, another unit or one of its models. */
export const besideQuery = (unit: number, beside: string, revision: number) =>
    queryOptions({
        queryKey: ['beside', unit, beside, revision],
        queryFn: () =>
            given(
                client.GET('/units/{unit}/compare', {
                    params: { path: { unit }, query: { with: beside } },
                }),
            ),
    });

export const raiseQuery = (unit: number, tier: string, from: 'finished' | 'stands', revision: number) =>
    queryOptions({
        queryKey: ['raise', unit, tier, from, revision],
        queryFn: () =>
            given(client.GET('/units/{unit}/raise', { params: { path: { unit }, query: { tier, from } } })),
        enabled: tier !== '',
    });

export const aimsQuery = (unit: number, revision: number) =>
    queryOptions({
        queryKey: ['aims', unit, revision],
        queryFn: () => given(client.GET('/units/{unit}/aims', { params: of(unit) })),
    });

export const spare = (unit: number, minutes: number) =>
    given(client.POST('/units/{unit}/spare', { params: of(unit), body: { minutes } }));

export const editPlan = (unit: number, revision: number, edits: Edits, piece?: number | null) =>
    given(
        client.PUT('/units/{unit}/plan', {
            params: of(unit),
            body: { revision, edits, ...(piece == null ? {} : { piece }) },
        }),
    );

export const release = (unit: number, revision: number, despite?: string) =>
    given(
        client.POST('/units/{unit}/release', {
            params: of(unit),
            body: { revision, ...(despite ? { despite } : {}) },
        }),
    );

export const takeBack = (unit: number, revision: number) =>
    given(client.DELETE('/units/{unit}/release', { params: of(unit), body: { revision } }));

export const amend = (unit: number, body: Bodies['AmendUnitBody']) =>
    given(client.POST('/units/{unit}/amendments', { params: of(unit), body }));

export const takeAmendmentBack = (unit: number, amendment: number, revision: number) =>
    given(
        client.DELETE('/units/{unit}/amendments/{amendment}', {
            params: { path: { unit, amendment } },
            body: { revision },
        }),
    );

export const setMethod = (unit: number, body: Bodies['ChangeMethodBody']) =>
    given(client.PUT('/units/{unit}/method', { params: of(unit), body }));

export const moveToTier = (unit: number, tier: string, revision: number) =>
    given(client.PUT('/units/{unit}/tier', { params: of(unit), body: { tier, revision } }));

export const raise = (unit: number, tier: string, from: 'finished' | 'stands', revision: number) =>
    given(client.POST('/units/{unit}/raise', { params: of(unit), body: { tier, from, revision } }));

export const copyPlan = (unit: number, to: number, revision: number) =>
    given(client.POST('/units/{unit}/copy', { params: of(unit), body: { to, revision } }));

/** What moving a step would break; nothing is kept. */
export const tryMove = (unit: number, step: string, to: number) =>
    given(client.POST('/units/{unit}/move', { params: of(unit), body: { step, to } }));

export const setSequence = (unit: number, sequence: string[], revision: number) =>
    given(client.PUT('/units/{unit}/sequence', { params: of(unit), body: { sequence, revision } }));

export const setAside = (unit: number, body: Bodies['SetRulesAsideBody']) =>
    given(client.POST('/units/{unit}/overrules', { params: of(unit), body }));

export const uphold = (unit: number, overrule: number, revision: number) =>
    given(
        client.DELETE('/units/{unit}/overrules/{overrule}', {
            params: { path: { unit, overrule } },
            body: { revision },
        }),
    );

export const setStep = (unit: number, body: Bodies['ChangeStepBody']) =>
    given(client.PUT('/units/{unit}/step', { params: of(unit), body }));

export const setPractice = (unit: number, technique: string | null, revision: number) =>
    given(client.PUT('/units/{unit}/practice', { params: of(unit), body: { technique, revision } }));

export const setAim = (unit: number, aim: 'quickest' | 'best' | null, revision: number) =>
    given(client.PUT('/units/{unit}/aim', { params: of(unit), body: { aim, revision } }));

export const setVariants = (unit: number, variants: Variant[], revision: number) =>
    given(client.PUT('/units/{unit}/variants', { params: of(unit), body: { variants, revision } }));

export const setLacks = (piece: number, lacks: string[], revision: number) =>
    given(client.PUT('/pieces/{piece}/lacks', { params: { path: { piece } }, body: { lacks, revision } }));
