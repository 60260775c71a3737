import type { Order } from '../../api/types';
import { LinkButton } from '../../ui/LinkButton';
import { money } from '../../ui/money';
import { day } from '../../ui/when';

/** The newest version of the quote, and the way to all of them. */
export function QuoteCard({ order }: { order: Order }) {
    const { quote, total } = order.life;
    return (
        <section className="card pad" aria-label="The quote">
            <div className="eyebrow">{quote ? `Quote, version ${quote.number}` : 'Quote'}</div>
            {quote ? (
                <>
                    <p className="my-6">
                        <b className="num">{money(quote.price, order.currency)}</b>
                        {quote.ceiling !== quote.price && (
                            <span className="num soft"> at most {money(quote.ceiling, order.currency)}</span>
                        )}
                        <br />
                        <span className="soft">
                            {quote.words}
                            {quote.is_open && !quote.run_out && `, until ${day(quote.until, false)}`}
                        </span>
                        {quote.run_out && <span className="late"> · run out</span>}
                    </p>
                    {quote.is_otherwise && (
                        <p className="small my-6">
                            The order is otherwise by now: what was agreed holds until a new version is.
                        </p>
                    )}
                </>
            ) : (
                <p className="my-6 soft">
                    None went out. {total !== null && `As it stands: ${money(total, order.currency)}.`}
                </p>
            )}
            <LinkButton to={`/orders/${order.id}/quote`}>
                {quote ? 'Open the quote' : 'Make the quote'}
            </LinkButton>
        </section>
    );
}
