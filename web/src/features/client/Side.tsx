import { Flex, Image } from 'antd';
import { Swatch } from '../../ui/marks';
import { money } from '../../ui/money';
import { day } from '../../ui/when';
import css from './Client.module.css';
import type { PageProps } from './ForYouPage';

const SIGNS = { '+': '+', '-': '−', '~': '·' } as const;

/** Whose it is, what changed, the colours, and when. */
export function Side({ order, secret }: PageProps) {
    const { quote } = order;
    const changes = quote?.state === 'open' ? quote.changes : [];
    return (
        <aside className={css.side}>
            <header className={css.head}>
                <Flex gap={8} align="center">
                    {order.mark && secret && (
                        <Image
                            preview={false}
                            width={28}
                            src={`/api/v1/for-you/${secret}/pictures/${order.mark}`}
                            alt=""
                        />
                    )}
                    <b>{order.studio}</b>
                </Flex>
                <h1 className={css.title}>{order.title}</h1>
                <p className="soft m-0">
                    {quote ? `quote ${quote.number} of order ${order.number}` : `order ${order.number}`}
                    {quote?.state === 'open' ? (
                        <>
                            , open until <b>{day(quote.until)}</b>
                        </>
                    ) : (
                        `, ${order.stands}`
                    )}
                </p>
                {changes.length > 0 && (
                    <section className={css.since} aria-label="Since the last quote">
                        <span className={css.tape}>since the last one</span>
                        <ul>
                            {changes.map((c) => (
                                <li key={c.words} data-sign={c.sign}>
                                    <i aria-hidden="true">{SIGNS[c.sign]}</i> {c.words},{' '}
                                    <span className="num">{money(c.amount, order.currency)}</span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </header>
            <div className={css.rest}>
                {order.colours && (
                    <section aria-label="Your colours">
                        <div className="eyebrow">Your colours, {order.colours.name}</div>
                        <ul className={css.colours}>
                            {order.colours.paints.map((p) => (
                                <li key={p.name}>
                                    <Swatch hex={p.hex} name={p.name} /> {p.name}
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                {order.due && (
                    <section aria-label="When">
                        <div className="eyebrow">When</div>
                        <p className="m-0">
                            Meant for <b>{day(order.due)}</b>.
                        </p>
                    </section>
                )}
                <p className="small soft">
                    Pictures marked “drawn” are drawn from the studio’s standard in your colours, not
                    photographed.
                    {quote?.state === 'open' && ' Nothing is binding before you say yes.'}
                </p>
            </div>
        </aside>
    );
}
