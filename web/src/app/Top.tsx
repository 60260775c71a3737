import type { ReactNode } from 'react';

/** The line at the top of a page: where one is, and the one main action at its right end. */
export function Top({ children }: { children: ReactNode }) {
    return <header className="top">{children}</header>;
}
