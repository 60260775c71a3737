import { useMutation } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { type KeyboardEvent, useState } from 'react';
import { saysWhy } from '../api/client';
import { Field } from './Field';
import { Says } from './Says';

/**
 * A line of text that is changed where it stands: Enter or leaving it keeps it, Escape takes it back. What the server
 * refuses stays as it was typed, with the reason and what stands there now.
 */
export function InPlace({
    label,
    value,
    rows = 1,
    bare = false,
    save,
}: {
    label: string;
    value: string;
    rows?: number;
    /** In a table, whose head says what it is: the label is only heard. */
    bare?: boolean;
    save: (text: string) => Promise<unknown>;
}) {
    const [draft, setDraft] = useState<string | null>(null);
    const keep = useMutation({ mutationFn: save, onSuccess: () => setDraft(null) });
    const leave = () => {
        keep.reset();
        setDraft(null);
    };
    const commit = () => {
        if (draft === null || keep.isPending) return;
        if (draft.trim() === value) leave();
        else keep.mutate(draft.trim());
    };
    // What was refused is sent again by Enter alone: leaving the field, to take it back say, must not.
    const left = () => {
        if (!keep.isError || keep.variables !== draft?.trim()) commit();
    };
    const key = (e: KeyboardEvent) => {
        if (e.key === 'Escape') leave();
        if (e.key === 'Enter' && (rows === 1 || e.ctrlKey)) commit();
    };
    const line = (
        <Input.TextArea
            className="in-place"
            variant="filled"
            autoSize={{ minRows: rows }}
            status={keep.isError ? 'error' : ''}
            {...(bare ? { 'aria-label': label } : {})}
            value={draft ?? value}
            onChange={(e) => setDraft(rows === 1 ? e.target.value.replace(/\n/g, '') : e.target.value)}
            onBlur={left}
            onKeyDown={key}
        />
    );
    return (
        <>
            {bare ? line : <Field label={label}>{line}</Field>}
            {keep.isError && (
                <Says kind="bad">
                    {saysWhy(keep.error)}{' '}
                    {value === '' ? 'Nothing stands there now.' : `There stands now: “${value}”.`}{' '}
                    <Button size="small" onClick={leave}>
                        Leave it like that
                    </Button>
                </Says>
            )}
        </>
    );
}
