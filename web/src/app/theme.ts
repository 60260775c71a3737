import { theme, type ThemeConfig } from 'antd';
import { useSyncExternalStore } from 'react';

export type Lamp = 'system' | 'light' | 'dark';
const KEY = 'ordotype.lamp';
const dark = window.matchMedia('(prefers-color-scheme: dark)');
const listeners = new Set<() => void>();

const chosen = (): Lamp => {
    const kept = localStorage.getItem(KEY);
    return kept === 'light' || kept === 'dark' ? kept : 'system';
};
const isDark = (): boolean => (chosen() === 'system' ? dark.matches : chosen() === 'dark');

function apply(): void {
    document.documentElement.dataset['theme'] = isDark() ? 'dark' : 'light';
    listeners.forEach((tell) => tell());
}
dark.addEventListener('change', apply);
apply();

export function switchLamp(): void {
    localStorage.setItem(KEY, isDark() ? 'light' : 'dark');
    apply();
}

export function useDark(): boolean {
    return useSyncExternalStore((tell) => {
        listeners.add(tell);
        return () => listeners.delete(tell);
    }, isDark);
}

/** Ant Design's tokens set so that its drawers, dialogs and fields look like ours. */
export function antTheme(darkNow: boolean): ThemeConfig {
    const c = darkNow
        ? {
              paper: '#1b1d1f',
              card: '#232629',
              ink: '#ece7dc',
              soft: '#b3ada1',
              rule: '#3a3d40',
              accent: '#5fc0ae',
              fault: '#f08a73',
              caution: '#e0b057',
          }
        : {
              paper: '#f6f2ea',
              card: '#fffdf8',
              ink: '#22262b',
              soft: '#5b6168',
              rule: '#ddd5c7',
              accent: '#1f7a6c',
              fault: '#b93a24',
              caution: '#8a5800',
          };
    return {
        algorithm: darkNow ? theme.darkAlgorithm : theme.defaultAlgorithm,
        token: {
            colorPrimary: c.accent,
            colorInfo: c.accent,
            colorError: c.fault,
            colorWarning: c.caution,
            colorText: c.ink,
            colorTextSecondary: c.soft,
            colorTextPlaceholder: c.soft,
            colorBgBase: c.card,
            colorBgContainer: c.card,
            colorBgElevated: c.card,
            colorBgLayout: c.paper,
            colorBorder: c.soft,
            colorBorderSecondary: c.rule,
            fontFamily: "'Instrument Sans Variable', sans-serif",
            fontSize: 14,
            borderRadius: 8,
            controlHeight: 34,
            boxShadow: '0 8px 30px rgb(34 38 43 / 18%)',
        },
        components: { Modal: { titleFontSize: 18 } },
    };
}
