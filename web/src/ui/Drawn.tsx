import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Button, Image, Spin } from 'antd';
import { drawAgain, drawingQuery, pictureOf } from '../api/drawings';
import css from './Drawn.module.css';
import { Still } from './Still';

/** A drawing of the booth; until it is drawn, what stands in for it. It opens large, unless it is `still`. */
export function Drawn({
    address,
    alt,
    instead,
    still = false,
}: {
    address: string;
    alt: string;
    instead: ReactNode;
    still?: boolean;
}) {
    const queries = useQueryClient();
    const query = useQuery(drawingQuery(address));
    const again = useMutation({
        mutationFn: () => drawAgain(address),
        onSuccess: (next) => queries.setQueryData(drawingQuery(address).queryKey, next),
    });
    const state = query.data?.state;
    if (state === 'ready') {
        return still ? (
            <Still className={css.picture} src={pictureOf(address)} alt={`${alt}, drawn`} />
        ) : (
            <Image
                className={css.picture}
                src={pictureOf(address)}
                alt={`${alt}, drawn`}
                preview={{ mask: 'look at it large' }}
            />
        );
    }
    const failed = query.isError || state === 'failed';
    const before = query.data?.before ?? 0;
    return (
        <div className={css.waiting}>
            {instead}
            <div className={css.note} role="status">
                {failed ? (
                    <>
                        It could not be drawn; this is a sketch.{' '}
                        <Button
                            type="link"
                            size="small"
                            loading={again.isPending}
                            onClick={() => again.mutate()}
                        >
                            Try again
                        </Button>
                    </>
                ) : (
                    <>
                        <Spin size="small" />{' '}
                        {before > 0 ? `being drawn, ${before} before it` : 'being drawn'}
                    </>
                )}
            </div>
        </div>
    );
}
