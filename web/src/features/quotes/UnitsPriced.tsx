import { Table, Tag, Tooltip } from 'antd';
import { editUnit } from '../../api/orders';
import { type Quote, quoteQuery, type UnitInQuote } from '../../api/quotes';
import { minutes, TierMark } from '../../ui/marks';
import { money, moneyRange } from '../../ui/money';
import { useQueryClient } from '@tanstack/react-query';
import { InPlace } from '../../ui/InPlace';
import css from './Quote.module.css';

/** Units with what a model costs the client, and at most; what it costs the studio is beside it for the lead. */
export function UnitsPriced({ quote, editable }: { quote: Quote; editable: boolean }) {
    const queries = useQueryClient();
    const set = async (u: UnitInQuote, patch: { price?: string | null; ceiling?: string | null }) => {
        await editUnit(u.id, { revision: u.revision, ...patch });
        await queries.invalidateQueries({ queryKey: quoteQuery(quote.order.id).queryKey });
    };
    const amount = (u: UnitInQuote, field: 'price' | 'ceiling') => {
        const typed = field === 'price' ? u.set_price : u.set_ceiling;
        // The ceiling is the card's high end, unless the card is open.
        const isTyped = field === 'price' || u.range === null || u.range.high === null;
        return editable && isTyped ? (
            <InPlace
                bare
                label={field === 'price' ? `Price of a ${u.figure}` : `A ${u.figure} at most`}
                value={typed ?? (Number(u[field]) > 0 ? u[field] : '')}
                save={(text) => set(u, { [field]: text === '' ? null : text })}
            />
        ) : (
            money(u[field], quote.currency)
        );
    };
    return (
        <section className="card pad" aria-label="Units">
            <div className="eyebrow">Units</div>
            <Table
                className={css.units ?? ''}
                size="small"
                pagination={false}
                rowKey="id"
                dataSource={quote.units}
                scroll={{ x: true }}
                columns={[
                    { title: 'Models', render: (_, u) => <Named unit={u} /> },
                    {
                        title: 'On the card',
                        className: 'num',
                        render: (_, u) =>
                            u.range ? (
                                moneyRange(u.range, quote.currency)
                            ) : (
                                <span className="soft">by hand</span>
                            ),
                    },
                    { title: 'Price', className: 'num', render: (_, u) => amount(u, 'price') },
                    ...(quote.is_fixed
                        ? []
                        : [
                              {
                                  title: 'At most',
                                  className: 'num',
                                  render: (_: unknown, u: UnitInQuote) => amount(u, 'ceiling'),
                              },
                          ]),
                    ...(quote.sees_cost
                        ? [
                              {
                                  title: 'It costs us',
                                  render: (_: unknown, u: UnitInQuote) => <Cost unit={u} quote={quote} />,
                              },
                          ]
                        : []),
                    {
                        title: 'The unit',
                        className: 'num',
                        align: 'right' as const,
                        render: (_, _u, i) => (
                            <b>{money(quote.sums.lines[i]?.price ?? '0', quote.currency)}</b>
                        ),
                    },
                ]}
            />
        </section>
    );
}

function Named({ unit: u }: { unit: UnitInQuote }) {
    return (
        <span className={css.named}>
            <TierMark order={u.order} status={u.status} />
            <span>
                <b>
                    {u.count} × {u.figure}
                </b>
                <br />
                <span className="soft">
                    {u.label ? `${u.label} · ` : ''}
                    {u.tier_name}
                </span>
            </span>
            {u.below_cost && <Tag color="error">below cost</Tag>}
        </span>
    );
}

function Cost({ unit: u, quote }: { unit: UnitInQuote; quote: Quote }) {
    if (!u.cost) return null;
    const { cost, low, high, marked_up: marked, minutes: takes } = u.cost;
    return (
        <Tooltip
            title={
                `Eight times of ten between ${money(low, quote.currency)} and ${money(high, quote.currency)}, ` +
                `by ${minutes(takes)} with its share of setting up.`
            }
        >
            <span className="num">
                <b className={u.below_cost ? 'late' : ''}>{money(cost, quote.currency)}</b>
                <br />
                <span className={`small soft ${css.whole}`}>
                    {money(marked, quote.currency)} with mark-up
                </span>
            </span>
        </Tooltip>
    );
}
