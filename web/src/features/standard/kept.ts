import { useState } from 'react';
import type { Clause } from '../../api/types';
import { keptAt } from '../../app/kept';
import type { At } from '../../ui/LadderGrid';

/** A clause that is being changed: where it stands, what it was when the change began, what it is to be. */
interface Edit {
    at: At;
    was: Clause | null;
    clause: Clause;
}

const edit = keptAt<Edit>('standard.edit');

/** What is being typed survives a reload. */
export function useKeptEdit() {
    const [found] = useState(edit.found);
    return { ...edit, found };
}
