import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Image, Spin } from 'antd';
import { drawingQuery, pictureOf } from '../api/drawings';
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
    const query = useQuery(drawingQuery(address));
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
                    'The drawing did not come about; this is a sketch.'
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
