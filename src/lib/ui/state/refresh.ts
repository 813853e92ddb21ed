import { invalidate, invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/** What a page says that it was read from, with `depends`. */
type ReadFrom = `wendle:${'bench' | 'care' | 'data' | 'learnt' | 'orders' | 'rack' | 'stock'}`;

/**
 * Shows what is there now: of one thing, or of all that the page shows. A way to another page is waited for first: SvelteKit
 * gives it up where something is read anew meanwhile, and whoever pressed a link would stay where they were.
 */
export async function refresh(what?: ReadFrom): Promise<void> {
	let waitedFor: Promise<void> | null = null;
	while (navigating.complete && navigating.complete !== waitedFor) {
		waitedFor = navigating.complete;
		await waitedFor.catch(() => undefined);
	}
	await (what ? invalidate(what) : invalidateAll());
}

/** Shows all that the page shows as it is now. */
export const refreshAll = (): Promise<void> => refresh();
