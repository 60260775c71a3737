import { Button, Flex } from 'antd';
import type { Order, UnitBrief } from '../../api/types';
import { Drawn } from '../../ui/Drawn';
import { LinkButton } from '../../ui/LinkButton';
import { minutes, StageStrip, TierMark } from '../../ui/marks';
import { money, moneyRange } from '../../ui/money';
import css from './Orders.module.css';

/** A number of models of one figure at one tier: where they stand, what they take, what they cost. */
export function UnitCard({
    unit,
    order,
    pick,
    change,
}: {
    unit: UnitBrief;
    order: Order;
    pick: ((piece: number) => void) | undefined;
    change: ((unit: number) => void) | undefined;
}) {
    const tier = order.tiers.find((t) => t.key === unit.tier);
    const plan = order.unit_plans.find((p) => p.unit === unit.id);
    const isOver = ['closed', 'cancelled'].includes(order.status);
    return (
        <section className={`card ${css.card}`} aria-label={`${unit.pieces.length} × ${unit.sculpt}`}>
            <div className={css.picture}>
                {plan?.drawn.front !== undefined && (
                    <Drawn address={plan.drawn.front} alt={unit.sculpt} instead={null} />
                )}
            </div>
            <div className={css.body}>
                <Flex gap={8} align="center">
                    {tier && <TierMark order={tier.order} status={tier.status} />}
                    <h2>
                        {unit.pieces.length} × {unit.sculpt}
                    </h2>
                    <span className="soft">
                        {unit.label ? `${unit.label} · ` : ''}
                        {tier?.name} v{order.standard_version}
                    </span>
                </Flex>
                <StageStrip pieces={unit.pieces} {...(pick ? { pick } : {})} />
                {plan && <Takes plan={plan} pieces={unit.pieces.length} />}
            </div>
            <div className={css.price}>
                {plan && <Price plan={plan} currency={order.currency} />}
                <Flex gap={6} justify="flex-end">
                    {change && !isOver && <Button onClick={() => change(unit.id)}>Change</Button>}
                    <LinkButton to={`/units/${unit.id}/plan`} type="default">
                        {unit.released || isOver ? 'Plan' : 'Plan and release'}
                    </LinkButton>
                </Flex>
            </div>
        </section>
    );
}

/** What the unit costs, and how that came about. */
function Price({ plan, currency }: { plan: Order['unit_plans'][number]; currency: string }) {
    return (
        <div className="num">
            {plan.sum && <b className={css.sum}>{money(plan.sum, currency)}</b>}
            <div className="small soft">
                {plan.agreed_price
                    ? `${money(plan.agreed_price, currency)} each, agreed`
                    : plan.set_price
                      ? `${money(plan.set_price, currency)} each`
                      : plan.price
                        ? `${moneyRange(plan.price, currency)} each`
                        : 'no price yet'}
                {plan.below_cost && <span className="late"> · below cost</span>}
                {plan.agreed.map((a, i) => (
                    <span key={i} title={a.reason}>
                        {' '}
                        + {money(a.price, currency)}
                    </span>
                ))}
            </div>
        </div>
    );
}

function Takes({ plan, pieces }: { plan: Order['unit_plans'][number]; pieces: number }) {
    return (
        <p className="small num m-0">
            <b>{minutes(plan.minutes)}</b> a model, <b>{minutes(plan.minutes * pieces + plan.setup)}</b> the
            unit with setting up ·{' '}
            {plan.planned_done > 0 && `planned for what is done ${minutes(plan.planned_done)}, `}
            {plan.spent === null ? 'no time noted yet' : `${minutes(plan.spent)} spent`}
            {plan.conflicts > 0 && (
                <span className="late">
                    {' '}
                    · {plan.conflicts} {plan.conflicts === 1 ? 'conflict' : 'conflicts'}
                </span>
            )}
        </p>
    );
}
