import '@fontsource-variable/bricolage-grotesque';
import '@fontsource-variable/instrument-sans';
import './app/theme.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { Problem } from './api/client';
import { Routed } from './app/Routed';
import { antTheme, useDark } from './app/theme';

const queries = new QueryClient({
    defaultOptions: { queries: { retry: (count, error) => count < 2 && !(error instanceof Problem && error.status >= 400 && error.status < 500), staleTime: 5_000, refetchOnWindowFocus: false } },
});

function Root() {
    const dark = useDark();
    return (
        <ConfigProvider theme={antTheme(dark)} wave={{ disabled: true }}>
            <AntApp>
                <QueryClientProvider client={queries}>
                    <BrowserRouter>
                        <Routed />
                    </BrowserRouter>
                </QueryClientProvider>
            </AntApp>
        </ConfigProvider>
    );
}

const root = document.getElementById('root');
if (root) createRoot(root).render(<StrictMode><Root /></StrictMode>);
