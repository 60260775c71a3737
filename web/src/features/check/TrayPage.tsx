import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import { trayQuery } from '../../api/work';
import { keyShown } from '../../app/keys';
import { Top } from '../../app/Top';
import { Empty, Failed, Loading } from '../../ui/states';
import css from './Tray.module.css';
import { TrayLook } from './TrayLook';
import { TrayModel } from './TrayModel';
import { TrayRail } from './TrayRail';
import { type Tray, useTray } from './useTray';

/** One look over all models that wait, side by side: fine for all, but for those that were struck out. */
export default function TrayPage() {
    const { unit } = useParams();
    const query = useQuery(trayQuery(Number(unit)));
    if (query.isPending) return <Loading what="the models" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    if (query.data.models.length === 0)
        return (
            <Empty title="No model of this unit waits for its check">
                <p>
                    <Link to="/check">What else waits</Link>
                </p>
            </Empty>
        );
    return <Looking tray={query.data} />;
}

function Looking({ tray }: { tray: Tray }) {
    const desk = useTray(tray);
    const { look, left, ready, busy, next, struck } = desk;
    if (!look) return null;
    const side = look.view === 'back' ? 'back' : 'front';
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>
                    {tray.models.length} × {tray.unit.sculpt}, side by side
                </h1>
                <span className="pill">
                    {tray.unit.tier} v{tray.unit.standard_version}
                </span>
                <span className="room" />
                <Button type="primary" disabled={busy || (left === 0 && ready === 0)} onClick={next}>
                    {left > 0 ? 'Next look' : `Pass ${ready} of ${tray.models.length}`}{' '}
                    <kbd>{keyShown('nextLook')}</kbd>
                </Button>
            </Top>
            <TrayRail tray={tray} desk={desk} />
            <div className={`page ${css.page}`}>
                <section className={css.models} aria-label="Models">
                    {tray.models.map((m) => (
                        <TrayModel
                            key={m.id}
                            tray={tray}
                            model={m}
                            look={look.key}
                            side={side}
                            isStruck={struck.includes(m.id)}
                            strike={() => desk.strike(m.id)}
                            alone={() => desk.openAlone(m)}
                        />
                    ))}
                </section>
                <TrayLook tray={tray} desk={desk} />
            </div>
        </>
    );
}
