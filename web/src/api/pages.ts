import { infiniteQueryOptions, keepPreviousData } from '@tanstack/react-query';

interface Page {
    next_cursor: string | null;
}

/** A list that comes page by page; while it is narrowed, what was there stays in sight. */
export const pagesOf = <T extends Page>(
    key: readonly unknown[],
    page: (cursor: string | undefined) => Promise<T>,
) =>
    infiniteQueryOptions({
        queryKey: key,
        queryFn: ({ pageParam }) => page(pageParam),
        initialPageParam: undefined as string | undefined,
        getNextPageParam: (last: T) => last.next_cursor ?? undefined,
        placeholderData: keepPreviousData,
    });
