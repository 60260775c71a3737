import type { ReactNode } from 'react';
import type { Clause, Ladder } from '../../../api/types';
import { acceptance } from './acceptance';
import { effect } from './effect';
import { finish } from './finish';
import type { ClauseOf, Kind } from './kind';
import { minutes } from './minutes';
import { skill } from './skill';
import { sprayedColours } from './sprayedColours';
import { steps } from './steps';
import { technique } from './technique';

/** Every kind, in the order in which a new row is offered one. */
const KINDS: { [K in Clause['kind']]: Kind<ClauseOf<K>> } = {
    effect,
    technique,
    steps,
    sprayed_colours: sprayedColours,
    finish,
    acceptance,
    minutes,
    skill,
};

/** A clause with what its kind makes of it, whichever that is. */
export interface Seen {
    holds: Kind<Clause>['holds'];
    sentence: ReactNode;
    more: ReactNode;
    short: string;
}

interface Around {
    ladder: Ladder;
    readOnly: boolean;
    onChange: (now: Clause) => void;
}

function through<C extends Clause>(kind: Kind<C>, clause: C, { ladder, readOnly, onChange }: Around): Seen {
    const part = { clause, ladder, readOnly, set: (patch: Partial<C>) => onChange({ ...clause, ...patch }) };
    return {
        holds: kind.holds,
        sentence: kind.sentence(part),
        more: kind.more?.(part),
        short: kind.short(clause),
    };
}

/** A kind that is missing here does not compile. */
export function seen(clause: Clause, around: Around): Seen {
    switch (clause.kind) {
        case 'effect':
            return through(effect, clause, around);
        case 'technique':
            return through(technique, clause, around);
        case 'steps':
            return through(steps, clause, around);
        case 'sprayed_colours':
            return through(sprayedColours, clause, around);
        case 'finish':
            return through(finish, clause, around);
        case 'acceptance':
            return through(acceptance, clause, around);
        case 'minutes':
            return through(minutes, clause, around);
        case 'skill':
            return through(skill, clause, around);
    }
}

/** What a new row may be: its words, and the clause that it begins as. */
export const NEW: { words: string; begins: (id: string) => Clause }[] = Object.values(KINDS);

/** Whether what came with a refusal is a clause. */
export const isClause = (it: unknown): it is Clause =>
    typeof it === 'object' && it !== null && 'kind' in it && typeof it.kind === 'string' && it.kind in KINDS;

/** What a clause says, in a few words, for those who see two of them side by side. */
export const inShort = (clause: Clause, ladder: Ladder): string =>
    seen(clause, { ladder, readOnly: true, onChange: () => undefined }).short;
