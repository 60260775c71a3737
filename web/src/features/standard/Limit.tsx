import { useQuery } from '@tanstack/react-query';
import { saysWhy } from '../../api/client';
import { type Criterion, limitQuery } from '../../api/standard';
import { Drawn } from '../../ui/Drawn';
import { Says } from '../../ui/Says';
import { useSettled } from '../../ui/useSettled';
import css from './Limit.module.css';

/** What a limit looks like: one cloak painted in several ways, and which of them would pass. */
export function Limit({ criterion, limit }: { criterion: Criterion; limit: number }) {
    const asked = useSettled({ criterion, limit }, 250);
    const query = useQuery(limitQuery(asked.criterion, asked.limit));
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    if (!query.data) return null;
    const { data, light_alone: light } = query.data;
    if (data.length === 0) return <p className="small soft m-0">No pictures show this one.</p>;
    return (
        <>
            {light !== null && (
                <p className="small soft">
                    Light alone makes {light} of a model in bare undercoat: a limit asks for something from
                    there on.
                </p>
            )}
            <div className={css.row}>
                {data.map((e) => (
                    <figure key={e.drawn} className={`${css.example} ${e.passes ? '' : css.short}`}>
                        <Drawn address={e.drawn} alt={e.name} instead={<div className={css.empty} />} still />
                        <figcaption>
                            <span className="strong">{e.name}</span>
                            <span className="num">{e.figure}</span>
                            <span className={e.passes ? 'soft' : css.not}>
                                {e.passes ? '✓ passes' : '✗ falls short'}
                            </span>
                        </figcaption>
                    </figure>
                ))}
            </div>
        </>
    );
}
