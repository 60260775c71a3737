import rail from './LookRail.module.css';
import type { Tray, TrayDesk } from './useTray';

const SIDES: Record<string, string> = { front: 'Front', back: 'Back', top: 'Top', under: 'Under' };

/** The looks of a tray, each done or open. */
export function TrayRail({ tray, desk: { at, open, to } }: { tray: Tray; desk: TrayDesk }) {
    return (
        <nav className={rail.rail} aria-label="Looks">
            <div className={rail.looks}>
                {tray.looks.map((l, place) => {
                    const side = SIDES[l.view ?? ''];
                    const name = side === undefined ? l.name : `${side}: ${l.name}`;
                    const here = place === at ? rail.here : '';
                    return (
                        <button
                            key={l.key}
                            type="button"
                            className={`${rail.look} ${here} ${open(l.key) ? '' : rail.done}`}
                            aria-current={place === at ? 'step' : undefined}
                            aria-label={`${name}: ${open(l.key) ? 'open' : 'done'}`}
                            onClick={() => to(place)}
                        >
                            {!open(l.key) && (
                                <span className={rail.tick} aria-hidden="true">
                                    ✓
                                </span>
                            )}
                            {name}
                        </button>
                    );
                })}
            </div>
        </nav>
    );
}
