import { useQuery } from '@tanstack/react-query';
import { Progress } from 'antd';
import { Link } from 'react-router';
import type { components } from '../../api/schema';
import { drillQuery } from '../../api/work';
import { Top } from '../../app/Top';
import { Failed, Loading } from '../../ui/states';
import { Training } from './Training';

export type Drill = components['schemas']['DrillAnswer'];

/** Training the eye: what counts at a tier, and what does not, on drawn pictures. */
export default function DrillPage() {
    const query = useQuery(drillQuery());
    if (query.isPending) return <Loading what="the drill" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>Train the eye</h1>
                <span className="soft">drawn models, some with a fault: does it count at the tier?</span>
            </Top>
            <div className="check">
                <Training drill={query.data} />
                <Results results={query.data.results} />
            </div>
        </>
    );
}

/** Fewer calls than this say nothing of agreement. */
const ENOUGH = 8;

const agreement = (kappa: number | null, calls = ENOUGH): string =>
    kappa === null || calls < ENOUGH
        ? 'not enough yet'
        : kappa >= 0.8
          ? 'very good'
          : kappa >= 0.6
            ? 'good'
            : kappa >= 0.4
              ? 'fair'
              : 'little more than chance';

function Results({ results: r }: { results: Drill['results'] }) {
    const called = r.found + r.missed + r.false + r.right;
    const last = r.over_time.at(-1);
    return (
        <aside className="card pad stack">
            <h2 className="m-0">How your eye does</h2>
            {called === 0 && <p className="soft m-0">Nothing was called yet.</p>}
            {called > 0 && (
                <>
                    <p className="m-0">
                        {r.found} found, {r.missed} missed, {r.false} called that do not count, {r.right}{' '}
                        rightly left.
                    </p>
                    <p className="m-0">
                        Agrees with the standard: <b>{agreement(r.with_standard, called)}</b>
                        <br />
                        Agrees with the lead: <b>{agreement(r.with_lead, called)}</b>
                    </p>
                    {last?.kappa != null && (
                        <div>
                            <div className="eyebrow">The last drills, one after another</div>
                            {r.over_time.slice(-6).map((o, i) => (
                                <Progress
                                    key={i}
                                    size="small"
                                    percent={Math.round(100 * Math.max(0, o.kappa ?? 0))}
                                    format={() => agreement(o.kappa)}
                                />
                            ))}
                        </div>
                    )}
                    {r.hardest.some((h) => h.missed > 0) && (
                        <div>
                            <div className="eyebrow">Hardest for you</div>
                            <ul className="small m-0">
                                {r.hardest
                                    .filter((h) => h.missed > 0)
                                    .slice(0, 5)
                                    .map((h) => (
                                        <li key={h.name}>
                                            {h.name}: {h.missed} of {h.of} missed
                                        </li>
                                    ))}
                            </ul>
                        </div>
                    )}
                </>
            )}
        </aside>
    );
}
