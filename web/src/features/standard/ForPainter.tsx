import { Table } from 'antd';
import type { Difference } from '../../api/types';
import { minutes } from '../../ui/marks';

const SIGNS: Record<string, string> = {
    added: '+',
    dropped: '−',
    strengthened: '▲',
    weakened: '▼',
    changed: '~',
    allows_more: '↑',
    allows_less: '↓',
};

export function ForPainter({ difference: d }: { difference: Difference }) {
    return (
        <section className="card pad">
            <div className="eyebrow">For the painter</div>
            <h2 className="num mt-2 mx-0 mb-8">
                {d.from.name} {minutes(d.from.minutes)} → {d.to.name} {minutes(d.to.minutes)}{' '}
                <span className="soft">
                    ({d.to.minutes >= d.from.minutes ? '+' : '−'}
                    {minutes(Math.abs(d.to.minutes - d.from.minutes))} a model)
                </span>
            </h2>
            {d.painter.length === 0 && <p className="soft">Nothing differs on this figure.</p>}
            <Table
                size="small"

                showHeader={false}
                pagination={false}
                rowKey={(l) => `${l.what} ${l.areas.join()}`}
                dataSource={d.painter}
                columns={[
                    {
                        key: '0',
                        width: 22,
                        render: (_, l) => <b aria-label={l.change.replace('_', ' ')}>{SIGNS[l.change]}</b>,
                    },
                    {
                        key: '1',
                        render: (_, l) => (
                            <>
                                <b>{l.what}</b>
                                <div className="small soft">
                                    {l.areas.slice(0, 6).join(', ')}
                                    {l.areas.length > 6 ? ` and ${l.areas.length - 6} more` : ''}
                                </div>
                            </>
                        ),
                    },
                    {
                        key: '2',
                        className: 'small',
                        render: (_, l) => (
                            <>
                                {l.before ?? 'not asked'} → <b>{l.after ?? 'not asked'}</b>
                            </>
                        ),
                    },
                ]}
            />
            <h3 className="mt-16 mx-0 mb-6">Techniques that change</h3>
            {Object.entries(d.techniques).map(([area, t]) => (
                <p className="small my-3 mx-0" key={area}>
                    <b>{area}</b> {t.gained.map((g) => `+ ${g}`).join(', ')}
                    {t.gained.length > 0 && t.dropped.length > 0 ? ' · ' : ''}
                    <span className="soft">{t.dropped.map((g) => `− ${g}`).join(', ')}</span>
                </p>
            ))}
        </section>
    );
}
