import { Button, Flex } from 'antd';
import { keyShown } from '../../app/keys';
import { Says } from '../../ui/Says';
import { Sample } from './Sample';
import css from './Tray.module.css';
import type { Tray, TrayDesk } from './useTray';

/** What the look asks, and one answer for all models but those left out. */
export function TrayLook({ tray, desk: { at, look, struck, busy, give } }: { tray: Tray; desk: TrayDesk }) {
    if (!look) return null;
    return (
        <aside className={`card pad ${css.look}`}>
            <div className="eyebrow">
                look {at + 1} of {tray.looks.length}, seen from {tray.unit.distance_cm} cm
            </div>
            <h2>{look.name}</h2>
            <ul className="small">
                {look.lines.map((line) => (
                    <li key={line}>{line}</li>
                ))}
            </ul>
            <Flex vertical gap={8}>
                <Button
                    type="primary"
                    size="large"
                    disabled={!tray.may_answer || busy}
                    onClick={() => give('yes')}
                >
                    {struck.length === 0
                        ? `Fine on all ${tray.models.length}`
                        : `Fine on all but ${struck.length}`}{' '}
                    <kbd>{keyShown('fine')}</kbd>
                </Button>
                <Button disabled={!tray.may_answer || busy} onClick={() => give('not_seen')}>
                    Cannot be seen on them <kbd>{keyShown('notSeen')}</kbd>
                </Button>
            </Flex>
            <p className="small soft">
                Press a model, or its number, to leave it out; open it to note what is wrong with it.
            </p>
            <Sample unit={tray.unit.id} />
            {tray.left.map((l) => (
                <Says key={l.number} kind="warn">
                    Model {l.number}: {l.why}
                </Says>
            ))}
        </aside>
    );
}
