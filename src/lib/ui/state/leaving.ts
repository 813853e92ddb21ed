import { beforeNavigate, goto } from '$app/navigation';
import { onDestroy } from 'svelte';

/** Something that may still be on its way to the server. */
interface Unsaved {
	readonly pending: boolean;
	flush: () => Promise<unknown>;
	stop: () => void;
}

/**
 * Leaving a page waits until what was changed on it is saved, so that the next page shows it. When the
 * server is away one leaves all the same, and the saving goes on behind.
 */
export function saveBeforeLeaving(unsaved: Unsaved): void {
	let leaving = false;
	beforeNavigate(({ cancel, to, type, delta, willUnload }) => {
		if (!unsaved.pending || leaving) return;
		const saved = unsaved.flush();
		if (willUnload || !to) return;
		cancel();
		leaving = true;
		// Where the person was going is a whole address already, with nothing left to resolve.
		// eslint-disable-next-line svelte/no-navigation-without-resolve
		void saved.then(() => (type === 'popstate' && delta ? history.go(delta) : goto(to.url)));
	});
	onDestroy(() => {
		if (!unsaved.pending) unsaved.stop();
	});
}
