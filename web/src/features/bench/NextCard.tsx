import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { batchesQuery, plannedQuery, type RunWork } from '../../api/batches';
import { usePerson } from '../../app/session';
import { LinkButton } from '../../ui/LinkButton';
import { minutes, Swatch } from '../../ui/marks';
import { time } from '../../ui/when';
import { modelsWords, potWords, whyWords } from '../day/runs';

/** Runs that are told beside what is next. */
const COMING = 3;

/** What the timetable of this unit's batch has for the person at the bench: now, why, and what comes then. */
export function NextCard({ unit, go }: { unit: number; go: (pass: number) => void }) {
    const person = usePerson();
    const batches = useQuery(batchesQuery());
    const batch = batches.data?.data.find((b) => b.units.some((u) => u.id === unit));
    const query = useQuery({ ...plannedQuery(batch?.id ?? 0), enabled: batch !== undefined });
    const mine = query.data?.painters.find((p) => p.user === person?.id);
    if (!batch || !query.data || !mine) return null;
    const { next } = mine;
    const coming = query.data.runs
        .filter((r) => r.painter === person?.id && !isSame(r.does, next.does))
        .slice(0, COMING);
    return (
        <section className="card pad" aria-label="Next in the timetable">
            <div className="eyebrow">{next.why === 'waiting' ? 'Nothing to do yet' : 'Do now'}</div>
            {next.does && next.why !== 'waiting' && (
                <>
                    <p className="m-0">
                        {next.does.hex && <Swatch hex={next.does.hex} name={next.does.paint} />}{' '}
                        <b>{potWords(next.does)}</b>
                    </p>
                    <p className="small m-0">
                        {modelsWords(next.does.models)}, {minutes(next.does.minutes)}
                        {next.does.unit === unit ? '' : `, ${next.does.sculpt}`}
                    </p>
                </>
            )}
            <p className="small soft">
                {whyWords(next)}
                {next.until === null ? '' : `; go on at ${time(next.until)}`}
            </p>
            {next.does && next.why !== 'waiting' && <GoTo does={next.does} unit={unit} go={go} />}
            {coming.length > 0 && <div className="eyebrow mt-8">Then</div>}
            {coming.map((r) => (
                <p className="small m-0" key={`${r.from} ${r.does.pass}`}>
                    <span className="num soft">{time(r.from)}</span> <b>{potWords(r.does)}</b>,{' '}
                    {modelsWords(r.does.models)}
                    {r.does.unit === unit ? '' : `, ${r.does.sculpt}`}
                </p>
            ))}
        </section>
    );
}

const isSame = (a: RunWork, b: RunWork | null): boolean =>
    b !== null && a.unit === b.unit && a.pass === b.pass && a.models.join() === b.models.join();

/** To the pass that is next, here or on another unit of the batch. */
function GoTo({ does, unit, go }: { does: RunWork; unit: number; go: (pass: number) => void }) {
    return does.unit === unit ? (
        <Button size="small" onClick={() => go(does.pass)}>
            Show this pass
        </Button>
    ) : (
        <LinkButton size="small" to={`/bench/${does.unit}`}>
            Go to the {does.sculpt}
        </LinkButton>
    );
}
