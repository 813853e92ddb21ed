<script lang="ts">
	import { JOB_NAMES } from '$lib/core';
	import { labelOf } from '$lib/bench/label';
	import { dueText } from '$lib/ui/features/care/words';
	import { slipLayout } from '$lib/ui/features/orders/order-cards';
	import CardPage from '$lib/ui/features/paper/CardPage.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	/** What is due first on a reel: one line that is remembered. */
	const nextCare = (dues: (typeof data.reels)[number]['dues']): string[] => {
		const [first] = dues
			.filter(({ expectedOn }) => expectedOn !== undefined)
			.toSorted((a, b) => a.expectedOn!.compare(b.expectedOn!));
		return first
			? [`Next: ${JOB_NAMES[first.job].toLowerCase()}, ${dueText(first, preferences.locale)}`]
			: [];
	};
	const reels = $derived(
		data.reels.flatMap(({ winding, dues }) => {
			const label = labelOf(winding, preferences.units);
			return label ? [{ label, care: nextCare(dues) }] : [];
		})
	);
	const layout = $derived(slipLayout(data.order, reels, data.address, data.code));
</script>

<CardPage
	title="Slip for order {data.order.number}"
	name="Slip"
	says={reels.length > 0
		? 'It goes home with the reel: what is on it, its gap, and when to look after it.'
		: 'Nothing of this order is wound yet.'}
	leads="the order"
	{layout}
	loopback={data.loopback}
	file="slip-{data.order.number}.pdf"
	back={{ href: `/orders/${data.order.id}`, label: 'Back to the order' }}
/>
