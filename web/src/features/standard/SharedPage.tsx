import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { Comparison as Sheet } from '../../api/types';
import { Empty, Loading } from '../../ui/states';
import { Comparison } from './Comparison';

/** What a client sees who has a link: the sheet, and no way anywhere else. */
export default function SharedPage() {
    const { secret } = useParams();
    const query = useQuery({
        queryKey: ['shared', secret],
        queryFn: () => api.get<Sheet>(`shared/${secret ?? ''}`),
        retry: false,
    });
    if (query.isPending) return <Loading what="the sheet" />;
    if (query.isError)
        return (
            <Empty title="Nothing to see here">
                <p>{saysWhy(query.error)}</p>
            </Empty>
        );
    return (
        <main className="page" style={{ maxWidth: 1280, margin: '0 auto' }}>
            <div style={{ display: 'flex', alignItems: 'baseline', gap: 12, margin: '8px 0 14px' }}>
                <h1>The {query.data.sculpt} at every tier</h1>
                <span className="soft">{query.data.studio}</span>
                <span style={{ flex: 1 }} />
                <button className="btn no-print" onClick={() => window.print()}>
                    Print
                </button>
            </div>
            <Comparison sheet={query.data} prices />
            <p className="small soft">
                Prices are ranges and not binding until the studio has confirmed an order. The drawings are
                schematic: they mark what is done, not how it will look.
            </p>
        </main>
    );
}
