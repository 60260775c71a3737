let zone: string | undefined;

/** Moments are told as the studio's clock shows them; known once the session is. */
export const tellTimeIn = (name: string): void => {
    zone = name;
};

/** A day alone has no clock; a moment falls on the day that the studio has then. */
const where = (date: string) => ({ timeZone: /^\d{4}-\d{2}-\d{2}$/.test(date) ? 'UTC' : zone });

/** A day as the studio writes it: 26 Nov 2026, without the year where it is plain. */
export const day = (date: string, year = true): string =>
    new Date(date).toLocaleDateString('en-GB', {
        ...where(date),
        day: 'numeric',
        month: 'short',
        ...(year ? { year: 'numeric' } : {}),
    });

/** A moment as the studio writes it: 26 November 2026 at 14:05. */
export const moment = (at: string): string =>
    new Date(at).toLocaleString('en-GB', { ...where(at), dateStyle: 'long', timeStyle: 'short' });

/** An hour as the studio's clock shows it: 14:36. */
export const time = (at: string): string =>
    new Date(at).toLocaleTimeString('en-GB', { ...where(at), hour: '2-digit', minute: '2-digit' });
