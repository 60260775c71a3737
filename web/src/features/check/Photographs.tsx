import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Image, Modal, Popconfirm, Upload } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { takePicture } from '../../api/orders';
import {
    keepPhotograph,
    photographsQuery,
    removePhotograph,
    type Photograph,
    type PhotographView,
} from '../../api/photographs';
import type { Check } from '../../api/types';
import { Says } from '../../ui/Says';
import { Measured } from './Measured';
import css from './Photographs.module.css';
import { PlacePhoto } from './PlacePhoto';

/** Photographs of the model that is looked at: taken in, laid under its outlines, measured. */
export function Photographs({ check, view }: { check: Check; view: PhotographView }) {
    const queries = useQueryClient();
    const query = useQuery(photographsQuery(check.piece.id));
    const [placing, setPlacing] = useState<number | null>(null);
    const again = () => queries.invalidateQueries({ queryKey: ['photographs', check.piece.id] });
    const take = useMutation({
        mutationFn: async (file: File) =>
            keepPhotograph(check.piece.id, { sha256: (await takePicture(file)).sha256, view }),
        onSuccess: again,
    });
    const remove = useMutation({ mutationFn: removePhotograph, onSuccess: again });
    const photographs = query.data?.data ?? [];
    const marks = query.data?.marks;
    const placed = photographs.find((p) => p.id === placing) ?? null;
    const markOf = (p: Photograph) => (p.view === 'front' || p.view === 'back' ? marks?.[p.view] : undefined);
    return (
        <section aria-label="Photographs">
            <Flex gap={8} align="center" wrap className="mb-8">
                <span className="eyebrow">Photographs</span>
                <Upload
                    accept="image/png,image/jpeg,image/webp"
                    capture="environment"
                    showUploadList={false}
                    disabled={take.isPending}
                    pastable
                    beforeUpload={(file) => {
                        take.mutate(file);
                        return false;
                    }}
                >
                    <Button size="small" loading={take.isPending}>
                        Photograph of the {view}
                    </Button>
                </Upload>
            </Flex>
            {(take.isError || remove.isError) && (
                <Says kind="bad">{saysWhy(take.error ?? remove.error)}</Says>
            )}
            {query.isError && <Says kind="bad">{saysWhy(query.error)}</Says>}
            {photographs.map((p) => (
                <div key={p.id} className={css.photograph}>
                    <Flex gap={10} align="flex-start">
                        <div className={css.thumb}>
                            <Image src={`/api/v1/pictures/${p.sha256}`} alt={`The ${p.view}, by ${p.by}`} />
                        </div>
                        <Flex vertical gap={4} className="small">
                            <span>
                                The {p.view}, by {p.by}
                            </span>
                            <State photograph={p} />
                            <Flex gap={6} wrap>
                                {markOf(p) && (
                                    <Button size="small" onClick={() => setPlacing(p.id)}>
                                        {p.state === 'kept' ? 'Lay the outlines over it' : 'Lay them anew'}
                                    </Button>
                                )}
                                <Popconfirm
                                    title="Take this photograph away?"
                                    okText="Take it away"
                                    cancelText="Keep it"
                                    onConfirm={() => remove.mutate(p.id)}
                                >
                                    <Button size="small" type="text">
                                        Take away
                                    </Button>
                                </Popconfirm>
                            </Flex>
                        </Flex>
                    </Flex>
                    {p.state === 'measured' && <Measured areas={p.areas} />}
                </div>
            ))}
            <Modal
                open={placed !== null}
                title="Lay the outlines over the photograph"
                footer={null}
                width="min(96vw, 900px)"
                onCancel={() => setPlacing(null)}
                destroyOnHidden
            >
                {placed && markOf(placed) && (
                    <PlacePhoto
                        photograph={placed}
                        marks={markOf(placed)}
                        figure={check.figure}
                        done={() => {
                            setPlacing(null);
                            void again();
                        }}
                    />
                )}
            </Modal>
        </section>
    );
}

function State({ photograph: p }: { photograph: Photograph }) {
    if (p.state === 'waiting') return <span className="soft">being measured</span>;
    if (p.state === 'failed') return <Says kind="warn">{p.said ?? 'It could not be measured.'}</Says>;
    if (p.state === 'kept') return <span className="soft">not measured: the outlines are not laid yet</span>;
    return null;
}
