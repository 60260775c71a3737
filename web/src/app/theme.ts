import { theme, type ThemeConfig } from 'antd';
import { useSyncExternalStore } from 'react';

type Lamp = 'system' | 'light' | 'dark';
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

const DAY = {
    paper: '#f6f2ea',
    card: '#fffdf8',
    ink: '#22262b',
    soft: '#5b6168',
    rule: '#ddd5c7',
    accent: '#1f7a6c',
    accentInk: '#ffffff',
    wash: '#eff6f2',
    fault: '#b93a24',
    caution: '#8a5800',
    note: '#4a6076',
};
const LAMP: typeof DAY = {
    paper: '#1b1d1f',
    card: '#232629',
    ink: '#ece7dc',
    soft: '#b3ada1',
    rule: '#3a3d40',
    accent: '#5fc0ae',
    accentInk: '#10201c',
    wash: '#21322e',
    fault: '#f08a73',
    caution: '#e0b057',
    note: '#9fb4c9',
};

/** The library's tokens: type, corners, density, colours and motion of our own. */
export function antTheme(lamp: boolean): ThemeConfig {
    const c = lamp ? LAMP : DAY;
    return {
        algorithm: lamp ? theme.darkAlgorithm : theme.defaultAlgorithm,
        token: {
            colorPrimary: c.accent,
            colorInfo: c.note,
            colorSuccess: c.accent,
            colorError: c.fault,
            colorWarning: c.caution,
            colorLink: c.accent,
            colorText: c.ink,
            colorTextHeading: c.ink,
            colorTextSecondary: c.soft,
            colorTextTertiary: c.soft,
            colorTextPlaceholder: c.soft,
            colorTextDescription: c.soft,
            colorTextLightSolid: c.accentInk,
            colorTextDisabled: c.soft,
            colorBgContainerDisabled: 'transparent',
            colorBgBase: c.card,
            colorBgContainer: c.card,
            colorBgElevated: c.card,
            colorBgLayout: c.paper,
            colorBorder: c.soft,
            colorBorderSecondary: c.rule,
            colorSplit: c.rule,
            fontFamily: "'Instrument Sans Variable', sans-serif",
            fontSize: 14,
            borderRadius: 8,
            borderRadiusSM: 6,
            controlHeight: 34,
            controlHeightSM: 26,
            controlHeightLG: 48,
            boxShadow: '0 8px 30px rgb(34 38 43 / 18%)',
            motionDurationMid: '0.12s',
            motionDurationSlow: '0.16s',
        },
        components: {
            Alert: {
                colorInfoBg: 'transparent',
                colorWarningBg: 'transparent',
                colorErrorBg: 'transparent',
                colorSuccessBg: 'transparent',
            },
            Button: { fontWeight: 600, primaryShadow: 'none', defaultShadow: 'none', contentFontSizeLG: 16 },
            Form: { itemMarginBottom: 14, verticalLabelPadding: '0 0 4px' },
            Modal: { titleFontSize: 18, fontWeightStrong: 700 },
            Notification: { width: 420 },
            Progress: { defaultColor: c.accent, remainingColor: c.rule, lineBorderRadius: 3 },
            Select: { optionSelectedBg: c.wash },
            Table: {
                headerBg: 'transparent',
                headerColor: c.soft,
                headerSplitColor: 'transparent',
                borderColor: c.rule,
                rowHoverBg: c.wash,
                cellPaddingBlock: 9,
                cellPaddingInline: 12,
                cellPaddingBlockSM: 7,
                cellPaddingInlineSM: 10,
            },
            Tabs: {
                titleFontSize: 14,
                itemSelectedColor: c.ink,
                itemColor: c.soft,
                inkBarColor: c.accent,
                horizontalItemGutter: 18,
                horizontalItemPadding: '8px 0',
                cardBg: c.card,
            },
        },
    };
}
