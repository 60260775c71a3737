import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';
import { planQuery } from '../../api/units';
import { Failed, Loading } from '../../ui/states';
import { PlanOfUnit } from './PlanOfUnit';

export default function PlanPage() {
    const { id } = useParams();
    const [search] = useSearchParams();
    const piece = search.get('piece');
    const query = useQuery(planQuery(Number(id), piece === null ? null : Number(piece)));
    if (query.isPending) return <Loading what="the plan" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <PlanOfUnit data={query.data} />;
}
