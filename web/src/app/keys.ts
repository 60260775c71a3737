import { type HotkeyCallback, useHotkeys } from 'react-hotkeys-hook';

/** Every key of every page: what listens takes its key from here, and the help shows the same list. */
export const KEYS = {
    help: { keys: '?', where: 'Everywhere', does: 'this list' },
    move: { keys: 'arrows', where: 'Standard', does: 'move over the ladder' },
    edit: { keys: 'Enter', where: 'Standard', does: 'edit the cell' },
    copyRight: { keys: 'c', where: 'Standard', does: 'copy a cell to the right' },
    undo: { keys: 'u', where: 'Standard', does: 'undo your last edit' },
    redo: { keys: 'r', where: 'Standard', does: 'redo it' },
    find: { keys: 'f', where: 'Standard', does: 'find a clause' },
    keep: { keys: 'Ctrl Enter', where: 'Standard', does: 'keep the edit' },
    leave: { keys: 'Escape', where: 'Standard', does: 'leave it as it was' },
    takeBack: { keys: 'u', where: 'Plan', does: 'take the last change back' },
    takeOut: { keys: 'Delete', where: 'Plan', does: 'take the chosen step out' },
    close: { keys: 'Escape', where: 'Plan', does: 'close it' },
    point: { keys: 'arrows', where: 'Figures', does: 'move a point of an outline' },
    pointOut: { keys: 'Delete', where: 'Figures', does: 'take the point out' },
    closeOutline: { keys: 'Enter', where: 'Figures', does: 'close an outline' },
    dropOutline: { keys: 'Escape', where: 'Figures', does: 'drop it' },
    answers: { keys: 'y f s x', where: 'Check', does: 'fine, fault, cannot be seen, does not apply' },
    nextLook: { keys: 'Enter', where: 'Check', does: 'what comes next: a look, passing, sending back' },
    oneLine: { keys: '1 to 9', where: 'Check', does: 'one line alone' },
    wholeLook: { keys: 'Escape', where: 'Check', does: 'the whole look again' },
    toLook: { keys: 'g, then a letter', where: 'Check', does: 'go to a look' },
    looks: { keys: 'left, right', where: 'Check', does: 'look before, look after' },
    greyView: { keys: 'w', where: 'Check', does: 'grey, or in colours' },
    nextPass: { keys: 'n', where: 'Bench', does: 'next pass' },
    passBefore: { keys: 'b', where: 'Bench', does: 'pass before' },
    allDone: { keys: 'a', where: 'Bench', does: 'all models done' },
} as const;

/** A sign is made with Shift on some layouts and without it on others: it counts either way. */
const either = (key: string): string[] => (/^[^a-z]$/i.test(key) ? [key, `shift+${key}`] : [key]);

let held = false;

/** While something is dragged its keys move it, and nothing else. */
export const holdKeys = (on: boolean): void => {
    held = on;
};

/** Listens by the key that is produced, so that `?` works on every layout; never while somebody types. */
export const useKey = (key: string, pressed: HotkeyCallback, enabled = true): void => {
    useHotkeys(
        either(key),
        pressed,
        { useKey: true, enabled, preventDefault: true, ignoreEventWhen: () => held },
        [pressed],
    );
};
