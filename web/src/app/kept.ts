import { useEffect, useState } from 'react';

/** A place in this browser for what is being changed and was not sent yet, so that it survives a reload. */
export function keptAt<T>(name: string) {
    const place = `ordotype.kept.${name}`;
    return {
        found: (): T | null => {
            const text = localStorage.getItem(place);
            return text === null ? null : (JSON.parse(text) as T);
        },
        keep: (value: T) => localStorage.setItem(place, JSON.stringify(value)),
        forget: () => localStorage.removeItem(place),
    };
}

/**
 * A document while it is changed, beginning with what was kept of an earlier change to the same revision of it.
 * The name holds the revision: what was begun on an older one is not laid over a newer.
 */
export function useKept<T>(name: string, was: T) {
    const [now, setNow] = useState<T>(() => keptAt<T>(name).found() ?? was);
    const changed = JSON.stringify(now) !== JSON.stringify(was);
    useEffect(() => {
        if (changed) keptAt<T>(name).keep(now);
        else keptAt<T>(name).forget();
    }, [now, changed, name]);
    return { now, setNow, changed, forget: keptAt<T>(name).forget };
}
