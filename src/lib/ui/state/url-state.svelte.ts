import { goto } from '$app/navigation';
import { isThere } from './api';
import { notify } from './notices.svelte';

/**
 * What is asked of a page, as its address says. It can be changed faster than a page comes: a change shows at once, and the
 * next one builds upon it, not upon what the address still says.
 */
export class UrlState<T extends object> {
	readonly #from: () => T;
	readonly #address: (asked: T) => string;
	readonly #ofServer: boolean;
	/** What the address does not say yet. */
	#ahead = $state.raw<T>();
	#changes = 0;

	/**
	 * @param from what the page was made for
	 * @param address where a page for something else is
	 * @param ofServer that page is made by the server, and would be lost without it; else this browser makes it
	 */
	constructor(from: () => T, address: (asked: T) => string, ofServer = false) {
		this.#from = from;
		this.#address = address;
		this.#ofServer = ofServer;
	}

	get now(): T {
		return this.#ahead ?? this.#from();
	}

	async change(part: Partial<T>): Promise<void> {
		const asked = { ...this.now, ...part };
		this.#ahead = asked;
		const change = (this.#changes += 1);
		const newest = (): boolean => change === this.#changes;
		if (this.#ofServer && !(await isThere())) {
			if (!newest()) return;
			this.#ahead = undefined;
			await notify(
				"The server doesn't answer, so this page shows what it showed before. Try again in a moment."
			);
			return;
		}
		if (!newest()) return;
		await goto(this.#address(asked), { replaceState: true, keepFocus: true, noScroll: true });
		if (newest()) this.#ahead = undefined;
	}
}
