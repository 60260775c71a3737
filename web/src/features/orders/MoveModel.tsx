import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { movePiece } from '../../api/orders';
import type { components } from '../../api/schema';
import type { PieceBrief, Stage } from '../../api/types';
import { Field } from '../../ui/Field';
import { stageWords } from '../../ui/marks';
import { Says } from '../../ui/Says';

type Move = components['schemas']['MovePieceBody']['move'];

const UNDER_WAY: { move: Move; words: string }[] = [
    { move: 'hold', words: 'Put on hold' },
    { move: 'lose', words: 'It is lost' },
    { move: 'cancel', words: 'Cancel it' },
];
const MOVES: Partial<Record<Stage, { move: Move; words: string }[]>> = {
    on_hold: [
        { move: 'resume', words: 'Take up again' },
        { move: 'lose', words: 'It is lost' },
        { move: 'cancel', words: 'Cancel it' },
    ],
    signed: [{ move: 'deliver', words: 'Delivered' }],
    delivered: [{ move: 'claim', words: 'Came back with a claim' }],
    lost: [],
    cancelled: [],
};

/** What happens to one model outside bench and check. */
export function MoveModel({ piece, close }: { piece: PieceBrief | null; close: () => void }) {
    const queries = useQueryClient();
    const [reason, setReason] = useState('');
    const go = useMutation({
        mutationFn: (move: Move) => movePiece(piece?.id ?? 0, { move, reason }),
        onSuccess: async () => {
            await queries.invalidateQueries();
            close();
        },
    });
    const moves = piece ? (MOVES[piece.stage] ?? UNDER_WAY) : [];
    const optional = moves.every((m) => m.move === 'deliver');
    return (
        <Modal
            open={piece !== null}
            title={piece ? `Model ${piece.number}, ${piece.code}: ${stageWords(piece.stage)}` : ''}
            footer={null}
            onCancel={close}
        >
            {moves.length === 0 ? (
                <p className="soft">Nothing more happens to it.</p>
            ) : (
                <Field label={optional ? 'Why, if there is anything to say' : 'Why'}>
                    <Input value={reason} onChange={(e) => setReason(e.target.value)} />
                </Field>
            )}
            {go.isError && <Says kind="bad">{saysWhy(go.error)}</Says>}
            <Flex gap={8} wrap className="mt-12">
                {moves.map((m) => (
                    <Button key={m.move} disabled={go.isPending} onClick={() => go.mutate(m.move)}>
                        {m.words}
                    </Button>
                ))}
            </Flex>
        </Modal>
    );
}
