import { App } from 'antd';
import { useMemo } from 'react';
import { saysWhy } from '../api/client';

/** What was done is told in passing; what failed stays until it is read. */
export function useNotices() {
    const { notification } = App.useApp();
    return useMemo(
        () => ({
            done: (text: string) => notification.success({ title: text, duration: 4 }),
            told: (text: string) => notification.info({ title: text, duration: 8 }),
            failed: (error: unknown) =>
                notification.error({ title: 'That was not done', description: saysWhy(error), duration: 0 }),
        }),
        [notification],
    );
}
