import type { ComparedRung, Comparison as Sheet } from '../../api/types';
import css from './Comparison.module.css';
import { Divide } from './Divide';
import { MarkedFigure } from './MarkedFigure';
import { AtDistance } from '../../ui/AtDistance';
import { Drawn } from '../../ui/Drawn';
import { KeptDetails } from '../../ui/KeptDetails';
import { moneyRange } from '../../ui/money';

/** Lines of what one does not get before the rest is only counted. */
const NAMED = 4;

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
            <div className={css.cards}>
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
            <h3 className={css.name}>{r.name}</h3>
            <p className={css.intent}>{r.intent}</p>
            {r.drawn.front === undefined ? (
                <MarkedFigure sheet={sheet} rung={r} />
            ) : (
                <Drawn
                    address={r.drawn.front}
                    alt={`${sheet.sculpt} at ${r.name}`}
                    instead={<MarkedFigure sheet={sheet} rung={r} />}
                />
            )}
            <p className={css.seen}>Made to be seen from {r.distance_cm} cm</p>
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
            {prices && r.price && <p className={css.price}>{moneyRange(r.price, sheet.currency)}</p>}
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
