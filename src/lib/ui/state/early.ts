type Box = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** What was done with a page that the server had drawn and that did not answer yet. */
export interface Early {
	/** The last button that was pressed. */
	pressed?: HTMLElement | null;
	/** What stood in the boxes that were filled in. */
	readonly fields: ReadonlyMap<Box, { readonly value: string; readonly checked?: boolean }>;
}

/** Does once more, now that the page answers, what was done before it did. */
export function doEarly(): void {
	const { early } = window;
	delete window.early;
	for (const [box, { value, checked }] of early?.fields ?? []) {
		if (!box.isConnected) continue;
		// The page has meanwhile put into the box what it knew.
		if (checked !== undefined && 'checked' in box) box.checked = checked;
		box.value = value;
		box.dispatchEvent(new Event('input', { bubbles: true }));
		const done = (): boolean => box.dispatchEvent(new Event('change', { bubbles: true }));
		// A browser says nothing of what was changed by the page: the box says it itself when it is left.
		if (box === document.activeElement) box.addEventListener('blur', done, { once: true });
		else done();
	}
	early?.pressed?.click();
}
