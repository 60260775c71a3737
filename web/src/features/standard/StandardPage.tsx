import { useQuery } from '@tanstack/react-query';
import { ladderQuery } from '../../api/standard';
import { Loading } from '../../ui/states';
import { NoLadder } from './NoLadder';
import { LadderView } from './LadderView';

export default function StandardPage() {
    const query = useQuery(ladderQuery());
    if (query.isPending) return <Loading what="the ladder" />;
    if (query.isError) return <NoLadder error={query.error} again={() => void query.refetch()} />;
    return <LadderView ladder={query.data} />;
}
