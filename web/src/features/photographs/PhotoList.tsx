import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Image, Modal, Popconfirm } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { removePhotograph, type Photograph } from '../../api/photographs';
import type { components } from '../../api/schema';
import { More } from '../../ui/More';
import { Says } from '../../ui/Says';
import { Measured } from './Measured';
import css from './Photographs.module.css';
import type { Outlined } from './placing';
import { PlacePhoto } from './PlacePhoto';

type Marks = Partial<Record<'front' | 'back', components['schemas']['PlacementMarks']>>;

const SHOWS: Record<Photograph['shows'], string> = {
    painted: '',
    undercoated: ' in undercoat',
    bare: ', bare',
};

/** Photographs that are kept, each with where its outlines lie and what was measured. */
export function PhotoList({
    photographs,
    marks,
    figure,
    again,
}: {
    photographs: Photograph[];
    marks: Marks | undefined;
    figure: Outlined[];
    again: () => Promise<unknown>;
}) {
    const [placing, setPlacing] = useState<number | null>(null);
    const remove = useMutation({ mutationFn: removePhotograph, onSuccess: again });
    const placed = photographs.find((p) => p.id === placing) ?? null;
    const markOf = (p: Photograph) => (p.view === 'front' || p.view === 'back' ? marks?.[p.view] : undefined);
    return (
        <>
            {remove.isError && <Says kind="bad">{saysWhy(remove.error)}</Says>}
            {photographs.map((p) => (
                <div key={p.id} className={css.photograph}>
                    <Flex gap={10} align="flex-start">
                        <div className={css.thumb}>
                            <Image src={`/api/v1/pictures/${p.sha256}`} alt={`The ${p.view}, by ${p.by}`} />
                        </div>
                        <Flex vertical gap={4} className="small">
                            <span>
                                The {p.view}
                                {SHOWS[p.shows]}, by {p.by}
                                {p.drawn ? ' (a drawing, no photograph)' : ''}
                            </span>
                            <State photograph={p} />
                            <Flex gap={6} wrap>
                                {markOf(p) && p.shows !== 'bare' && (
                                    <Button size="small" onClick={() => setPlacing(p.id)}>
                                        {p.placement === null || p.state === 'kept'
                                            ? 'Lay the outlines over it'
                                            : 'Lay them anew'}
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
                    {p.state === 'measured' && (
                        <More label="What was measured">
                            <Measured areas={p.areas} />
                        </More>
                    )}
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
                        figure={figure}
                        done={() => {
                            setPlacing(null);
                            void again();
                        }}
                    />
                )}
            </Modal>
        </>
    );
}

function State({ photograph: p }: { photograph: Photograph }) {
    if (p.shows === 'bare') return null;
    if (p.state === 'waiting') return <span className="soft">being measured</span>;
    if (p.state === 'failed') return <Says kind="warn">{p.said ?? 'It could not be measured.'}</Says>;
    if (p.shows === 'undercoated')
        return (
            <span className="soft">
                {p.revision > 0 ? 'takes the light out of tones and lines' : 'the outlines are not laid yet'}
            </span>
        );
    if (p.state === 'kept') return <span className="soft">not measured: the outlines are not laid yet</span>;
    return null;
}
