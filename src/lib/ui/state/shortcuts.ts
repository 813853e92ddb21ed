/** True while keys belong to what is being typed in. */
export const isTyping = (target: EventTarget | null): boolean =>
	target instanceof HTMLElement &&
	(target.isContentEditable ||
		target.matches('input:not([type=checkbox]):not([type=radio]), textarea, select'));

const KEY = 'wendle-single-keys';

/** Whether keys that print something are shortcuts: whoever speaks to the computer, or rests a hand on it, can do without. */
export function singleKeys(): boolean {
	try {
		return localStorage.getItem(KEY) !== 'off';
	} catch {
		return true;
	}
}
export function setSingleKeys(on: boolean): void {
	try {
		if (on) localStorage.removeItem(KEY);
		else localStorage.setItem(KEY, 'off');
	} catch {
		// A browser that keeps nothing has them on.
	}
}

/** A key that prints something; the space bar is a button. */
const prints = (key: string): boolean => key.length === 1 && key !== ' ';

/** Ctrl+Z, or Cmd+Z. Within a text field it belongs to the browser, which undoes what was typed there. */
export const isUndo = (event: KeyboardEvent): boolean =>
	event.key.toLowerCase() === 'z' &&
	(event.ctrlKey || event.metaKey) &&
	!event.shiftKey &&
	!event.altKey &&
	!event.defaultPrevented &&
	!isTyping(event.target);

/** A plain key press that may be a shortcut. */
export const isShortcut = (event: KeyboardEvent): boolean =>
	!event.ctrlKey &&
	!event.metaKey &&
	!event.altKey &&
	!event.defaultPrevented &&
	!isTyping(event.target) &&
	(!prints(event.key) || singleKeys());
