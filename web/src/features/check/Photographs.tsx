import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Flex } from 'antd';
import { saysWhy } from '../../api/client';
import { keepPhotograph, photographsQuery, type PhotographView } from '../../api/photographs';
import type { Check } from '../../api/types';
import { Says } from '../../ui/Says';
import { PhotoList } from '../photographs/PhotoList';
import { TakePhoto } from '../photographs/TakePhoto';
import { Evenness } from './Evenness';
import { Held } from './Held';

/** Photographs of the model that is looked at: taken in, laid under its outlines, measured. */
export function Photographs({
    check,
    view,
    open,
}: {
    check: Check;
    view: PhotographView;
    open: (question: string) => void;
}) {
    const queries = useQueryClient();
    const query = useQuery(photographsQuery(check.piece.id));
    const again = () => queries.invalidateQueries({ queryKey: ['photographs', check.piece.id] });
    const broken = query.data?.held.filter((h) => !h.is_met) ?? [];
    return (
        <section aria-label="Photographs">
            <Flex gap={8} align="center" wrap className="mb-8">
                <span className="eyebrow">Photographs</span>
                <TakePhoto
                    text={`Photograph of the ${view}`}
                    keep={(sha256) => keepPhotograph(check.piece.id, { sha256, view })}
                    kept={again}
                />
                <Evenness check={check} />
            </Flex>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {broken.length > 0 && (
                <div className="mb-8">
                    <Held held={broken} open={open} brief />
                </div>
            )}
            <PhotoList
                photographs={query.data?.data ?? []}
                marks={query.data?.marks}
                figure={check.figure}
                again={again}
            />
        </section>
    );
}
