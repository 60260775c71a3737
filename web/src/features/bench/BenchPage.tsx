import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../../api/client';
import type { BenchUnit } from '../../api/types';
import { Top } from '../../app/Frame';
import { StageStrip } from '../../ui/marks';
import { Empty, Failed, Loading } from '../../ui/states';

export default function BenchPage() {
    const query = useQuery({ queryKey: ['bench'], queryFn: () => api.get<{ data: BenchUnit[] }>('bench') });
    return (
        <div className="bench">
            <Top>
                <h1>Bench</h1>
                <span className="soft">what is released, the most urgent first</span>
            </Top>
            <div
                className="page"
                style={{
                    display: 'grid',
                    gap: 14,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(340px, 1fr))',
                }}
            >
                {query.isPending ? (
                    <Loading what="the bench" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="Nothing is on the bench">
                        <p>The lead releases units from their plans. Then they wait here.</p>
                    </Empty>
                ) : (
                    query.data.data.map((u) => {
                        const done = u.pieces.reduce((n, p) => n + Math.min(p.done, u.steps), 0);
                        const back = u.pieces.filter((p) => p.stage === 'rework').length;
                        return (
                            <section
                                key={u.id}
                                className="card pad"
                                style={{ display: 'flex', flexDirection: 'column', gap: 12 }}
                            >
                                <div>
                                    <h2>
                                        {u.pieces.length} × {u.sculpt}
                                    </h2>
                                    <span className="soft">
                                        {u.tier} · {u.title}
                                        {u.due_on
                                            ? ` · due ${new Date(u.due_on).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}`
                                            : ''}
                                    </span>
                                </div>
                                <div
                                    className="bar"
                                    role="img"
                                    aria-label={`${Math.round((100 * done) / Math.max(1, u.steps * u.pieces.length))} % done`}
                                >
                                    <i
                                        style={{
                                            width: `${(100 * done) / Math.max(1, u.steps * u.pieces.length)}%`,
                                        }}
                                    />
                                </div>
                                <StageStrip pieces={u.pieces} />
                                {back > 0 && (
                                    <p className="says bad" style={{ margin: 0 }}>
                                        {back} sent back by the check
                                    </p>
                                )}
                                <Link
                                    className="btn main big"
                                    style={{ marginTop: 'auto' }}
                                    to={`/bench/${u.id}`}
                                >
                                    Work on this batch
                                </Link>
                            </section>
                        );
                    })
                )}
            </div>
        </div>
    );
}
