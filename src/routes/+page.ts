import type { PageLoad } from './$types';

/** What an empty rack shows works out a spool to play with: nobody else needs that code here. */
export const load: PageLoad = async ({ data }) => ({
	...data,
	Empty:
		data.rack.length === 0 && data.unreadable.length === 0
			? (await import('$lib/ui/features/rack/EmptyRack.svelte')).default
			: undefined
});
