<script lang="ts">
	import { stockName } from '$lib/stock/words';
	import CardPage from '$lib/ui/features/paper/CardPage.svelte';
	import { stockCard } from '$lib/ui/features/stock/stock-card';

	let { data } = $props();
	const layout = $derived(stockCard(data.entry, data.address, data.code));
</script>

<CardPage
	title="Label for {stockName(data.entry)}"
	name="Label"
	says="Stick it on the spool or the box."
	leads="the page where you write down a cut"
	{layout}
	loopback={data.loopback}
	file="stock-{data.code}.pdf"
	back={{ href: `/stock/${data.entry.id}`, label: 'Back to the entry' }}
/>
