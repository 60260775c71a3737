import { type CSSProperties, type ReactNode, useId } from 'react';
import { Link } from 'react-router';
import type { DayBoard } from '../../api/batches';
import { minutes } from '../../ui/marks';
import { time } from '../../ui/when';
import css from './Day.module.css';
import { modelsWords, potWords } from './runs';
import { isDark, usePlace } from './scale';

type Block = DayBoard['blocks'][number];

/** Something between two moments of the day. */
function Span({
    from,
    to,
    className = '',
    hex = null,
    children,
}: {
    from: string;
    to: string;
    className?: string | undefined;
    hex?: string | null;
    children: ReactNode;
}) {
    const place = usePlace();
    const style: CSSProperties & Record<'--paint', string> = {
        insetInlineStart: `${place(from)}%`,
        width: `${place(to) - place(from)}%`,
        '--paint': hex ?? 'var(--rule)',
    };
    return (
        <div className={`${css.span} ${className}`} style={style}>
            {children}
        </div>
    );
}

/** What one painter does on a day: hand work stands on the board, what is wet hangs from it until it is dry. */
export function Board({ board }: { board: DayBoard }) {
    const hand = board.blocks.reduce(
        (sum, b) => sum + (new Date(b.to).getTime() - new Date(b.from).getTime()) / 60_000,
        0,
    );
    const longest = [...board.free].sort(
        (a, b) =>
            new Date(b.to).getTime() -
            new Date(b.from).getTime() -
            (new Date(a.to).getTime() - new Date(a.from).getTime()),
    )[0];
    const told = useTold(board.blocks);
    return (
        <section className={css.lane} aria-label={board.name}>
            <div className={css.who}>
                <b>{board.name}</b>
                <span className="small soft">
                    {board.hours === null && hand === 0
                        ? 'not at the bench'
                        : `${minutes(hand)} with the brush`}
                </span>
                {longest && (
                    <span className={`small ${css.isFree}`}>
                        free {time(longest.from)} to {time(longest.to)}
                    </span>
                )}
            </div>
            <div className={css.track}>
                {board.free.map((f) => (
                    <Span key={f.from} from={f.from} to={f.to} className={css.free}>
                        <span className="small">free</span>
                    </Span>
                ))}
                {board.blocks.map((b) => (
                    <OnBoard key={`${b.from} ${b.does.pass} ${b.does.unit}`} block={b} />
                ))}
                <div className={css.plank} />
                {board.blocks.map((b, i) => (
                    <Hanging
                        isTold={told[i] === true}
                        key={`${b.from} ${b.does.pass} ${b.does.unit}`}
                        block={b}
                    />
                ))}
            </div>
        </section>
    );
}

/** Room that "dry 10:30" takes, in per cent of the board. */
const WORDS = 9;

/** Of paint that dries at much the same moment one is told. */
function useTold(blocks: Block[]): boolean[] {
    const place = usePlace();
    let last = -WORDS;
    const order = blocks
        .map((b, i) => ({
            i,
            at: b.dry === null ? -1 : place(b.dry),
            long: b.dry === null ? 0 : place(b.dry) - place(b.to),
        }))
        .filter((d) => d.at >= WORDS && d.long >= 2)
        .sort((a, b) => a.at - b.at);
    const told = blocks.map(() => false);
    for (const { i, at } of order) {
        if (at - last < WORDS) continue;
        told[i] = true;
        last = at;
    }
    return told;
}

function OnBoard({ block: b }: { block: Block }) {
    const words = `${potWords(b.does)}, ${b.does.sculpt}, ${modelsWords(b.does.models)}`;
    return (
        <Span
            from={b.from}
            to={b.to}
            hex={b.does.hex}
            className={[css.block, b.done ? css.done : '', isDark(b.does.hex) ? css.dark : ''].join(' ')}
        >
            <Link
                to={`/bench/${b.does.unit}`}
                title={`${time(b.from)} to ${time(b.to)}: ${words}`}
                aria-label={`${time(b.from)} to ${time(b.to)}: ${words}`}
            >
                <b>{b.does.technique}</b>
                <span>
                    {b.does.models.length} {b.does.sculpt}
                </span>
            </Link>
        </Span>
    );
}

/** Paint that hangs to dry: it fades, and ends in the moment at which it is dry. */
function Hanging({ block: b, isTold }: { block: Block; isTold: boolean }) {
    const id = useId();
    const place = usePlace();
    if (b.dry === null || place(b.dry) - place(b.to) < 0.6) return null;
    const paint = b.does.hex ?? 'var(--soft)';
    return (
        <Span from={b.to} to={b.dry} className={css.hanging} hex={b.does.hex}>
            <svg viewBox="0 0 100 30" preserveAspectRatio="none" aria-hidden>
                <defs>
                    <linearGradient id={id}>
                        <stop offset="0" stopColor={paint} stopOpacity="0.6" />
                        <stop offset="1" stopColor={paint} stopOpacity="0.06" />
                    </linearGradient>
                </defs>
                <path d="M0 0 C 4 24, 40 29, 100 29 C 98 22, 88 0, 84 0 Z" fill={`url(#${id})`} />
            </svg>
            {isTold && <span className={css.dry}>dry {time(b.dry)}</span>}
        </Span>
    );
}
