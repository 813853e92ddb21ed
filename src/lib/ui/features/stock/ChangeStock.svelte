<script lang="ts">
	import type { StockEntry, StockForm } from '$lib/stock/stock';
	import type { WordedIssue } from '$lib/wording/issues';
	import { madeStock } from '../../state/answers';
	import { troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { Write } from '../../state/write';
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
	const write = new Write();
	let issues = $state<readonly WordedIssue[]>([]);
	let trouble = $state<string>();
	let busy = $state(false);

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		const body = { form: $state.snapshot(form), version: seen.version };
		const reply = await write.send('PUT', `/api/stock/${seen.id}`, body, madeStock);
		busy = false;
		issues = reply.kind === 'refused' ? reply.issues : [];
		const beside = issues.some(({ path }) => String(path.at(-1)) in form);
		trouble = beside ? undefined : troubleOf(reply, 'What you typed stays here');
		if (reply.kind !== 'ok') return;
		await refreshStock();
		await notify('The changes are saved.');
		onclose();
	}
</script>

<form
	class="mt-4 border-l-[3px] border-line pl-4"
	aria-label="Change this entry"
	novalidate
	onsubmit={(event) => void save(event)}
>
	<StockFields {form} {issues} onchange={(part) => Object.assign(form, part)} />
	{#if trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{trouble}</p>{/if}
	<div class="mt-5 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={busy}>Save the changes</button>
		<button type="button" class="action-quiet min-h-11" onclick={onclose}>Leave it as it is</button>
	</div>
</form>
