<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { newStock } from '$lib/stock/new-stock';
	import type { StockForm } from '$lib/stock/stock';
	import type { WordedIssue } from '$lib/wording/issues';
	import { madeStock } from '../../state/answers';
	import { troubleOf } from '../../state/api';
	import { made, tellChange } from '../../state/undo.svelte';
	import { usedAnswer, Write } from '../../state/write';
	import { KIND_WORDS, refreshStock } from './changes';
	import StockFields from './StockFields.svelte';

	/** Something new comes onto the shelf. */
	let form = $state<StockForm>(newStock('bulk'));
	// One entry is added here, however often it is tried.
	const write = new Write({ once: true });
	let issues = $state<readonly WordedIssue[]>([]);
	let trouble = $state<string>();
	let busy = $state(false);

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		const reply = await write.send('POST', '/api/stock', { form: $state.snapshot(form) }, madeStock);
		const saved = reply.kind === 'ok' ? reply.value : await usedAnswer(reply, madeStock);
		busy = false;
		issues = reply.kind === 'refused' ? reply.issues : [];
		// What is wrong with a field is said beside it.
		const beside = issues.some(({ path }) => String(path.at(-1)) in form);
		trouble = saved || beside ? undefined : troubleOf(reply, 'What you typed stays here');
		if (!saved) return;
		await tellChange({
			said: `${KIND_WORDS[form.kind]} ${form.kind === 'boxed' ? 'are' : 'is'} in the stock.`,
			...made(`/api/stock/${saved.id}`),
			stays: 'It is still in the stock',
			refresh: async () => {
				await refreshStock();
				await goto(resolve('/stock'));
			}
		});
		await goto(resolve('/stock/[id]', { id: saved.id }), { invalidateAll: true });
	}
	function change(part: Partial<StockForm>): void {
		Object.assign(form, part);
		issues = issues.filter(({ path }) => !Object.keys(part).includes(String(path.at(-1))));
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
	<StockFields {form} {issues} onchange={change} />
	{#if trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{trouble}</p>{/if}
	<div class="mt-6 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={busy}>Add it to the stock</button>
		<a class="action-quiet min-h-11" href="/stock">Back to the stock</a>
	</div>
</form>
