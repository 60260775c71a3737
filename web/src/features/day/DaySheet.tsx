import type { BenchDay } from '../../api/batches';
import { minutes } from '../../ui/marks';
import { time } from '../../ui/when';
import css from './Day.module.css';
import { modelsWords, potWords } from './runs';

/** The day on paper: what each painter does, to be ticked with a pencil. */
export function DaySheet({ day, title }: { day: BenchDay; title: string }) {
    return (
        <section className={`only-print ${css.sheet}`} aria-hidden>
            <h1 className={css.head}>{title}, day sheet</h1>
            {day.boards
                .filter((b) => b.blocks.length > 0)
                .map((b) => (
                    <div key={b.user} className={css.column}>
                        <h2>{b.name}</h2>
                        {b.blocks
                            .filter((block) => !block.done)
                            .map((block) => (
                                <p key={`${block.from} ${block.does.pass}`} className={css.line}>
                                    <span className={css.box} />
                                    <span className="num">{time(block.from)}</span>
                                    <span>
                                        <b>{potWords(block.does)}</b>, {block.does.sculpt},{' '}
                                        {modelsWords(block.does.models)}, {minutes(block.does.minutes)}
                                        {block.dry === null ? '' : `; dry ${time(block.dry)}`}
                                    </span>
                                </p>
                            ))}
                    </div>
                ))}
        </section>
    );
}
