import { Button } from 'antd';
import { useState } from 'react';
import type { OrderForClient, QuoteVersion } from '../../api/quotes';
import { money } from '../../ui/money';
import { day } from '../../ui/when';
import { AcceptDialog } from './AcceptDialog';
import { AskDialog } from './AskDialog';
import css from './Client.module.css';
import { Says } from '../../ui/Says';

/** “About € 510, at most € 592”, or the price that stands. */
export function priceWords(q: QuoteVersion): string {
    const price = money(q.sums.price, q.currency);
    return q.is_fixed || q.sums.price === q.sums.ceiling
        ? price
        : `about ${price}, at most ${money(q.sums.ceiling, q.currency)}`;
}

/** All of it: what it comes to, what moves it, how it is paid; and the yes. */
export function PriceOf({
    order,
    quote: q,
    secret,
    ticks,
}: {
    order: OrderForClient;
    quote: QuoteVersion;
    secret: string | null;
    ticks: string[];
}) {
    const [opened, open] = useState<'yes' | 'no' | 'ask' | null>(null);
    const isOpen = q.state === 'open';
    const may = isOpen && !q.run_out;
    return (
        <aside className={css.price} aria-label="What it costs">
            <div className="eyebrow">{isOpen ? 'All of it' : 'Agreed'}</div>
            <p className={css.sum}>
                {q.agreed_otherwise
                    ? money(q.agreed_otherwise.amount, q.currency)
                    : money(q.sums.price, q.currency)}
            </p>
            {q.agreed_otherwise?.reason && <p className="m-0">{q.agreed_otherwise.reason}</p>}
            {!q.is_fixed && !q.agreed_otherwise && q.sums.price !== q.sums.ceiling && (
                <p className="m-0">
                    {q.settled ? (
                        'This is what it comes to.'
                    ) : (
                        <>
                            At most <b className="num">{money(q.sums.ceiling, q.currency)}</b> unless you
                            change something.
                        </>
                    )}
                </p>
            )}
            {q.agreed && (
                <p className="small m-0">
                    Until you say yes to this, <b className="num">{money(q.agreed, q.currency)}</b> holds as
                    agreed.
                </p>
            )}
            <Lines quote={q} />
            <Moves quote={q} />
            <Payments quote={q} />
            {!isOpen && (
                <p className="small soft">
                    {q.words.charAt(0).toUpperCase() + q.words.slice(1)}
                    {q.answered_by && ` by ${q.answered_by}`}
                    {q.answered_at && `, ${day(q.answered_at)}`}
                </p>
            )}
            {isOpen && q.run_out && (
                <Says kind="warn">Its days have run out. Ask the studio to make it anew.</Says>
            )}
            {secret ? (
                <div className={css.acts}>
                    {may && (
                        <Button type="primary" size="large" block onClick={() => open('yes')}>
                            Accept, {priceWords(q)}
                        </Button>
                    )}
                    <div className={css.asks}>
                        <Button size="large" onClick={() => open('ask')}>
                            {q.run_out ? 'Ask to renew it' : 'Ask'}
                        </Button>
                        {may && (
                            <Button size="large" className={css.no ?? ''} onClick={() => open('no')}>
                                No, thanks
                            </Button>
                        )}
                    </div>
                </div>
            ) : (
                <p className="small soft">This is how the client sees it; here nothing can be said.</p>
            )}
            {secret && (
                <a
                    className="small no-print"
                    href={`/api/v1/for-you/${secret}/paper`}
                    target="_blank"
                    rel="noreferrer"
                >
                    On paper (PDF)
                </a>
            )}
            {secret && (opened === 'yes' || opened === 'no') && (
                <AcceptDialog
                    quote={q}
                    secret={secret}
                    ticks={ticks}
                    yes={opened === 'yes'}
                    close={() => open(null)}
                />
            )}
            {secret && opened === 'ask' && (
                <AskDialog order={order} secret={secret} close={() => open(null)} />
            )}
        </aside>
    );
}

/** What stands beside the units: extras that are in, the discount, other lines, tax. */
function Lines({ quote: q }: { quote: QuoteVersion }) {
    const taken = q.extras.filter((e) => e.ticked);
    const came = q.contingencies.filter((c) => c.came_true);
    const rows = [
        ...q.units.map((u) => `${u.count} × ${u.figure}${u.label ? `, ${u.label}` : ''}`),
        ...taken.map((e) => e.words),
        ...came.map((c) => c.words),
        ...q.lines.map((l) => l.words),
    ];
    return (
        <dl className={css.lines}>
            {rows.map((words, i) => (
                <div key={i}>
                    <dt>{words}</dt>
                    <dd className="num">{money(q.sums.lines[i]?.price ?? '0', q.currency)}</dd>
                </div>
            ))}
            {q.discount && (
                <div>
                    <dt>
                        {q.discount.reason}
                        {q.discount.percent ? `, ${q.discount.percent} %` : ''}
                    </dt>
                    <dd className="num">−{money(q.sums.discount, q.currency)}</dd>
                </div>
            )}
            {q.sums.taxes.map((t) => (
                <div key={t.rate} className="soft">
                    <dt>{q.tax.included ? `tax of ${t.rate} % in it` : `tax, ${t.rate} %`}</dt>
                    <dd className="num">{money(t.price, q.currency)}</dd>
                </div>
            ))}
        </dl>
    );
}

function Moves({ quote: q }: { quote: QuoteVersion }) {
    const open = q.settled ? [] : q.contingencies;
    if (open.length === 0) return null;
    return (
        <section aria-label="What moves the price">
            <div className="eyebrow">What moves it</div>
            <dl className={css.lines}>
                {open.map((c) => (
                    <div key={c.id}>
                        <dt>{c.words}</dt>
                        <dd className="num">+{money(c.amount, q.currency)}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}

function Payments({ quote: q }: { quote: QuoteVersion }) {
    if (q.payments.length === 0) return null;
    return (
        <section aria-label="Payments">
            <div className="eyebrow">Payments</div>
            <dl className={css.lines}>
                {q.payments.map((p, i) => (
                    <div key={i}>
                        <dt>{p.on ? `on ${day(p.on)}` : p.words}</dt>
                        <dd className="num">{money(p.sum ?? '0', q.currency)}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
