import { saysWhy } from '../../api/client';
import type { Quote, QuoteSums } from '../../api/quotes';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import css from './Quote.module.css';
import type { Typed } from './useQuote';

/** What it comes to as it stands, and why it cannot go out. */
export function Sums({ quote, typed }: { quote: Quote; typed: Typed }) {
    const { sums, sums_with_all: all } = quote;
    return (
        <section className="card pad" aria-label="What it comes to">
            <div className="eyebrow">Version {quote.next}, as it stands</div>
            <p className={css.sum}>{money(sums.price, quote.currency)}</p>
            {!quote.is_fixed && sums.ceiling !== sums.price && (
                <p className="m-0">
                    at most <b className="num">{money(sums.ceiling, quote.currency)}</b>
                </p>
            )}
            {all.price !== sums.price && (
                <p className="m-0 soft">
                    with every extra <span className="num">{money(all.price, quote.currency)}</span>
                </p>
            )}
            <Parts quote={quote} sums={sums} />
            {quote.agreed && (
                <p className="m-0">
                    Agreed until another version is:{' '}
                    <b className="num">{money(quote.agreed, quote.currency)}</b>
                </p>
            )}
            {quote.faults.map((f) => (
                <Says key={f} kind="warn" className="mt-8">
                    {f}
                </Says>
            ))}
            {quote.units.some((u) => u.below_cost) && (
                <Says kind="warn" className="mt-8">
                    Below cost:{' '}
                    {quote.units
                        .filter((u) => u.below_cost)
                        .map((u) => u.figure)
                        .join(', ')}
                    . The price is less than its minutes, paint and overhead come to.
                </Says>
            )}
            {typed.keep.isError && <Says kind="bad">{saysWhy(typed.keep.error)}</Says>}
        </section>
    );
}

function Parts({ quote, sums }: { quote: Quote; sums: QuoteSums }) {
    return (
        <dl className={css.parts}>
            {quote.discount && (
                <div>
                    <dt>discount</dt>
                    <dd className="num">−{money(sums.discount, quote.currency)}</dd>
                </div>
            )}
            {sums.taxes.map((t) => (
                <div key={t.rate}>
                    <dt>{quote.tax.included ? `tax of ${t.rate} % in it` : `tax, ${t.rate} %`}</dt>
                    <dd className="num">{money(t.price, quote.currency)}</dd>
                </div>
            ))}
            {quote.payments.map((p, i) => (
                <div key={i}>
                    <dt>{p.percent ? `payment of ${p.percent} %` : 'payment'}</dt>
                    <dd className="num">{money(sums.payments[i] ?? '0', quote.currency)}</dd>
                </div>
            ))}
        </dl>
    );
}
