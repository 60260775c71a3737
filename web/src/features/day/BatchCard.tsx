import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Popconfirm } from 'antd';
import { Link } from 'react-router';
import { anewQuery, type BenchDay, endBatch, layBatchAnew } from '../../api/batches';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { minutes } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { day, time } from '../../ui/when';
import css from './Day.module.css';

type Standing = BenchDay['batches'][number];

/** When a batch is ready, against the day it is due, and what would make it sooner. */
export function BatchCard({ batch, change }: { batch: Standing; change: () => void }) {
    const { brief } = batch;
    const person = usePerson();
    const isLead = can(person, 'plan.edit');
    const late = brief.units.some(isLate);
    return (
        <section className={`card pad ${css.batch} ${late ? css.late : ''}`} aria-label={brief.name}>
            <Flex justify="space-between" gap={8} align="baseline" wrap>
                <h2 className="m-0">{brief.name}</h2>
                <span className="soft small">
                    {brief.models} {brief.models === 1 ? 'model' : 'models'}
                </span>
            </Flex>
            <p className={css.tells}>{ready(batch)}</p>
            {brief.units.map((u) => (
                <Flex key={u.id} gap={8} justify="space-between" align="baseline" wrap>
                    <Link to={`/bench/${u.id}`}>
                        {u.models} × {u.sculpt}
                    </Link>
                    <span className={`small ${isLate(u) ? css.isLate : 'soft'}`}>
                        {u.finish === null ? 'painted' : `${day(u.finish, false)}, ${time(u.finish)}`}
                        {u.due_on === null ? '' : `, ${isLate(u) ? 'was ' : ''}due ${day(u.due_on, false)}`}
                    </span>
                </Flex>
            ))}
            <p className="small soft m-0">
                {batch.waiting < 1
                    ? 'Nobody waits for paint.'
                    : `Painters stand still for ${minutes(batch.waiting)}: paint dries, or a look is awaited.`}
            </p>
            {batch.left > 0 && (
                <Says kind="bad">
                    For {batch.left} of its coats nobody has the skill or the hours: add a painter.
                </Says>
            )}
            {isLead && <Anew batch={batch} />}
            <Flex gap={8} wrap>
                {isLead && (
                    <Button size="small" onClick={change}>
                        Painters and hours
                    </Button>
                )}
                {isLead && <End batch={brief.id} />}
            </Flex>
        </section>
    );
}

type OfUnit = Standing['brief']['units'][number];

const isLate = (u: OfUnit): boolean =>
    u.finish !== null && u.due_on !== null && u.finish.slice(0, 10) > u.due_on;

function ready(batch: Standing): string {
    if (batch.left > 0) return 'It cannot be finished as it is';
    if (batch.finish === null) return 'All of it is painted';
    return `Painted by ${day(batch.finish, false)}, ${time(batch.finish)}`;
}

/** The lead sees what laying out anew would move, and does it. */
function Anew({ batch }: { batch: Standing }) {
    const { brief, revision } = batch;
    const query = useQuery(anewQuery(brief.id, revision));
    const queries = useQueryClient();
    const notices = useNotices();
    const lay = useMutation({
        mutationFn: () => layBatchAnew(brief.id, revision),
        onSuccess: () => notices.done('Laid out anew.'),
        onSettled: () => queries.invalidateQueries({ queryKey: ['batches'] }),
        onError: notices.failed,
    });
    const anew = query.data;
    if (!anew || (!anew.is_better && !batch.loose)) return null;
    return (
        <Says kind="warn">
            {batch.loose
                ? 'Work is there that no run holds. '
                : `Laid out anew it is painted ${minutes(anew.sooner ?? 0)} sooner. `}
            <Button size="small" loading={lay.isPending} onClick={() => lay.mutate()}>
                Lay it out anew
            </Button>
        </Says>
    );
}

function End({ batch }: { batch: number }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const end = useMutation({
        mutationFn: () => endBatch(batch),
        onSettled: () => queries.invalidateQueries({ queryKey: ['batches'] }),
        onError: notices.failed,
    });
    return (
        <Popconfirm
            title="End this batch?"
            description="What was painted stays. Its models are free for another batch."
            okText="End it"
            cancelText="Keep it"
            onConfirm={() => end.mutate()}
        >
            <Button size="small" type="text" loading={end.isPending}>
                End it
            </Button>
        </Popconfirm>
    );
}
