import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { ladderQuery, openDraft } from '../../api/standard';
import { useNotices } from '../../app/notices';

/** Begins a draft from what was published last. */
export function OpenDraft() {
    const queries = useQueryClient();
    const notices = useNotices();
    const open = useMutation({
        mutationFn: openDraft,
        onSuccess: () => queries.invalidateQueries({ queryKey: ladderQuery().queryKey }),
        onError: notices.failed,
    });
    return (
        <Button type="primary" onClick={() => open.mutate()} loading={open.isPending}>
            Open a draft
        </Button>
    );
}
