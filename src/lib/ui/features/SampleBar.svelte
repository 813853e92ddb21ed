<script lang="ts">
	import { browser } from '$app/environment';
	import type { Place } from '$lib/inventory/place';
	import { pagePlace, send, troubleOf } from '../state/api';
	import { notify } from '../state/notices.svelte';

	/** Says that this is the sample kit room, and leads out of it. */
	let { place }: { place: Place } = $props();
	// A page stays in the place that it was made for, whatever another window does.
	// svelte-ignore state_referenced_locally
	const made = place;
	if (browser) pagePlace.now = made;

	$effect(() => {
		// Another window moved the browser: what this one remembers belongs to the place before.
		if (place !== made) location.reload();
	});

	async function leave(throwAway: boolean): Promise<void> {
		const trouble = troubleOf(
			await send('PUT', '/api/place', { place: 'own', throwAway }),
			'You are still in the sample kit room'
		);
		if (trouble !== undefined) return notify(trouble);
		// Everything that this window remembers belongs to the sample: the page begins anew.
		location.assign('/');
	}
</script>

{#if made === 'sample'}
	<section
		class="no-print figure flex flex-wrap items-center gap-x-5 gap-y-1 bg-ink px-4 py-1.5 text-[15px] text-paper sm:px-8"
		aria-label="Sample kit room"
		data-sample
	>
		<p class="mr-auto">
			<b class="font-semibold">Sample kit room.</b> Try anything: your own rack stays as it is.
		</p>
		<button type="button" class="min-h-8 underline underline-offset-4" onclick={() => void leave(false)}
			>Back to my own rack</button
		>
		<button type="button" class="min-h-8 underline underline-offset-4" onclick={() => void leave(true)}
			>Throw the sample away</button
		>
	</section>
{/if}
