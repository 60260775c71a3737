import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { codeQuery } from '../../api/clients';
import { Failed, Loading } from '../../ui/states';

/** Where the mark on a label leads. */
export default function CodePage() {
    const { code } = useParams();
    const query = useQuery(codeQuery(code ?? ''));
    if (query.isPending) return <Loading what="the model" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Navigate replace to={query.data.to} />;
}
