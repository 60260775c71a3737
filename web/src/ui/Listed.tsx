import type { InfiniteData, UseInfiniteQueryResult } from '@tanstack/react-query';
import { Button, Flex, Input } from 'antd';
import type { ReactNode } from 'react';
import { Empty, Failed, Loading } from './states';

/** A search that waits for nothing but typing; how long the server is left alone is the list's affair. */
export function Find({
    label,
    value,
    onChange,
}: {
    label: string;
    value: string;
    onChange: (find: string) => void;
}) {
    return (
        <Input
            className="search"
            allowClear
            aria-label={label}
            placeholder={label}
            value={value}
            onChange={(e) => onChange(e.target.value)}
        />
    );
}

/** So many entries are found by looking. */
const FEW = 6;

/** A search that appears once there is more than can be looked over. */
export function FindAmongMany({
    query,
    ...find
}: Parameters<typeof Find>[0] & { query: UseInfiniteQueryResult<InfiniteData<{ data: unknown[] }>> }) {
    const many = (query.data?.pages[0]?.data.length ?? 0) > FEW;
    return many || find.value !== '' ? <Find {...find} /> : null;
}

/** A list from the server, page by page, in each of its states; what narrows it stands above it. */
export function Listed<T>({
    what,
    query,
    tools,
    narrowed,
    empty,
    children,
}: {
    /** What is being read. */
    what: string;
    query: UseInfiniteQueryResult<InfiniteData<{ data: T[] }>>;
    tools?: ReactNode;
    /** Whether something is looked for, so that an empty list is no empty place. */
    narrowed: boolean;
    /** The place as it is before anything is there. */
    empty: ReactNode;
    children: (rows: T[]) => ReactNode;
}) {
    if (query.isPending) return <Loading what={what} />;
    if (query.isError && !query.data)
        return <Failed error={query.error} again={() => void query.refetch()} />;
    const rows = query.data.pages.flatMap((p) => p.data);
    if (rows.length === 0 && !narrowed) return empty;
    return (
        <>
            <Flex gap={8} wrap className="list-tools">
                {tools}
            </Flex>
            {query.isError && <Failed error={query.error} again={() => void query.refetch()} />}
            {rows.length === 0 ? (
                <Empty title="Nothing is like that">
                    <p>Look for other words, or for fewer things at once.</p>
                </Empty>
            ) : (
                children(rows)
            )}
            {query.hasNextPage && (
                <Flex justify="center" className="mt-12">
                    <Button loading={query.isFetchingNextPage} onClick={() => void query.fetchNextPage()}>
                        Show more
                    </Button>
                </Flex>
            )}
        </>
    );
}
