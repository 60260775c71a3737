import { useQuery } from '@tanstack/react-query';
import { Skeleton } from 'antd';
import { drawingQuery, pictureOf } from '../api/drawings';
import type { Crop } from '../api/quotes';
import css from './Cropped.module.css';

/** A part of a drawing, large. */
export function Cropped({ address, crop, alt }: { address: string; crop: Crop; alt: string }) {
    const query = useQuery(drawingQuery(address));
    const ready = query.data?.state === 'ready';
    return (
        <div className={css.crop} role="img" aria-label={`${alt}, drawn`}>
            {ready ? (
                <img
                    src={pictureOf(address)}
                    alt=""
                    draggable={false}
                    style={{
                        width: `${100 / crop.width}%`,
                        left: `${(-100 * crop.left) / crop.width}%`,
                        top: `${(-100 * crop.top) / crop.height}%`,
                    }}
                />
            ) : (
                <Skeleton.Node active className={css.wait ?? ''} style={{ width: '100%', height: '100%' }} />
            )}
        </div>
    );
}
