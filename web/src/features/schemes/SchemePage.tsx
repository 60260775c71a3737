import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { schemeQuery } from '../../api/colours';
import { Failed, Loading } from '../../ui/states';
import { SchemeEditor } from './SchemeEditor';

export default function SchemePage() {
    const { slug } = useParams();
    const [search] = useSearchParams();
    const order = search.get('order');
    const shownOn = order === null ? null : Number(order);
    const query = useQuery(schemeQuery(slug ?? '', shownOn));
    if (query.isPending) return <Loading what="the scheme" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return (
        <SchemeEditor key={`${query.data.slug} ${query.data.number}`} scheme={query.data} order={shownOn} />
    );
}
