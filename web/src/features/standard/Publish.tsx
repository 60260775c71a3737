import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { comparedQuery, publishDraft } from '../../api/standard';
import type { Ladder } from '../../api/types';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { ChangeList } from './ChangeList';
import css from './Standard.module.css';

/** The draft made binding: what changes first, and a note for those who read the versions later. */
export function Publish({ open, ladder, close }: { open: boolean; ladder: Ladder; close: () => void }) {
    const queries = useQueryClient();
    const [note, setNote] = useState('');
    const { number, revision } = ladder.version;
    const from = ladder.published?.number;
    const compared = useQuery({
        ...comparedQuery(from ?? 0, number, revision),
        enabled: open && from !== undefined,
    });
    const publish = useMutation({
        mutationFn: () => publishDraft(revision, note),
        onSuccess: async () => {
            setNote('');
            close();
            await queries.invalidateQueries();
        },
    });
    const changes = compared.data?.changes ?? [];
    return (
        <Modal open={open} title={`Publish version ${number}`} onCancel={close} footer={null} width={620}>
            {compared.isLoading ? (
                <p>Comparing with v{from} …</p>
            ) : (
                <>
                    <p className="soft">
                        {from === undefined
                            ? 'This is the first version.'
                            : changes.length === 0
                              ? 'Nothing differs from what is published.'
                              : `${changes.length} ${changes.length === 1 ? 'thing changes' : 'things change'}` +
                                `. Open orders keep their version until they are moved on purpose.`}
                    </p>
                    <div className={css.scroll}>
                        <ChangeList changes={changes} />
                    </div>
                </>
            )}
            <Field label="What changes, and why (kept with the version)">
                <Input.TextArea rows={3} value={note} onChange={(e) => setNote(e.target.value)} />
            </Field>
            {publish.isError && <Says kind="bad">{saysWhy(publish.error)}</Says>}
            <Flex gap={8} justify="flex-end" className="mt-12">
                <Button onClick={close}>Not yet</Button>
                <Button
                    type="primary"
                    disabled={note.trim() === '' || publish.isPending}
                    onClick={() => publish.mutate()}
                >
                    Publish v{number} for good
                </Button>
            </Flex>
        </Modal>
    );
}
