/** A day as the studio writes it: 26 Nov 2026, without the year where it is plain. */
export const day = (date: string, year = true): string =>
    new Date(date).toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'short',
        ...(year ? { year: 'numeric' } : {}),
    });
