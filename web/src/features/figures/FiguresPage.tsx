import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, Modal, Upload } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { sculptsQuery } from '../../api/colours';
import { takeFile } from '../../api/standard';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Figure } from '../../ui/Figure';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from '../orders/OrdersTabs';
import { NewFigure } from './NewFigure';

export default function FiguresPage() {
    const person = usePerson();
    const queries = useQueryClient();
    const notices = useNotices();
    const [making, setMaking] = useState(false);
    const [find, setFind] = useState('');
    const query = useQuery(sculptsQuery());
    const take = useMutation({
        mutationFn: takeFile,
        onSuccess: async ({ said }) => {
            await queries.invalidateQueries({ queryKey: sculptsQuery().queryKey });
            notices.done(said);
        },
        onError: notices.failed,
    });
    const found = (query.data?.data ?? []).filter((s) =>
        `${s.name} ${s.role} ${s.size}`.toLowerCase().includes(find.toLowerCase()),
    );
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
                {query.isPending ? (
                    <Loading what="the figures" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="No figure yet">
                        <p>
                            A figure is a kind of model with its areas: what is painted as one thing. Start
                            from a schematic and untick what it lacks; outlines can come later.
                        </p>
                        {editable && (
                            <Button type="primary" onClick={() => setMaking(true)}>
                                Make the first one
                            </Button>
                        )}
                    </Empty>
                ) : (
                    <>
                        <Input
                            className="search mb-12"
                            allowClear
                            aria-label="Find a figure"
                            placeholder="Name, role or size"
                            value={find}
                            onChange={(e) => setFind(e.target.value)}
                        />
                        <div className="figure-cards">
                            {found.map((s) => (
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
                    </>
                )}
            </div>
            <Modal
                open={making}
                title="New figure"
                footer={null}
                width={640}
                onCancel={() => setMaking(false)}
                destroyOnHidden
            >
                {query.data && <NewFigure templates={query.data.templates} />}
            </Modal>
        </>
    );
}
