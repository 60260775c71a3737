import { Flex } from 'antd';
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
}: {
    unit: UnitBrief;
    order: Order;
    pick: ((piece: number) => void) | undefined;
}) {
    const tier = order.tiers.find((t) => t.key === unit.tier);
    const plan = order.unit_plans.find((p) => p.unit === unit.id);
    return (
        <section className="card pad" aria-label={`${unit.pieces.length} × ${unit.sculpt}`}>
            <Flex gap={12} align="center">
                {plan?.drawn.front !== undefined && (
                    <div className={css.thumb}>
                        <Drawn address={plan.drawn.front} alt={unit.sculpt} instead={null} />
                    </div>
                )}
                {tier && <TierMark order={tier.order} status={tier.status} />}
                <div className="grow">
                    <h2>
                        {unit.pieces.length} × {unit.sculpt}
                        {unit.label ? `, ${unit.label}` : ''}
                    </h2>
                    <span className="soft">
                        {tier?.name} · standard v{order.standard_version} ·{' '}
                        {unit.released ? 'on the bench' : 'not released yet'}
                    </span>
                </div>
                <LinkButton to={`/units/${unit.id}/plan`} type={unit.released ? 'default' : 'primary'}>
                    {unit.released ? 'Plan' : 'Plan and release'}
                </LinkButton>
            </Flex>
            <div className="my-12">
                <StageStrip pieces={unit.pieces} {...(pick ? { pick } : {})} />
            </div>
            {plan && <Takes plan={plan} pieces={unit.pieces.length} currency={order.currency} />}
        </section>
    );
}

function Takes({
    plan,
    pieces,
    currency,
}: {
    plan: Order['unit_plans'][number];
    pieces: number;
    currency: string;
}) {
    return (
        <p className="small num m-0">
            <b>{minutes(plan.minutes)}</b> a model, <b>{minutes(plan.minutes * pieces + plan.setup)}</b> the
            unit with setting up ·{' '}
            {plan.planned_done > 0 && `planned for what is done ${minutes(plan.planned_done)}, `}
            {plan.spent === null ? 'no time noted yet' : `${minutes(plan.spent)} spent`}
            {plan.price && <> · {moneyRange(plan.price, currency)} each</>}
            {plan.agreed.map((a, i) => (
                <span key={i} title={a.reason}>
                    {' '}
                    + {money(a.price, currency)} agreed
                </span>
            ))}
            {plan.conflicts > 0 && <span className="late"> · {plan.conflicts} conflicts</span>}
        </p>
    );
}
