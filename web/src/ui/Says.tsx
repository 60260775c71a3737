import { Alert } from 'antd';
import type { ReactNode } from 'react';

const TYPES = { bad: 'error', warn: 'warning', good: 'success', plain: 'info' } as const;

/** Something the page has to say: what failed is told at once to those who hear it. */
export function Says({
    kind,
    className = '',
    children,
}: {
    kind: keyof typeof TYPES;
    className?: string;
    children: ReactNode;
}) {
    return (
        <Alert
            type={TYPES[kind]}
            className={`says ${className}`}
            title={children}
            role={kind === 'bad' ? 'alert' : 'status'}
        />
    );
}
