import { Button, Checkbox, Flex, Image } from 'antd';
import { useState } from 'react';
import type { QuoteExtra, UnitForClient } from '../../api/quotes';
import { AtDistance } from '../../ui/AtDistance';
import { Cropped } from '../../ui/Cropped';
import { Drawn } from '../../ui/Drawn';
import { TierMark } from '../../ui/marks';
import { money } from '../../ui/money';
import { Stroke } from '../../ui/Stroke';
import css from './Client.module.css';
import type { PageProps } from './ForYouPage';
import { OtherTiers } from './OtherTiers';

/** A unit: how it is meant to look, what one gets and what not, what it costs or how far it is. */
export function Leaf({
    unit: u,
    order,
    secret,
    ticks,
    tick,
}: PageProps & {
    unit: UnitForClient;
    ticks: string[];
    /** Null: nothing is chosen here any more. */
    tick: ((ticks: string[]) => void) | null;
}) {
    const [others, setOthers] = useState(false);
    const { quote } = order;
    const place = quote?.units.findIndex((q) => q.id === u.id) ?? -1;
    const quoted = quote?.units[place];
    const sum = quote?.sums.lines[place];
    const extras = quote?.extras.filter((e) => e.unit === u.id) ?? [];
    const name = `${u.count} × ${u.figure}${u.label ? `, ${u.label}` : ''}`;
    return (
        <section className={css.leaf} aria-label={name}>
            <Pictures unit={u} secret={secret} />
            <div className={css.words}>
                <Flex gap={8} align="center">
                    <TierMark order={u.order} status={u.status} />
                    <h2>
                        {name}, {u.tier}
                    </h2>
                </Flex>
                <p className="my-6">
                    {(quoted?.gets.length ? quoted.gets : u.promised).join(' ')}{' '}
                    {quoted && quoted.not.length > 0 && (
                        <span className="soft">
                            Not at this tier: {quoted.not.map((n) => lower(n)).join('; ')}.
                        </span>
                    )}{' '}
                    <span className="soft">Made to be seen from {u.distance_cm} cm.</span>
                </p>
                {quote && sum && (
                    <Stroke
                        price={sum.price}
                        ceiling={sum.ceiling}
                        currency={quote.currency}
                        isFixed={quote.is_fixed}
                    />
                )}
                {quoted && quoted.count > 1 && (
                    <p className="small soft m-0">{money(quoted.price, order.currency)} each</p>
                )}
                <Progress unit={u} isQuoted={quote?.state === 'open'} />
                <Flex gap={8} wrap className="mt-8 no-print">
                    {u.drawn.front !== undefined && (
                        <AtDistance
                            address={u.drawn.front}
                            alt={u.figure}
                            widthMm={u.width_mm}
                            distanceCm={u.distance_cm}
                        />
                    )}
                    {tick && secret && <Button onClick={() => setOthers(true)}>Another tier</Button>}
                </Flex>
            </div>
            {extras.length > 0 && quote && (
                <div className={css.extras}>
                    {extras.map((e) => (
                        <Extra
                            key={e.id}
                            extra={e}
                            currency={quote.currency}
                            isIn={e.choice ? ticks.includes(e.id) || (!tick && e.ticked === true) : true}
                            set={
                                tick && e.choice
                                    ? (on) => tick(on ? [...ticks, e.id] : ticks.filter((t) => t !== e.id))
                                    : null
                            }
                        />
                    ))}
                </div>
            )}
            {others && secret && (
                <OtherTiers unit={u} order={order} secret={secret} close={() => setOthers(false)} />
            )}
        </section>
    );
}

const lower = (line: string): string => line.charAt(0).toLowerCase() + line.slice(1).replace(/\.$/, '');

/** Real photographs come before drawn ones; a drawn one says so. */
function Pictures({ unit: u, secret }: { unit: UnitForClient; secret: string | null }) {
    const real = u.examples.filter((e) => !e.drawn).slice(0, 2);
    return (
        <div className={css.pictures}>
            <div className={css.whole}>
                {u.drawn.front === undefined ? (
                    <div className={css.none}>{u.figure}</div>
                ) : (
                    <Drawn address={u.drawn.front} alt={u.figure} instead={null} />
                )}
                <span className={css.drawn}>drawn</span>
            </div>
            <div className={css.crops}>
                {real.map((e) => (
                    <figure key={e.sha256}>
                        <Image
                            src={`/api/v1/${secret ? `for-you/${secret}/` : ''}pictures/${e.sha256}`}
                            alt={`${e.area} of ${e.figure}, photographed`}
                        />
                        <figcaption>{e.area}, finished work</figcaption>
                    </figure>
                ))}
                {real.length === 0 &&
                    u.large &&
                    u.crops.map((c) => (
                        <figure key={c.area}>
                            <Cropped address={u.large ?? ''} crop={c} alt={`${c.area} of ${u.figure}`} />
                            <figcaption>{c.area}</figcaption>
                        </figure>
                    ))}
            </div>
        </div>
    );
}

function Extra({
    extra: e,
    currency,
    isIn,
    set,
}: {
    extra: QuoteExtra;
    currency: string;
    isIn: boolean;
    set: ((on: boolean) => void) | null;
}) {
    return (
        <Checkbox
            className={css.extra ?? ''}
            checked={isIn}
            disabled={set === null}
            onChange={(event) => set?.(event.target.checked)}
        >
            <b>
                {e.words}
                {e.from ? `, from ${e.from}` : ''}
            </b>
            <span className="num">
                {e.count > 1 ? `${e.count} × ` : ''}
                {money(e.price, currency)}
            </span>
        </Checkbox>
    );
}

function Progress({ unit, isQuoted }: { unit: UnitForClient; isQuoted: boolean }) {
    if (isQuoted || unit.progress.length === 0) return null;
    return (
        <p className={css.progress} aria-label="How far it is">
            {unit.progress.map((p) => (
                <span key={p.words} data-word={p.words} style={{ flexGrow: p.count }}>
                    {p.count} {p.words}
                </span>
            ))}
        </p>
    );
}
