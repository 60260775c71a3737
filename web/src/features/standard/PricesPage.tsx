import { useQuery } from '@tanstack/react-query';
import { fileQuery, ladderQuery } from '../../api/standard';
import { Failed, Loading } from '../../ui/states';
import { NoLadder } from './NoLadder';
import { Prices } from './Prices';

/** What a model costs the client, by size, role and tier; "and up" where there is no upper end. */
export default function PricesPage() {
    const ladder = useQuery(ladderQuery());
    const file = useQuery(fileQuery(ladder.data));
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    if (file.isError) return <Failed error={file.error} again={() => void file.refetch()} />;
    if (ladder.isPending || file.isPending) return <Loading what="the prices" />;
    return <Prices ladder={ladder.data} prices={file.data.prices} />;
}
