import { tick } from 'svelte';
import type { ExternalToast } from 'svelte-sonner';

/** Whether this visit has had a notice: most have none, so what shows them loads with the first. */
export const notices = $state<{ wanted: boolean; plain: { text: string } | undefined }>({
	wanted: false,
	/** A notice that came before what shows them, and while the server was away: the page shows it by itself. */
	plain: undefined
});

/** Fetches what shows notices: for pages that have to say so when the server is away. */
export async function getNoticesReady(): Promise<void> {
	notices.wanted = true;
	await import('svelte-sonner').catch(() => undefined);
}

/** Shows a short notice, with a way to take the deed back where there is one. */
export async function notify(text: string, options?: ExternalToast): Promise<void> {
	notices.wanted = true;
	const loaded = await import('svelte-sonner').catch(() => undefined);
	if (!loaded) {
		notices.plain = { text };
		return;
	}
	// The live region must stand before its first words arrive, or a screen reader misses them.
	await tick();
	loaded.toast(text, options);
}

/** Takes a notice away that was given an id. */
export async function dismiss(id: string): Promise<void> {
	if (!notices.wanted) return;
	const loaded = await import('svelte-sonner').catch(() => undefined);
	loaded?.toast.dismiss(id);
}
