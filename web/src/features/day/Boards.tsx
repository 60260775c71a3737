import { useEffect, useState } from 'react';
import type { BenchDay } from '../../api/batches';
import { time } from '../../ui/when';
import { Board } from './Board';
import css from './Day.module.css';
import { HOUR, type Scale, ScaleOfDay, usePlace } from './scale';

/** From the first hand to the last one, in whole hours; a working day where nobody is there. */
function scaleOf(day: BenchDay): Scale {
    const moments = day.boards
        .flatMap((b) => [b.hours, ...b.blocks])
        .filter((span) => span !== null)
        .flatMap((span) => [new Date(span.from).getTime(), new Date(span.to).getTime()]);
    if (moments.length === 0) {
        const nine = new Date(`${day.on}T09:00:00`).getTime();
        return { from: nine, to: nine + 8 * HOUR };
    }
    const from = Math.floor(Math.min(...moments) / HOUR) * HOUR;
    const last = Math.ceil(Math.max(...moments) / HOUR) * HOUR;
    return { from, to: Math.max(last, from + 4 * HOUR) };
}

/** The boards of a day under one scale of hours. */
export function Boards({ day }: { day: BenchDay }) {
    const scale = scaleOf(day);
    return (
        <ScaleOfDay value={scale}>
            <div className={css.boards}>
                <Hours scale={scale} />
                {day.boards.map((b) => (
                    <Board key={b.user} board={b} />
                ))}
                <Now scale={scale} />
            </div>
        </ScaleOfDay>
    );
}

function Hours({ scale }: { scale: Scale }) {
    const place = usePlace();
    const hours = Array.from(
        { length: Math.round((scale.to - scale.from) / HOUR) + 1 },
        (_, i) => scale.from + i * HOUR,
    );
    return (
        <div className={css.hours} aria-hidden>
            <div className="small soft">
                on the board: hand work
                <br />
                hanging: wet paint
            </div>
            <div className={css.axis}>
                {hours.map((h) => (
                    <At key={h} at={place(h)} className={css.hour}>
                        {time(new Date(h).toISOString()).replace(':00', '')}
                    </At>
                ))}
            </div>
        </div>
    );
}

function Now({ scale }: { scale: Scale }) {
    const [now, setNow] = useState(() => Date.now());
    const place = usePlace();
    useEffect(() => {
        const tick = setInterval(() => setNow(Date.now()), 30_000);
        return () => clearInterval(tick);
    }, []);
    if (now < scale.from || now > scale.to) return null;
    return (
        <div className={css.over} aria-hidden>
            <At at={place(now)} className={css.now}>
                <span>now {time(new Date(now).toISOString())}</span>
            </At>
        </div>
    );
}

function At({
    at,
    className,
    children,
}: {
    at: number;
    className?: string | undefined;
    children: React.ReactNode;
}) {
    return (
        <div className={className} style={{ insetInlineStart: `${at}%` }}>
            {children}
        </div>
    );
}
