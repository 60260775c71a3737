/** A day as the studio writes it: 26 Nov 2026, without the year where it is plain. */
export const day = (date: string, year = true): string =>
    new Date(date).toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'short',
        ...(year ? { year: 'numeric' } : {}),
    });

/** A moment as the studio writes it: 26 November 2026 at 14:05. */
export const moment = (at: string): string =>
    new Date(at).toLocaleString('en-GB', { dateStyle: 'long', timeStyle: 'short' });
