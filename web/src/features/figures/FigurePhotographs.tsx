import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Flex, Segmented } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { figurePhotographsQuery, keepFigurePhotograph } from '../../api/photographs';
import type { Outlined } from '../photographs/placing';
import { Says } from '../../ui/Says';
import { PhotoList } from '../photographs/PhotoList';
import { TakePhoto } from '../photographs/TakePhoto';

/** Photographs of the figure in undercoat, by which the light is known, or bare. */
export function FigurePhotographs({
    slug,
    areas,
    view,
}: {
    slug: string;
    areas: Outlined[];
    view: 'front' | 'back';
}) {
    const queries = useQueryClient();
    const query = useQuery(figurePhotographsQuery(slug));
    const [shows, setShows] = useState<'undercoated' | 'bare'>('undercoated');
    const again = () => queries.invalidateQueries({ queryKey: ['photographs', slug] });
    return (
        <section className="card pad" aria-label="Photographs of the figure">
            <div className="eyebrow">Photographs</div>
            <p className="small soft">
                One in undercoat, in the light that painted models are photographed in, takes form and shadow
                out of what is measured.
            </p>
            <Flex gap={8} wrap align="center" className="mb-8">
                <Segmented
                    size="small"
                    value={shows}
                    onChange={setShows}
                    options={[
                        { label: 'in undercoat', value: 'undercoated' },
                        { label: 'bare', value: 'bare' },
                    ]}
                />
                <TakePhoto
                    text={`Photograph of the ${view}`}
                    keep={(sha256) => keepFigurePhotograph(slug, { sha256, view, shows })}
                    kept={again}
                />
            </Flex>
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            <PhotoList
                photographs={query.data?.data ?? []}
                marks={query.data?.marks}
                figure={areas}
                again={again}
            />
        </section>
    );
}
