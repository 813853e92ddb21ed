<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { newStock } from '$lib/stock/new-stock';
	import type { StockForm } from '$lib/stock/stock';
	import { madeStock } from '../../state/answers';
	import { FormSend } from '../../state/form-send.svelte';
	import { made, tellChange } from '../../state/undo.svelte';
	import { refreshStock, standing } from './changes';
	import StockFields from './StockFields.svelte';

	/** Something new comes onto the shelf. */
	let form = $state<StockForm>(newStock('bulk'));
	const sending = new FormSend({ once: true, beside: ({ path }) => String(path.at(-1)) in form });

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const reply = await sending.send('POST', '/api/stock', { form: $state.snapshot(form) }, madeStock);
		if (reply?.kind !== 'ok') return;
		const { id } = reply.value;
		await tellChange({
			said: `${standing(form.kind)} in the stock.`,
			...made(`/api/stock/${id}`),
			stays: 'It is still in the stock',
			refresh: async () => {
				await refreshStock();
				await goto(resolve('/stock'));
			}
		});
		await goto(resolve('/stock/[id]', { id }), { invalidateAll: true });
	}
	function change(part: Partial<StockForm>): void {
		Object.assign(form, part);
		sending.changed(...Object.keys(part));
	}
</script>

<form
	class="mx-auto max-w-[900px] px-4 pb-12 sm:px-8"
	aria-labelledby="add-stock-title"
	novalidate
	onsubmit={(event) => void add(event)}
>
	<h1 id="add-stock-title" class="pt-5 pb-3 text-[26px] leading-tight font-bold tracking-tight">
		Add to the stock
	</h1>
	<StockFields {form} issues={sending.issues} onchange={change} />
	{#if sending.trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{sending.trouble}</p>{/if}
	<div class="mt-6 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={sending.busy}>Add it to the stock</button>
		<a class="action-quiet min-h-11" href="/stock">Back to the stock</a>
	</div>
</form>
