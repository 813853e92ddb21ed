<script lang="ts">
	import type { StockEntry, StockForm } from '$lib/stock/stock';
	import { madeStock } from '../../state/answers';
	import { FormSend } from '../../state/form-send.svelte';
	import { notify } from '../../state/notices.svelte';
	import { refreshStock } from './changes';
	import StockFields from './StockFields.svelte';

	/** What is said of something on the shelf, to be changed. */
	interface Props {
		entry: StockEntry;
		onclose: () => void;
	}
	let { entry, onclose }: Props = $props();
	// What is being typed is not thrown over by what another window saves: that is noticed when this is saved.
	// svelte-ignore state_referenced_locally
	const seen = entry;
	let form = $state<StockForm>({ ...seen.form });
	const sending = new FormSend({ beside: ({ path }) => String(path.at(-1)) in form });

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const body = { form: $state.snapshot(form), version: seen.version };
		const reply = await sending.send('PUT', `/api/stock/${seen.id}`, body, madeStock);
		if (reply?.kind !== 'ok') return;
		await refreshStock();
		await notify('The changes are saved.');
		onclose();
	}
	function change(part: Partial<StockForm>): void {
		Object.assign(form, part);
		sending.changed(...Object.keys(part));
	}
</script>

<form
	class="mt-4 border-l-[3px] border-line pl-4"
	aria-label="Change this entry"
	novalidate
	onsubmit={(event) => void save(event)}
>
	<StockFields {form} issues={sending.issues} onchange={change} />
	{#if sending.trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{sending.trouble}</p>{/if}
	<div class="mt-5 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={sending.busy}>Save the changes</button>
		<button type="button" class="action-quiet min-h-11" onclick={onclose}>Leave it as it is</button>
	</div>
</form>
