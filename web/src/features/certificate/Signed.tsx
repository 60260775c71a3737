import { Descriptions } from 'antd';
import type { Certificate, CertificateRecord } from '../../api/types';
import { plain } from '../standard/words';
import css from './Certificate.module.css';
import { Pictured } from './Pictured';
import { moment } from '../../ui/when';

/** What was signed: for whom, by whom, against what, and what the check found. */
export function Signed({ data }: { data: Pick<Certificate, 'record' | 'words'> & { signed_at?: string } }) {
    const { record, words } = data;
    const painters = [...new Set(record.pieces.flatMap((p) => p.painters ?? []))];
    const rules = [...new Set(record.pieces.map((p) => p.rule))];
    return (
        <>
            <h1 className={css.title}>{record.sculpt}</h1>
            <p className={css.lead}>
                painted and checked to <b>{record.tier?.name}</b>, standard version{' '}
                <b>{record.standard?.version}</b>
            </p>
            <Descriptions
                className="mb-18"
                column={1}
                size="small"
                items={[
                    {
                        key: 'for',
                        label: 'For',
                        children:
                            `${record.order?.client ?? ''}, ` +
                            `${record.order?.title ?? ''} (${record.order?.number ?? ''})`,
                    },
                    {
                        key: 'models',
                        label: 'Models',
                        children: record.pieces.map((p) => `${p.number} (${p.code})`).join(', '),
                    },
                    { key: 'painted', label: 'Painted by', children: painters.join(', ') },
                    {
                        key: 'signed',
                        label: 'Signed by',
                        children: `${record.by.name}, ${rules.join('; ')}`,
                    },
                    ...(data.signed_at === undefined
                        ? []
                        : [{ key: 'on', label: 'On', children: moment(data.signed_at) }]),
                ]}
            />
            <Pictured
                from="/api/v1/pictures"
                pictures={record.pieces.flatMap((p) =>
                    (p.photographs ?? []).map((f) => ({ ...f, model: p.number })),
                )}
            />
            {(record.promised ?? []).length > 0 && (
                <>
                    <h2>What the tier promises</h2>
                    <p>{(record.promised ?? []).map((p) => p.replace(/\.$/, '')).join('; ')}.</p>
                </>
            )}
            {words.agreed.length > 0 && (
                <>
                    <h2>What was agreed beside it</h2>
                    <ul>
                        {words.agreed.map((a) => (
                            <li key={a}>{a}</li>
                        ))}
                    </ul>
                </>
            )}
            <h2>What it was held against</h2>
            <p>{words.asked.join('; ')}.</p>
            <h2>What the check found</h2>
            {record.whole && <p className="my-4">{WHOLE[record.whole]}</p>}
            {record.pieces.map((p) => (
                <p className="my-4" key={p.code}>
                    <b>Model {p.number}</b>: {found(p, words.names)}.
                </p>
            ))}
        </>
    );
}

const WHOLE = {
    one_army: 'Side by side they are one army, each a little its own.',
    clones: 'Side by side they are one army, but like clones.',
    monotonous: 'Side by side they are one army, but monotonous.',
} as const;

/** The rounds of a piece's checks in one sentence. */
function found(piece: CertificateRecord['pieces'][number], names: Record<string, string>): string {
    const checks = piece.checks ?? [];
    const called = (key: string) => names[key] ?? plain(key);
    const faults = checks.flatMap((c) =>
        c.faults.map(
            (f) =>
                `${called(f.fault)}${f.area ? ` on ${called(f.area)}` : ''} (${f.severity}, round ${c.round})`,
        ),
    );
    const conceded = checks.find((c) => c.verdict === 'accepted');
    return [
        `${checks.reduce((n, c) => n + c.answers.length, 0)} lines ` +
            `answered in ${checks.length} ${checks.length === 1 ? 'round' : 'rounds'}`,
        faults.length === 0 ? ', passed first time without a fault' : `; ${faults.join(', ')}`,
        conceded
            ? `; accepted as it is: ${conceded.reason ?? ''}` +
              (conceded.consent ? ` (the client: ${conceded.consent})` : '')
            : '',
    ].join('');
}
