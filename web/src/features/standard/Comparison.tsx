import type { ComparedRung, Comparison as Sheet } from '../../api/types';
import css from './Comparison.module.css';
import { Divide } from './Divide';
import { MarkedFigure } from './MarkedFigure';
import { AtDistance } from '../../ui/AtDistance';
import { Cropped } from '../../ui/Cropped';
import { Drawn } from '../../ui/Drawn';
import { KeptDetails } from '../../ui/KeptDetails';
import { money } from '../../ui/money';

/** Lines of what one does not get before the rest is only counted. */
const NAMED = 3;

/** Of a card, beside its crops: head, figure, words, distance, price. */
const ROWS = 5;

/** One figure at every offered tier, a sample card each whose stepped top is its rung: on screen, on A4, and shared. */
export function Comparison({
    sheet,
    prices,
    secret,
}: {
    sheet: Sheet;
    prices: boolean;
    /** Of the link by which it is seen; none: signed in. */
    secret?: string | undefined;
}) {
    return (
        <div className={css.sheet}>
            <h2 className={css.title}>
                {sheet.studio}: the {sheet.sculpt} at every tier
            </h2>
            <div className={css.cards} style={{ '--rows': ROWS + sheet.crops.length }}>
                {sheet.rungs.map((r, i) => (
                    <Card
                        key={r.key}
                        sheet={sheet}
                        rung={r}
                        step={sheet.rungs.length - 1 - i}
                        below={sheet.rungs[i - 1] ?? null}
                        prices={prices}
                        secret={secret}
                    />
                ))}
            </div>
            <Divide sheet={sheet} />
        </div>
    );
}

function Card({
    sheet,
    rung: r,
    step,
    below,
    prices,
    secret,
}: {
    sheet: Sheet;
    rung: ComparedRung;
    step: number;
    below: ComparedRung | null;
    prices: boolean;
    secret: string | undefined;
}) {
    return (
        <section className={css.card} aria-label={r.name} style={{ '--step': step }}>
            <div className={css.head}>
                <h3 className={css.name}>{r.name}</h3>
                <p className={css.intent}>{r.intent}</p>
            </div>
            {r.drawn.front === undefined ? (
                <MarkedFigure sheet={sheet} rung={r} />
            ) : (
                <Drawn
                    address={r.drawn.front}
                    alt={`${sheet.sculpt} at ${r.name}`}
                    instead={<MarkedFigure sheet={sheet} rung={r} />}
                />
            )}
            {sheet.crops.map((c) => (
                <div key={c.area}>
                    {r.large && <Cropped address={r.large} crop={c} alt={`${c.area} at ${r.name}`} />}
                </div>
            ))}
            <div className={css.words}>
                <KeptDetails details={r.examples} secret={secret} />
                <List title={below ? `All of ${below.name}, and` : 'What you get'} lines={r.adds} />
                {r.loses.length > 0 && <List title="In its place goes" lines={r.loses} quiet />}
                {r.not_here.length > 0 && (
                    <List
                        title="You do not get here"
                        lines={[
                            ...r.not_here.slice(0, NAMED),
                            ...(r.not_here.length > NAMED ? [`and ${r.not_here.length - NAMED} more`] : []),
                        ]}
                        quiet
                    />
                )}
            </div>
            <div className={css.seen}>
                Made to be seen from {r.distance_cm} cm
                {r.drawn.front !== undefined && (
                    <div className="no-print">
                        <AtDistance
                            address={r.drawn.front}
                            alt={`${sheet.sculpt} at ${r.name}`}
                            widthMm={sheet.frame_mm[0] ?? 60}
                            distanceCm={r.distance_cm}
                        />
                    </div>
                )}
            </div>
            <p className={css.price}>
                {prices && r.price && (
                    <>
                        <b>{money(r.price.price, sheet.currency)}</b> a model
                        {!sheet.is_fixed && r.price.ceiling !== r.price.price && (
                            <span className={css.most}>at most {money(r.price.ceiling, sheet.currency)}</span>
                        )}
                    </>
                )}
            </p>
        </section>
    );
}

function List({ title, lines, quiet = false }: { title: string; lines: string[]; quiet?: boolean }) {
    return (
        <div className={quiet ? css.quiet : ''}>
            <p className={css.heading}>{title}</p>
            <ul className={css.lines}>
                {lines.map((l) => (
                    <li key={l}>{l}</li>
                ))}
            </ul>
        </div>
    );
}
