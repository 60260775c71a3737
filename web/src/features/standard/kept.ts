import { useState } from 'react';
import type { Clause } from '../../api/types';
import type { At } from '../../ui/LadderGrid';

const KEY = 'ordotype.standard.edit';

/** A clause that is being changed: where it stands, what it was when the change began, what it is to be. */
interface Kept {
    at: At;
    was: Clause | null;
    clause: Clause;
}

function read(): Kept | null {
    const text = sessionStorage.getItem(KEY);
    return text === null ? null : (JSON.parse(text) as Kept);
}

/** What is being typed survives a reload. */
export function useKept() {
    const [found] = useState(read);
    return {
        found,
        keep: (kept: Kept) => sessionStorage.setItem(KEY, JSON.stringify(kept)),
        forget: () => sessionStorage.removeItem(KEY),
    };
}
