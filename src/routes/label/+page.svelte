<script lang="ts">
	import { labelOf } from '$lib/bench/label';
	import { asWound } from '$lib/inventory/wound';
	import { strandsOf } from '$lib/ui/charts/thread/strands';
	import LabelPage from '$lib/ui/features/paper/LabelPage.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const labels = $derived(
		data.labels.flatMap(({ record, address, code }) => {
			const label = labelOf(record, preferences.units);
			const wound = asWound(record.form, record);
			return label && wound ? [{ label, strands: strandsOf(wound.workout), address, code }] : [];
		})
	);
</script>

<LabelPage
	name={labels.length === 1 ? labels[0]!.label.name : `${labels.length} spools`}
	leads="the spool's set-up"
	{labels}
	loopback={data.loopback}
/>
