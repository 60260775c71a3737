import type { Ladder } from '../../api/types';

/** The figure that is looked at first: a hero shows most of what a tier asks. */
export const trialFigure = (ladder: Ladder): string =>
    (ladder.sculpts.find((s) => s.role === 'hero') ?? ladder.sculpts[0])?.slug ?? '';
