import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Modal, Upload } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { SCULPTS, sculptsQuery } from '../../api/colours';
import { takeFile } from '../../api/standard';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Figure } from '../../ui/Figure';
import { Find, Listed } from '../../ui/Listed';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { OrdersTabs } from '../orders/OrdersTabs';
import { NewFigure } from './NewFigure';

export default function FiguresPage() {
    const person = usePerson();
    const queries = useQueryClient();
    const notices = useNotices();
    const [making, setMaking] = useState(false);
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(sculptsQuery(wanted));
    const take = useMutation({
        mutationFn: takeFile,
        onSuccess: async (taken) => {
            await queries.invalidateQueries({ queryKey: SCULPTS });
            notices.done('said' in taken ? taken.said : 'It is a long one: the worker takes it in.');
        },
        onError: notices.failed,
    });
    const editable = can(person, 'schemes.edit');
    return (
        <>
            <Top>
                <h1>Figures</h1>
                <span className="room" />
                {editable && (
                    <>
                        <Upload
                            accept=".json,application/json"
                            showUploadList={false}
                            beforeUpload={(f) => {
                                void f.text().then((text) => take.mutate(text), notices.failed);
                                return false;
                            }}
                        >
                            <Button loading={take.isPending}>From a file</Button>
                        </Upload>
                        <Button type="primary" onClick={() => setMaking(true)}>
                            New figure
                        </Button>
                    </>
                )}
            </Top>
            <OrdersTabs />
            <div className="page">
                <Listed
                    what="the figures"
                    query={query}
                    narrowed={wanted !== ''}
                    tools={<Find label="Name, role or size" value={find} onChange={setFind} />}
                    empty={
                        <Empty title="No figure yet">
                            <p>
                                A figure is a kind of model with its areas: what is painted as one thing.
                                Start from a schematic and untick what it lacks; outlines can come later.
                            </p>
                            {editable && (
                                <Button type="primary" onClick={() => setMaking(true)}>
                                    Make the first one
                                </Button>
                            )}
                        </Empty>
                    }
                >
                    {(figures) => (
                        <div className="figure-cards">
                            {figures.map((s) => (
                                <Link key={s.slug} to={`/figures/${s.slug}`} className="card pad">
                                    <div className="thumb">
                                        <Figure areas={s.figure} view="front" frame={s.frame_mm} />
                                    </div>
                                    <b>{s.name}</b>
                                    <span className="small soft">
                                        {s.role}, {s.size} · {s.areas} areas
                                        {s.outlined < s.areas ? `, ${s.outlined} outlined` : ''}
                                    </span>
                                </Link>
                            ))}
                        </div>
                    )}
                </Listed>
            </div>
            <Modal
                open={making}
                title="New figure"
                footer={null}
                width={640}
                onCancel={() => setMaking(false)}
                destroyOnHidden
            >
                <NewFigure />
            </Modal>
        </>
    );
}
