import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { saysWhy } from '../api/client';
import { Empty, Loading } from './states';

/** A page that somebody without an account has an address of: what is behind it, or that it shows nothing. */
export function BehindLink<T>({
    query,
    what,
    children,
}: {
    query: UseQueryResult<T>;
    what: string;
    children: (data: T) => ReactNode;
}) {
    if (query.isPending) return <Loading what={what} />;
    if (query.isError)
        return (
            <Empty title="Nothing to see here">
                <p>{saysWhy(query.error)}</p>
            </Empty>
        );
    return children(query.data);
}
