import { money } from './money';
import css from './Stroke.module.css';

/** A brush stroke from nothing to the most it can come to, with a pencil mark at the price. */
export function Stroke({
    price,
    ceiling,
    currency,
    isFixed,
}: {
    price: string;
    ceiling: string;
    currency: string;
    isFixed: boolean;
}) {
    const most = Number(ceiling);
    const at = most > 0 ? (100 * Number(price)) / most : 0;
    if (isFixed || price === ceiling)
        return (
            <p className={css.plain}>
                <b>{money(price, currency)}</b>
            </p>
        );
    return (
        <figure className={css.stroke}>
            <svg viewBox="0 0 300 22" preserveAspectRatio="none" aria-hidden="true">
                <path
                    d="M1 7 Q60 1 150 5 T299 4 L298 18 Q230 21 150 18 T2 20 Z"
                    fill="var(--accent)"
                    opacity=".22"
                />
                <path
                    d="M1 7 Q60 1 150 5 T299 4 L298 18 Q230 21 150 18 T2 20 Z"
                    fill="var(--accent)"
                    style={{ clipPath: `inset(0 ${100 - at}% 0 0)` }}
                />
            </svg>
            <span className={css.mark} style={{ left: `${at}%` }} aria-hidden="true" />
            <figcaption>
                <b>about {money(price, currency)}</b>
                <span>at most {money(ceiling, currency)}</span>
            </figcaption>
        </figure>
    );
}
