import { useLayoutEffect } from 'react';

let locks = 0;

/**
 * Keeps the page from scrolling behind a dialog, by a class. The library's own way puts a style into the page without
 * the nonce that the content policy asks for; the build puts this in its place.
 */
export default function useScrollLock(lock?: boolean): void {
    useLayoutEffect(() => {
        if (!lock) return;
        document.body.classList.toggle('locked', ++locks > 0);
        return () => {
            document.body.classList.toggle('locked', --locks > 0);
        };
    }, [lock]);
}
