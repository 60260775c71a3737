import 'react';

declare module 'react' {
    // Custom properties carry computed values to the style sheets.
    interface CSSProperties {
        [property: `--${string}`]: string | number;
    }
}
