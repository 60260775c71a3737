import { useQuery } from '@tanstack/react-query';
import { Button, Space } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { dayQuery } from '../../api/batches';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { minutes } from '../../ui/marks';
import { Empty, Failed, Loading } from '../../ui/states';
import { BatchCard } from './BatchCard';
import { BatchDrawer } from './BatchDrawer';
import { Boards } from './Boards';
import css from './Day.module.css';
import { DaySheet } from './DaySheet';

const DAY = 86_400_000;

const moved = (on: string, days: number): string =>
    new Date(new Date(`${on}T12:00:00Z`).getTime() + days * DAY).toISOString().slice(0, 10);

const told = (on: string, options: Intl.DateTimeFormatOptions): string =>
    new Date(`${on}T12:00:00Z`).toLocaleDateString('en-GB', { timeZone: 'UTC', ...options });

/** Who does what on a day, what dries meanwhile, and which batch is ready when. */
export default function DayPage() {
    const [on, setOn] = useState<string | null>(null);
    const [form, setForm] = useState<'new' | number | null>(null);
    const person = usePerson();
    const query = useQuery(dayQuery(on));
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    if (query.isPending) return <Loading what="the day" />;
    const shown = query.data;
    const waits = shown.boards.reduce((sum, b) => sum + b.waits, 0);
    const isLead = can(person, 'plan.edit');
    const title = told(shown.on, { weekday: 'long', day: 'numeric', month: 'long' });
    return (
        <div className="bench">
            <Top>
                <Link to="/bench" className="soft">
                    Bench
                </Link>
                <h1>{title}</h1>
                {shown.boards.length > 0 && (
                    <span className="soft">
                        {waits < 1 ? 'nobody waits for paint' : `people stand still for ${minutes(waits)}`}
                    </span>
                )}
                <span className="room" />
                <Space.Compact>
                    {[-1, 0, 1].map((by) => (
                        <Button
                            key={by}
                            onClick={() => setOn(by === 0 ? null : moved(shown.on, by))}
                            disabled={by === 0 && on === null}
                        >
                            {by === 0 ? 'Today' : told(moved(shown.on, by), { weekday: 'short' })}
                        </Button>
                    ))}
                </Space.Compact>
                {shown.boards.length > 0 && (
                    <Button onClick={() => window.print()}>Print the day sheet</Button>
                )}
                {isLead && (
                    <Button type="primary" onClick={() => setForm('new')}>
                        Lay out a batch
                    </Button>
                )}
            </Top>
            <div className="page stack">
                {shown.boards.length === 0 ? (
                    <Empty title="No batch is laid out">
                        <p>
                            {isLead ? 'Say which models' : 'The lead says which models'} are painted together,
                            by whom and when: then this page shows who does what while paint dries.
                        </p>
                    </Empty>
                ) : (
                    <section className={`card pad ${css.scroll}`}>
                        <Boards day={shown} />
                    </section>
                )}
                <DaySheet day={shown} title={title} />
                <div className={`no-print ${css.batches}`}>
                    {shown.batches.map((b) => (
                        <BatchCard key={b.brief.id} batch={b} change={() => setForm(b.brief.id)} />
                    ))}
                </div>
            </div>
            {form !== null && (
                <BatchDrawer batch={form === 'new' ? null : form} close={() => setForm(null)} />
            )}
        </div>
    );
}
