import { type HotkeyCallback, useHotkeys } from 'react-hotkeys-hook';

interface Key {
    /** As the listener names them; one of them is enough. */
    on: string[];
    /** Where there are too many to name. */
    shown?: string;
    where: 'Everywhere' | 'Standard' | 'Plan' | 'Figures' | 'Check' | 'Training' | 'Bench';
    does: string;
}

const ARROWS = ['up', 'down', 'left', 'right'];
const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

const LISTED = {
    help: { on: ['?'], where: 'Everywhere', does: 'this list' },
    move: { on: ARROWS, shown: 'arrow keys', where: 'Standard', does: 'move over the ladder' },
    edit: { on: ['enter'], where: 'Standard', does: 'edit the cell' },
    copyRight: { on: ['c'], where: 'Standard', does: 'copy a cell to the right' },
    undo: { on: ['u'], where: 'Standard', does: 'undo your last edit' },
    redo: { on: ['r'], where: 'Standard', does: 'redo it' },
    find: { on: ['f'], where: 'Standard', does: 'find a clause' },
    keep: { on: ['ctrl+enter', 'meta+enter'], shown: 'Ctrl ↵', where: 'Standard', does: 'keep the edit' },
    leave: { on: ['escape'], where: 'Standard', does: 'leave it as it was' },
    takeBack: { on: ['u'], where: 'Plan', does: 'take the last change back' },
    takeOut: { on: ['delete'], where: 'Plan', does: 'take the chosen step out' },
    close: { on: ['escape'], where: 'Plan', does: 'close it' },
    point: { on: ARROWS, shown: 'arrow keys', where: 'Figures', does: 'move a point of an outline' },
    pointOut: { on: ['delete'], where: 'Figures', does: 'take the point out' },
    pointBack: {
        on: ['ctrl+z', 'meta+z'],
        shown: 'Ctrl z',
        where: 'Figures',
        does: 'take the last change back',
    },
    closeOutline: { on: ['enter'], where: 'Figures', does: 'close an outline' },
    dropOutline: { on: ['escape'], where: 'Figures', does: 'drop it' },
    fine: { on: ['y'], where: 'Check', does: 'fine' },
    fault: { on: ['f'], where: 'Check', does: 'a fault' },
    notSeen: { on: ['s'], where: 'Check', does: 'cannot be seen' },
    notApplicable: { on: ['x'], where: 'Check', does: 'does not apply' },
    nextLook: { on: ['enter'], where: 'Check', does: 'what comes next: a look, passing, sending back' },
    oneLine: { on: DIGITS, shown: '1 to 9', where: 'Check', does: 'one line alone; in the tray, one model' },
    wholeLook: { on: ['escape'], where: 'Check', does: 'the whole look again' },
    toLook: { on: ['g'], shown: 'g, then a letter', where: 'Check', does: 'go to a look' },
    lookBefore: { on: ['left'], where: 'Check', does: 'look before' },
    lookAfter: { on: ['right'], where: 'Check', does: 'look after' },
    greyView: { on: ['w'], where: 'Check', does: 'grey, or in colours' },
    noFault: { on: ['n'], where: 'Training', does: 'nothing that counts' },
    nextPicture: { on: ['enter'], where: 'Training', does: 'next picture' },
    nextPass: { on: ['n'], where: 'Bench', does: 'next pass' },
    passBefore: { on: ['b'], where: 'Bench', does: 'pass before' },
    allDone: { on: ['a'], where: 'Bench', does: 'all models done' },
    markBack: { on: ['u'], where: 'Bench', does: 'take back what was marked last' },
    clock: { on: ['s'], where: 'Bench', does: 'start or pause the clock' },
} satisfies Record<string, Key>;

export type KeyName = keyof typeof LISTED;

/** Every key of every page: what listens takes its key from here, and the help and the buttons show the same. */
export const KEYS: Record<KeyName, Key> = LISTED;

const SHORT: Partial<Record<string, string>> = {
    enter: '↵',
    escape: 'Esc',
    left: '←',
    right: '→',
    delete: 'Delete',
};

/** A key as it is written beside what it does. */
export const keyShown = (name: KeyName): string => {
    const { on, shown } = KEYS[name];
    return shown ?? on.map((key) => SHORT[key] ?? key).join(' ');
};

/** A sign is made with Shift on some layouts and without it on others: it counts either way. */
const either = (key: string): string[] => (/^[^a-z]$/i.test(key) ? [key, `shift+${key}`] : [key]);

/** Whether a key was pressed, where a field hears it first. */
export const isKey = (name: KeyName, e: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey'>): boolean => {
    const key = e.key.toLowerCase().replace(/^arrow/, '');
    return KEYS[name].on.includes(`${e.ctrlKey ? 'ctrl+' : ''}${e.metaKey ? 'meta+' : ''}${key}`);
};

let held = false;

/** While something is dragged its keys move it, and nothing else. */
export const holdKeys = (on: boolean): void => {
    held = on;
};

/** Listens by the key that is produced, so that `?` works on every layout; never while somebody types. */
const useKeys = (keys: string[], pressed: HotkeyCallback, enabled: boolean): void => {
    useHotkeys(
        keys.flatMap(either),
        pressed,
        { useKey: true, enabled, preventDefault: true, ignoreEventWhen: () => held },
        [pressed],
    );
};

export const useKey = (name: KeyName, pressed: HotkeyCallback, enabled = true): void => {
    useKeys(KEYS[name].on, pressed, enabled);
};

/** The letters of what a page shows, once a key has asked for one. */
export const useLetters = (letters: string[], pressed: HotkeyCallback, enabled: boolean): void => {
    useKeys(letters, pressed, enabled);
};

/** Several keys of one part of a page, heard while the focus is in it. */
export const useKeysIn = <T extends HTMLElement>(
    acts: Partial<Record<KeyName, (e: KeyboardEvent) => void>>,
) => {
    const names = (Object.keys(acts) as KeyName[]).filter((name) => acts[name] !== undefined);
    return useHotkeys<T>(
        names.flatMap((name) => KEYS[name].on),
        (e) => {
            const name = names.find((n) => isKey(n, e));
            if (name) acts[name]?.(e);
        },
        { useKey: true, preventDefault: true },
    );
};

const ARROW: Partial<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};

/** Which way an arrow key leads: to the right, and down. */
export const wayOf = (e: Pick<KeyboardEvent, 'key'>): readonly [number, number] => ARROW[e.key] ?? [0, 0];
