<script lang="ts">
	import { ticketLayout } from '$lib/ui/features/orders/order-cards';
	import CardPage from '$lib/ui/features/paper/CardPage.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const layout = $derived(ticketLayout(data.order, data.address, data.code, preferences.locale));
</script>

<CardPage
	title="Ticket for order {data.order.number}"
	name="Ticket"
	says="Lay it with the reels: it says whose they are, by when, and what is wanted."
	leads="the order"
	{layout}
	loopback={data.loopback}
	file="ticket-{data.order.number}.pdf"
	back={{ href: `/orders/${data.order.id}`, label: 'Back to the order' }}
/>
