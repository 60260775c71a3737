import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { drawnUnitQuery } from '../../api/drawings';
import { Drawn } from '../../ui/Drawn';
import { Still } from '../../ui/Still';
import css from './Tray.module.css';
import type { Tray } from './useTray';

/** One model in the tray: pressed, it is left out of the answer. */
export function TrayModel({
    tray,
    model: m,
    look,
    side,
    isStruck,
    strike,
    alone,
}: {
    tray: Tray;
    model: Tray['models'][number];
    look: string;
    side: 'front' | 'back';
    isStruck: boolean;
    strike: () => void;
    alone: () => void;
}) {
    const state = m.looks[look];
    const photograph = tray.photographs.find((p) => p.model === m.number && p.view === side);
    const drawn = useQuery({
        ...drawnUnitQuery(tray.unit.id, 0, m.number, null),
        enabled: photograph === undefined,
    });
    const address = drawn.data?.drawn[side];
    const said =
        m.held_by !== null
            ? `${m.held_by} is looking at it`
            : m.own_work
              ? 'you painted on it'
              : state === undefined
                ? 'not asked after its repair'
                : state.faults > 0
                  ? `${state.faults} ${state.faults === 1 ? 'fault' : 'faults'}`
                  : state.open > 0
                    ? 'open'
                    : '✓ answered';
    return (
        <figure className={`${css.model} ${isStruck ? css.struck : ''}`}>
            <button type="button" aria-pressed={isStruck} onClick={strike} className={css.picture}>
                {photograph ? (
                    <Still src={`/api/v1/pictures/${photograph.sha256}`} alt={`Model ${m.number}`} />
                ) : address !== undefined ? (
                    <Drawn still address={address} alt={`Model ${m.number}`} instead={null} />
                ) : (
                    <span className="soft small">no picture</span>
                )}
                {(photograph?.drawn ?? true) && <span className={css.drawn}>drawn</span>}
            </button>
            <figcaption>
                <b>{m.number}</b>{' '}
                <span className={state && state.faults > 0 ? css.found : 'soft'}>{said}</span>
                <Button size="small" type="link" onClick={alone}>
                    open it
                </Button>
            </figcaption>
        </figure>
    );
}
