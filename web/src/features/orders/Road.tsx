import { useQuery } from '@tanstack/react-query';
import dayjs, { type Dayjs } from 'dayjs';
import { orderForecastQuery } from '../../api/orders';
import type { Order } from '../../api/types';
import { money } from '../../ui/money';
import { day } from '../../ui/when';
import css from './Road.module.css';

type Stop = {
    words: string;
    at: Dayjs;
    note: string | null;
    kind: 'done' | 'today' | 'promised' | 'asked' | 'painted';
};

/** Stops that are nearer than this share of the road write their names in different rows. */
const NEAR = 14;
const ROWS = 3;
const ROW_PX = 34;

function stopsOf(order: Order, painted: string | null): Stop[] {
    const done: Stop[] = order.life.road
        .filter((s) => s.at !== null)
        .map((s) => ({
            words: s.words,
            at: dayjs(s.at),
            note: s.price ? money(s.price, order.currency) : s.note,
            kind: 'done',
        }));
    const ends: Stop[] = [{ words: 'Today', at: dayjs(), note: null, kind: 'today' }];
    if (painted !== null) ends.push({ words: 'Painted by', at: dayjs(painted), note: null, kind: 'painted' });
    const promised = order.promised_on ?? order.due_on;
    const isOver = ['delivered', 'closed', 'cancelled'].includes(order.status);
    if (promised && !isOver)
        ends.push({
            words: order.promised_on ? 'Promised' : 'Asked for',
            at: dayjs(promised),
            note: null,
            kind: order.promised_on ? 'promised' : 'asked',
        });
    return [...done, ...ends].sort((a, b) => a.at.valueOf() - b.at.valueOf());
}

/**
 * The way of an order from the first word to the day that was promised, to scale; with the moment at which it is
 * painted, where the batches tell.
 */
export function Road({ order }: { order: Order }) {
    const isPainted = order.status === 'in_work';
    const forecast = useQuery({ ...orderForecastQuery(order.id), enabled: isPainted });
    const stops = stopsOf(order, isPainted ? (forecast.data?.finish ?? null) : null);
    const first = stops[0]?.at.startOf('day') ?? dayjs();
    const last = stops.at(-1)?.at.endOf('day') ?? first;
    const span = Math.max(1, last.diff(first, 'hour'));
    const place = (at: Dayjs) => (100 * at.diff(first, 'hour')) / span;
    const today = place(dayjs());
    const ends: number[] = [];
    const rows = stops.map((stop) => {
        const x = place(stop.at);
        const row =
            Array.from({ length: ROWS }, (_, i) => i).find((i) => (ends[i] ?? -NEAR) + NEAR <= x) ?? 0;
        ends[row] = x;
        return row;
    });
    const weeks = Array.from({ length: Math.floor(last.diff(first, 'day') / 7) + 1 }, (_, i) =>
        first.add(7 * i, 'day'),
    );
    return (
        <figure className={css.road} aria-label="How the order came to where it stands">
            <ol className={css.stops} style={{ height: ROW_PX * (1 + Math.max(0, ...rows)) }}>
                {stops.map((stop, i) => (
                    <li
                        key={`${stop.words} ${i}`}
                        className={`${css.stop} ${css[stop.kind]} ${place(stop.at) > 85 ? css.left : ''}`}
                        style={{
                            ...(place(stop.at) > 85
                                ? { right: `${100 - place(stop.at)}%` }
                                : { left: `${place(stop.at)}%` }),
                            top: ROW_PX * (rows[i] ?? 0),
                        }}
                    >
                        <b>{stop.words}</b>
                        <span>
                            {day(stop.at.toISOString(), false)}
                            {stop.note && stop.kind === 'done' ? ` · ${stop.note}` : ''}
                        </span>
                    </li>
                ))}
            </ol>
            <div className={css.line} aria-hidden>
                <span className={css.gone} style={{ width: `${Math.min(100, today)}%` }} />
                {weeks.map((w) => (
                    <i key={w.valueOf()} className={css.tick} style={{ left: `${place(w)}%` }} />
                ))}
                {stops.map((stop, i) => (
                    <i
                        key={`${stop.words} ${i}`}
                        className={`${css.dot} ${css[stop.kind]}`}
                        style={{ left: `${place(stop.at)}%` }}
                    />
                ))}
            </div>
        </figure>
    );
}
