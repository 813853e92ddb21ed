<script lang="ts">
	import { labelOf } from '$lib/bench/label';
	import { asWound } from '$lib/inventory/wound';
	import { strandsOf } from '$lib/ui/charts/thread/strands';
	import LabelPage from '$lib/ui/features/paper/LabelPage.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const label = $derived(labelOf(data.record, preferences.units));
	const wound = $derived(asWound(data.record.form, data.record));
</script>

{#if label && wound}
	<LabelPage
		name={data.record.form.spool.name || 'the spool'}
		leads="this set-up"
		labels={[{ label, strands: strandsOf(wound.workout), address: data.address, code: data.code }]}
		loopback={data.loopback}
	/>
{:else}
	<p class="mx-auto max-w-[60rem] px-4 py-6 sm:px-8">Wendle doesn't know what is on this spool.</p>
{/if}
