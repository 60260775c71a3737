import { ConfigProvider } from 'antd';
import type { ReactNode } from 'react';
import { antTheme } from '../app/theme';

/** What is meant for paper is white under the lamp too. */
export function Paper({ children }: { children: ReactNode }) {
    return <ConfigProvider theme={{ ...antTheme(false), inherit: false }}>{children}</ConfigProvider>;
}
