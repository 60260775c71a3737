import '@fontsource-variable/bricolage-grotesque';
import '@fontsource-variable/instrument-sans';
import './app/styles/frame.css';
import './app/styles/cards.css';
import './app/styles/marks.css';
import './app/styles/bench.css';
import './app/styles/plan.css';
import './app/styles/figures.css';
import './app/styles/spacing.css';
import './app/styles/library.css';
import './app/styles/parts.css';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { Problem } from './api/client';
import { Routed } from './app/Routed';
import { antTheme, useDark } from './app/theme';
import { loadWords } from './features/standard/words';
import { Failed, Loading } from './ui/states';

const queries = new QueryClient({
    defaultOptions: {
        queries: {
            retry: (count, error) =>
                count < 2 && !(error instanceof Problem && error.status >= 400 && error.status < 500),
            staleTime: 5_000,
            refetchOnWindowFocus: false,
        },
    },
});

/** Nothing is drawn before there are words for it. */
function Worded() {
    const words = useQuery({
        queryKey: ['words'],
        queryFn: async () => {
            await loadWords();
            return true;
        },
        staleTime: Infinity,
        gcTime: Infinity,
    });
    if (words.isPending) return <Loading what="the studio" />;
    if (words.isError) return <Failed error={words.error} again={() => void words.refetch()} />;
    return <Routed />;
}

/** What the content policy lets put styles into this page. */
const nonce = document.querySelector<HTMLMetaElement>('meta[name=nonce]')?.content ?? '';

function Root() {
    const dark = useDark();
    return (
        <ConfigProvider theme={antTheme(dark)} wave={{ disabled: true }} csp={{ nonce }}>
            <AntApp notification={{ placement: 'bottomLeft' }}>
                <QueryClientProvider client={queries}>
                    <BrowserRouter>
                        <Worded />
                    </BrowserRouter>
                </QueryClientProvider>
            </AntApp>
        </ConfigProvider>
    );
}

// Only where the browser trusts the line: over https, or on this machine.
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js');

const root = document.getElementById('root');
if (root)
    createRoot(root).render(
        <StrictMode>
            <Root />
        </StrictMode>,
    );
