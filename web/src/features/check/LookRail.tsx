import type { Check } from '../../api/types';
import css from './LookRail.module.css';
import type { CheckDesk } from './useCheck';

const SIDES: Record<string, string> = { front: 'Front', back: 'Back', top: 'Top', under: 'Under' };

/** Letters that mean nothing else in a check. */
const LETTERS = 'abcdehijklmnopqrtuvz';

/** The letter that goes to a look after `g`. */
export const letterOf = (place: number): string => LETTERS[place] ?? '';

/** All looks in their order, under the sides they are from: done, with a fault, or open. */
export function LookRail({ check, desk, letters }: { check: Check; desk: CheckDesk; letters: boolean }) {
    const sides = [...new Set(check.looks.map((l) => l.view ?? ''))];
    return (
        <nav className={css.rail} aria-label="Looks">
            {sides.map((side) => (
                <div key={side} className={css.side}>
                    <div className="eyebrow">{SIDES[side] ?? 'Whole model'}</div>
                    <div className={css.looks}>
                        {check.looks.map((l, place) => {
                            if ((l.view ?? '') !== side) return null;
                            const faults = faultsOf(check, l.key);
                            const open = desk.isOpen(l.key);
                            const here = place === desk.at ? css.here : '';
                            const found = faults > 0 ? `${faults} found` : '';
                            const state = [found, open ? 'open' : found ? '' : 'done']
                                .filter(Boolean)
                                .join(', ');
                            return (
                                <button
                                    key={l.key}
                                    type="button"
                                    className={`${css.look} ${here} ${open ? '' : css.done}`}
                                    aria-current={place === desk.at ? 'step' : undefined}
                                    aria-label={`${SIDES[side] ?? 'Whole model'}, ${l.name}: ${state}`}
                                    onClick={() => desk.to(place)}
                                >
                                    {letters && <kbd>{letterOf(place)}</kbd>}
                                    {faults > 0 ? (
                                        <span className={css.fault}>{faults}</span>
                                    ) : open ? null : (
                                        <span className={css.tick} aria-hidden="true">
                                            ✓
                                        </span>
                                    )}
                                    {l.name}
                                </button>
                            );
                        })}
                    </div>
                </div>
            ))}
        </nav>
    );
}

const faultsOf = (check: Check, look: string): number =>
    check.faults.filter((f) => check.questions.find((q) => q.key === f.question)?.look === look).length;
