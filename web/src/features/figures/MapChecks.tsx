import { Button } from 'antd';
import type { MapFinding } from '../../api/types';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';
import type { Tried } from './map';

/** What the format refuses, what is odd about the map, and the shares that the outlines propose. */
export function MapChecks({
    tried,
    pending,
    sum,
    choose,
    propose,
}: {
    tried: Tried | undefined;
    pending: boolean;
    sum: number;
    choose: (key: string) => void;
    propose: (() => void) | null;
}) {
    if (!tried) return null;
    const [serious, mild] = [
        tried.findings.filter((f) => f.kind !== 'touches_unsaid' && f.kind !== 'share'),
        tried.findings.filter((f) => f.kind === 'touches_unsaid' || f.kind === 'share'),
    ];
    const line = (f: MapFinding, i: number) => (
        <Says kind="warn" key={i}>
            {f.text}{' '}
            {f.area && (
                <Button type="link" onClick={() => choose(f.area ?? '')}>
                    Show
                </Button>
            )}
        </Says>
    );
    return (
        <section className="card pad" aria-live="polite">
            <div className="eyebrow">The map, checked{pending ? ' …' : ''}</div>
            <p className="small mt-4 mx-0 mb-0">
                Shares make <b className="num">{Math.round(sum * 10) / 10} %</b>
                {Math.abs(sum - 100) > 0.5 ? ', and must make 100' : ''}.{' '}
                {propose && Object.keys(tried.shares).length > 0 && (
                    <Button type="link" onClick={propose}>
                        Take them from the outlines
                    </Button>
                )}
            </p>
            {tried.problems.map((p, i) => (
                <Says kind="bad" key={i}>
                    <b>{p.where}</b> {p.detail}
                </Says>
            ))}
            {tried.problems.length === 0 && tried.findings.length === 0 && (
                <Says kind="good">Nothing odd about it.</Says>
            )}
            {serious.map(line)}
            {mild.length > 0 && (
                <More className="small mt-6" label={<>{mild.length} more to look at</>}>
                    {mild.map(line)}
                </More>
            )}
        </section>
    );
}
