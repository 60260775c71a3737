import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { SculptMap } from '../../api/types';
import { useKey, wayOf } from '../../app/keys';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Field } from '../../ui/Field';
import { AreaForm } from './AreaForm';
import { AreaList } from './AreaList';
import { FigureForm } from './FigureForm';
import { FigurePhotographs } from './FigurePhotographs';
import { withKey } from './map';
import { MapCanvas } from './MapCanvas';
import { MapChecks } from './MapChecks';
import { MapTools } from './MapTools';
import { type MapDesk, useMap } from './useMap';

/** Marks areas as outlines on the bare model or the schematic, and says what each area is. It draws nothing else. */
export function MapEditor({ map }: { map: SculptMap }) {
    const editable = can(usePerson(), 'schemes.edit');
    const desk = useMap(map, editable);
    const [snap, setSnap] = useState(true);
    const [fade, setFade] = useState(0.55);
    const { sculpt, area, drawing } = desk;
    useKey('pointBack', desk.undo);
    useKey('closeOutline', desk.close, drawing !== null);
    useKey('dropOutline', desk.drop);
    useKey('pointOut', desk.removePoint);
    useKey('point', (e) => desk.nudge(...wayOf(e)));
    return (
        <>
            <MapTop map={map} desk={desk} editable={editable} />
            <div className="map-page">
                <AreaList desk={desk} editable={editable} />
                <div className="stack">
                    <section className="card pad">
                        <MapTools
                            desk={desk}
                            editable={editable}
                            snap={snap}
                            setSnap={setSnap}
                            fade={fade}
                            setFade={setFade}
                        />
                        <MapCanvas
                            sculpt={sculpt}
                            view={desk.view}
                            chosen={desk.chosen}
                            choose={desk.choose}
                            picture={desk.pictures[desk.view]}
                            fade={fade}
                            points={desk.points}
                            setPoints={desk.setPoints}
                            drawing={drawing}
                            setDrawing={desk.setDrawing}
                            snap={snap}
                            editable={editable}
                            rings={desk.rings}
                            setRings={desk.setRings}
                            remember={desk.remember}
                        />
                        <p className="small soft mt-8">
                            {drawing
                                ? 'Click point after point; Enter or Close it ends the outline, Esc drops it.'
                                : editable
                                  ? 'Drag a point; click an edge for a new one; Shift and click a second point ' +
                                    'to split between the two. Arrow keys move a point by a quarter millimetre.'
                                  : 'The lead painter changes maps.'}
                        </p>
                    </section>
                    <FigurePhotographs slug={map.slug} areas={sculpt.areas} view={desk.view} />
                </div>
                <aside className="stack">
                    {area && (
                        <AreaForm
                            key={area.key}
                            area={area}
                            sculpt={sculpt}
                            editable={editable}
                            share={desk.tried.data?.shares[area.key]}
                            set={desk.setArea}
                            rename={(key) => {
                                desk.change(withKey(sculpt, area.key, key));
                                desk.setChosen(key);
                            }}
                            remove={() => desk.removeArea(area.key)}
                        />
                    )}
                    <MapChecks
                        tried={desk.tried.data}
                        pending={desk.tried.isFetching}
                        sum={sculpt.areas.reduce((s, a) => s + a.share_pct, 0)}
                        choose={desk.setChosen}
                        propose={editable ? desk.takeShares : null}
                    />
                    <FigureForm
                        sculpt={sculpt}
                        editable={editable}
                        set={(patch) => desk.change({ ...sculpt, ...patch })}
                    />
                </aside>
            </div>
        </>
    );
}

function MapTop({ map, desk, editable }: { map: SculptMap; desk: MapDesk; editable: boolean }) {
    const { sculpt, tried, save, copy } = desk;
    const [name, setName] = useState<string | null>(null);
    return (
        <Top>
            <Link to="/figures" className="soft">
                Figures
            </Link>
            <h1>{sculpt.name}</h1>
            <span className="pill">{sculpt.areas.length} areas</span>
            {map.on_bench > 0 && (
                <span
                    className="pill"
                    title="Outlines and pictures can be changed, areas and their figures cannot"
                >
                    {map.on_bench} {map.on_bench === 1 ? 'unit' : 'units'} painted from it
                </span>
            )}
            <span className="room" />
            <Button href={`/api/v1/sculpts/${map.slug}/export`} download>
                Export
            </Button>
            {editable && (
                <>
                    <Button disabled={!desk.canUndo} onClick={desk.undo}>
                        Undo
                    </Button>
                    <Button disabled={copy.isPending} onClick={() => setName(`${sculpt.name} copy`)}>
                        Keep as another
                    </Button>
                    <Button
                        type="primary"
                        disabled={!desk.changed || save.isPending || (tried.data?.problems.length ?? 0) > 0}
                        onClick={() => save.mutate()}
                    >
                        Keep
                    </Button>
                </>
            )}
            <Modal
                open={name !== null}
                title="Keep this map as another"
                okText="Keep it"
                cancelText="Leave it"
                okButtonProps={{ disabled: (name ?? '').trim() === '' }}
                onOk={() => {
                    copy.mutate((name ?? '').trim());
                    setName(null);
                }}
                onCancel={() => setName(null)}
            >
                <Field label="Under the name">
                    <Input autoFocus value={name ?? ''} onChange={(e) => setName(e.target.value)} />
                </Field>
            </Modal>
        </Top>
    );
}
