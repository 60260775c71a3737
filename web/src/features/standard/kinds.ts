import type { Clause } from '../../api/types';

/** What a new row of each kind begins as. */
export const KINDS: { kind: Clause['kind']; words: string; starts: Omit<Clause, 'id' | 'kind'> }[] = [
    {
        kind: 'effect',
        words: 'A result on some areas, by whatever technique',
        starts: {
            effect: 'highlight_edge',
            extent: 'full',
            passes: 1,
            scope: { rank: ['main', 'secondary'] },
        },
    },
    {
        kind: 'technique',
        words: 'A technique: needed, allowed, on request, not offered',
        starts: { technique: 'glaze', status: 'allowed' },
    },
    { kind: 'steps', words: 'How many colour steps', starts: { min: 1, max: 3, scope: { rank: ['main'] } } },
    { kind: 'sprayed_colours', words: 'How many sprayed colours', starts: { min: 1, max: 2 } },
    {
        kind: 'finish',
        words: 'A figure that can be measured',
        starts: { criterion: 'tonal_span', limit: 18, scope: { rank: ['main'] } },
    },
    {
        kind: 'acceptance',
        words: 'How models are accepted',
        starts: {
            role: ['regular'],
            inspect: 'all',
            limits: { critical: 0, major: 0, minor: 3 },
            views: ['front', 'back'],
            gates: ['final'],
            consent: 'major',
        },
    },
    { kind: 'minutes', words: 'A ceiling of minutes', starts: { size: ['infantry'], max: 60 } },
    { kind: 'skill', words: 'Who may paint it', starts: { min: 2 } },
];
