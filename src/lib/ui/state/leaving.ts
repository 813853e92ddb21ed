import { beforeNavigate, goto } from '$app/navigation';
import { onDestroy } from 'svelte';
import { notify } from './notices.svelte';

/** Something that may still be on its way to the server. */
interface Unsaved {
	readonly pending: boolean;
	/** It is in this page only, and would be lost with it. */
	readonly atRisk: boolean;
	/** It will not be saved as it is: somebody has to change it, or choose. */
	readonly stuck: boolean;
	flush: () => Promise<unknown>;
	stop: () => void;
}

/**
 * Leaving a page waits until what was changed on it is saved, so that the next page shows it. When the
 * server is away one leaves all the same, and the saving goes on behind. What would be lost is asked about first.
 */
export function saveBeforeLeaving(unsaved: Unsaved): void {
	let leaving = false;
	beforeNavigate(({ cancel, to, type, delta, willUnload }) => {
		if (!unsaved.pending || leaving) return;
		const saved = unsaved.flush();
		if (willUnload || !to) {
			// The browser asks in its own words.
			if (unsaved.atRisk) cancel();
			return;
		}
		cancel();
		const go = (): void => {
			leaving = true;
			// Where the person was going is a whole address already, with nothing left to resolve.
			// eslint-disable-next-line svelte/no-navigation-without-resolve
			void (type === 'popstate' && delta ? history.go(delta) : goto(to.url));
		};
		void saved.then(() =>
			unsaved.stuck
				? notify("What you changed here isn't saved yet. Stay and correct it, or leave without saving.", {
						action: { label: 'Leave without saving', onClick: go }
					})
				: go()
		);
	});
	onDestroy(() => {
		if (!unsaved.pending) unsaved.stop();
	});
}
