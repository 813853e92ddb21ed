<script lang="ts">
	import { pastRun } from '$lib/bench/past';
	import PastRuns from '$lib/ui/features/paper/PastRuns.svelte';
	import { troubleOf } from '$lib/ui/state/api';
	import { Write } from '$lib/ui/state/write';
	import { getNoticesReady, notify } from '$lib/ui/state/notices.svelte';
	import { takenAway, tellChange } from '$lib/ui/state/undo.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';
	import { refreshAll } from '$lib/ui/state/refresh';

	let { data } = $props();
	const preferences = usePreferences();
	$effect(() => void getNoticesReady());
	const write = new Write();
	async function takeBack(id: string): Promise<void> {
		const trouble = troubleOf(await write.send('DELETE', `/api/records/${id}`), 'The winding is still there');
		if (trouble !== undefined) return notify(trouble);
		await refreshAll();
		void tellChange({
			said: 'The winding is undone. The previous line is back on the spool.',
			label: 'Bring the winding back',
			...takenAway(`/api/records/${id}`),
			stays: 'The winding is still undone',
			refresh: refreshAll
		});
	}
	async function deletePhoto(id: string): Promise<void> {
		const trouble = troubleOf(await write.send('DELETE', `/api/photos/${id}`), 'The photo is still there');
		if (trouble !== undefined) return notify(trouble);
		await refreshAll();
		void tellChange({
			said: 'The photo is deleted.',
			label: 'Bring the photo back',
			...takenAway(`/api/photos/${id}`),
			stays: 'The photo is still deleted',
			refresh: refreshAll
		});
	}
	const runs = $derived(data.records.map((record) => pastRun(record, preferences.units)));
</script>

<svelte:head><title>Past windings · {data.name || 'Set-up'} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<a class="no-print action-quiet" href="/bench/{data.id}">Back to the bench</a>
	<h1 class="mt-4 text-[26px] leading-tight font-bold tracking-tight">
		{data.name || 'This spool'}: past windings
	</h1>
	{#if runs.length > 0}
		<PastRuns
			{runs}
			photosHere={data.photos}
			ontakeback={(id) => void takeBack(id)}
			ondeletephoto={(id) => void deletePhoto(id)}
		/>
	{:else}
		<p class="mt-3">
			Nothing is wound yet. When you save the first winding, you see it here beside its plan.
		</p>
	{/if}
</div>
