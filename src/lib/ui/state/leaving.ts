import { beforeNavigate, goto } from '$app/navigation';
import { onDestroy } from 'svelte';
import type { Autosave } from './autosave.svelte';

/**
 * Leaving a page waits until what was changed on it is saved, so that the next page shows it. When the
 * server is away one leaves all the same, and the saving goes on behind.
 */
export function saveBeforeLeaving(autosave: Autosave): void {
	let leaving = false;
	beforeNavigate(({ cancel, to, type, delta, willUnload }) => {
		if (!autosave.pending || leaving) return;
		const saved = autosave.flush();
		if (willUnload || !to) return;
		cancel();
		leaving = true;
		// Where the person was going is a whole address already, with nothing left to resolve.
		// eslint-disable-next-line svelte/no-navigation-without-resolve
		void saved.then(() => (type === 'popstate' && delta ? history.go(delta) : goto(to.url)));
	});
	onDestroy(() => {
		if (!autosave.pending) autosave.stop();
	});
}
