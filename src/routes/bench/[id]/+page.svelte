<script lang="ts">
	import { jobText } from '$lib/bench/work';
	import { workOut } from '$lib/setup/evaluate-form';
	import { judgement } from '$lib/ui/features/fit/sentence';
	import Bench from '$lib/ui/features/bench/Bench.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const tempo = $derived(new Map(data.tempo));
	const worked = $derived(workOut(data.setup.form, preferences.units, data.learnt));
</script>

<svelte:head><title>{data.setup.form.spool.name || 'Set-up'} · Bench · Wendle</title></svelte:head>

{#key `${data.setup.id}/${jobText(data.doing)}`}
	{#if worked.ok && worked.value.fit.fits}
		<Bench
			setup={data.setup}
			workout={worked.value}
			records={data.records}
			begun={data.begun}
			{tempo}
			doing={data.doing}
			wound={data.wound}
			wrong={data.wrong}
			winder={data.winder}
			winders={data.winders}
			order={data.order}
			cuts={data.cuts}
			form={data.form}
		/>
	{:else}
		<div class="mx-auto max-w-[60ch] px-8 py-16">
			<h1 class="text-[26px] leading-tight font-bold">
				{worked.ok ? "This line doesn't fit on this spool." : "This set-up isn't finished."}
			</h1>
			<p class="mt-3">
				{worked.ok
					? judgement(worked.value, preferences.units)
					: "Wendle can't say when to stop yet. Say which spool it is and what goes on it, then come back."}
			</p>
			<p class="mt-6"><a class="action" href="/fit/{data.setup.id}">Back to Fit</a></p>
		</div>
	{/if}
{/key}
