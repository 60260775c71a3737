const KEPT = 'ordotype.my-name';

/** The name that a client gave before, on this device. */
export const myName = (): string => localStorage.getItem(KEPT) ?? '';

export const keepMyName = (name: string): void => localStorage.setItem(KEPT, name);
