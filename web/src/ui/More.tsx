import { Collapse } from 'antd';
import type { ReactNode } from 'react';

/** What is there for those who ask, and quiet until then. */
export function More({
    label,
    className = '',
    children,
}: {
    label: ReactNode;
    className?: string;
    children: ReactNode;
}) {
    return (
        <Collapse
            ghost
            size="small"
            className={`more ${className}`}
            items={[{ key: 'more', label, children }]}
        />
    );
}
