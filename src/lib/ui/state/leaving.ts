import { beforeNavigate, goto } from '$app/navigation';
import { onDestroy } from 'svelte';
import { isThere } from './api';
import { getNoticesReady, notify } from './notices.svelte';

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

/** Whatever holds a page back until it is saved, each while it does. */
const holding = new Set<() => boolean>();

/** Goes where the person was going: a whole address already, with nothing left to resolve. */
function goOn(to: URL, delta: number | undefined): void {
	if (delta) history.go(delta);
	// eslint-disable-next-line svelte/no-navigation-without-resolve
	else void goto(to);
}

/**
 * A page stays while the server is away, and says so: the browser would show its own page of errors instead, and what is on this one
 * would be gone. Call it once, for the whole application.
 */
export function stayWhileAway(): void {
	/** The address that the server was just asked about. */
	let cleared: string | undefined;
	beforeNavigate(({ cancel, from, to, type, willUnload }) => {
		if (willUnload || type === 'popstate' || !to || to.url.pathname === from?.url.pathname) return;
		// What is not saved yet is seen to first; it then goes on, and comes here again.
		if ([...holding].some((holds) => holds())) return;
		if (cleared === to.url.href) {
			cleared = undefined;
			return;
		}
		cancel();
		void isThere().then((there) => {
			if (!there)
				return notify("The server doesn't answer, so this page stays open. Try again in a moment.", {
					id: 'away'
				});
			cleared = to.url.href;
			goOn(to.url, undefined);
			return undefined;
		});
	});
	void getNoticesReady();
}

/**
 * Leaving a page waits until what was changed on it is saved, so that the next page shows it. When the
 * server is away one leaves all the same, and the saving goes on behind. What would be lost is asked about first.
 */
export function saveBeforeLeaving(unsaved: Unsaved): void {
	let leaving = false;
	const holds = (): boolean => unsaved.pending && !leaving;
	holding.add(holds);
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
			goOn(to.url, type === 'popstate' ? delta : undefined);
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
		holding.delete(holds);
		if (!unsaved.pending) unsaved.stop();
	});
}
