import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { type OrderForClient, type UnitForClient, unitAtTiersQuery } from '../../api/quotes';
import { Cropped } from '../../ui/Cropped';
import { Drawn } from '../../ui/Drawn';
import { Field } from '../../ui/Field';
import { TierMark } from '../../ui/marks';
import { money } from '../../ui/money';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import css from './OtherTiers.module.css';
import { myName } from './name';
import { useAsking } from './useAsking';

/** A unit at every tier: the same crops in rows, so that the eye compares across; and the wish for another. */
export function OtherTiers({
    unit,
    order,
    secret,
    close,
}: {
    unit: UnitForClient;
    order: OrderForClient;
    secret: string;
    close: () => void;
}) {
    const query = useQuery(unitAtTiersQuery(secret, unit.id));
    const [name, setName] = useState(myName);
    const [tier, setTier] = useState('');
    const wish = useAsking(secret, close);
    const chosen = query.data?.tiers.find((t) => t.key === tier);
    return (
        <Modal open title={`${unit.figure} at every tier`} footer={null} onCancel={close} width={1080}>
            {query.isPending && <Loading what="the tiers" />}
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {query.data && (
                <Flex vertical gap={12}>
                    <div className={css.card}>
                        {query.data.tiers.map((t) => (
                            <section key={t.key} className={css.tier} aria-label={t.name}>
                                <Flex gap={6} align="center">
                                    <TierMark order={t.order} status={t.status} />
                                    <h3>{t.name}</h3>
                                </Flex>
                                {t.drawn.front !== undefined && (
                                    <Drawn
                                        address={t.drawn.front}
                                        alt={`${unit.figure} at ${t.name}`}
                                        instead={null}
                                        still
                                    />
                                )}
                                {t.large &&
                                    query.data.crops.map((c) => (
                                        <Cropped
                                            key={c.area}
                                            address={t.large ?? ''}
                                            crop={c}
                                            alt={`${c.area} at ${t.name}`}
                                        />
                                    ))}
                                <ul className="small">
                                    {t.adds.slice(0, 5).map((a) => (
                                        <li key={a}>{a}</li>
                                    ))}
                                </ul>
                                <p className="small soft m-0">seen from {t.distance_cm} cm</p>
                                <p className={css.price}>
                                    {t.price === null ? (
                                        'the studio says a price'
                                    ) : (
                                        <>
                                            <b>{money(t.price, order.currency)}</b> each
                                            {t.ceiling !== t.price && !order.quote?.is_fixed && (
                                                <span className="soft">
                                                    , at most {money(t.ceiling ?? '0', order.currency)}
                                                </span>
                                            )}
                                        </>
                                    )}
                                </p>
                                <Button
                                    block
                                    disabled={t.name === unit.tier}
                                    type={t.key === tier ? 'primary' : 'default'}
                                    onClick={() => setTier(t.key)}
                                >
                                    {t.name === unit.tier ? 'As quoted' : `Rather ${t.name}`}
                                </Button>
                            </section>
                        ))}
                    </div>
                    {chosen && (
                        <Flex gap={10} align="end" wrap>
                            <Field label="Your name">
                                <Input
                                    autoComplete="name"
                                    value={name}
                                    onChange={(e) => setName(e.target.value)}
                                />
                            </Field>
                            <Button
                                type="primary"
                                loading={wish.isPending}
                                disabled={name.trim() === ''}
                                onClick={() => wish.mutate({ name, unit: unit.id, tier: chosen.key })}
                            >
                                Ask for {chosen.name}
                            </Button>
                            <span className="small soft">
                                The studio makes a new quote of it; nothing changes before.
                            </span>
                        </Flex>
                    )}
                    {wish.isError && <Says kind="bad">{saysWhy(wish.error)}</Says>}
                </Flex>
            )}
        </Modal>
    );
}
