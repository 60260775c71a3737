import type { ReactNode } from 'react';
import type { Clause, Ladder } from '../../../api/types';

export type ClauseOf<K extends Clause['kind']> = Extract<Clause, { kind: K }>;

export interface Part<C> {
    clause: C;
    ladder: Ladder;
    readOnly: boolean;
    /** What is set to nothing is left out of the clause. */
    set: (patch: Partial<C>) => void;
}

/** What the ladder needs to know to write clauses of one kind. */
export interface Kind<C> {
    /** What a new row of it is called. */
    words: string;
    /** What a new row of it begins as. */
    begins: (id: string) => C;
    /** Whether it speaks of areas, of whole models, or says itself of what. */
    holds: 'on areas' | 'on models' | 'as it says';
    /** The sentence itself; each slot is changed in place. */
    sentence: (part: Part<C>) => ReactNode;
    /** What is changed more rarely. */
    more?: (part: Part<C>) => ReactNode;
    /** What it says, in a few words, for those who see two of them side by side. */
    short: (clause: C) => string;
}
