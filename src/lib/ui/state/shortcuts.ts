/** True while keys belong to what is being typed in. */
export const isTyping = (target: EventTarget | null): boolean =>
	target instanceof HTMLElement &&
	(target.isContentEditable ||
		target.matches('input:not([type=checkbox]):not([type=radio]), textarea, select'));

/** A plain key press that may be a shortcut. */
export const isShortcut = (event: KeyboardEvent): boolean =>
	!event.ctrlKey && !event.metaKey && !event.altKey && !event.defaultPrevented && !isTyping(event.target);
