import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { sculptQuery } from '../../api/colours';
import { Failed, Loading } from '../../ui/states';
import { MapEditor } from './MapEditor';

export default function MapPage() {
    const { slug } = useParams();
    const query = useQuery(sculptQuery(slug ?? ''));
    if (query.isPending) return <Loading what="the map" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <MapEditor key={`${query.data.slug} ${query.data.revision}`} map={query.data} />;
}
