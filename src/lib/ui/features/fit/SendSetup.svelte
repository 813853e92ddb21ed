<script lang="ts">
	import type { SetupForm } from '$lib/setup/form';
	import SaveDrawing from '../../charts/export/SaveDrawing.svelte';
	import { notify } from '../../state/notices.svelte';

	/** A set-up for somebody else: as a link, as a code to scan, as a file; and its thread as a drawing. */
	let { form, thread }: { form: SetupForm; thread: HTMLElement | undefined } = $props();
	let open = $state(false);

	const sent = $derived.by(async () => {
		if (!open) return undefined;
		const [{ packSetup, toSend }, { renderSVG }] = await Promise.all([
			import('$lib/setup/sent'),
			import('uqr')
		]);
		const own = $state.snapshot(form) as SetupForm;
		const link = `${location.origin}/fit/new?setup=${packSetup(own)}`;
		const file = new Blob([JSON.stringify(toSend(own), null, '\t')], { type: 'application/json' });
		return { link, code: renderSVG(link, { ecc: 'L', border: 2 }), file };
	});

	async function copy(link: string): Promise<void> {
		try {
			await navigator.clipboard.writeText(link);
			void notify('The link is copied.');
		} catch {
			void notify('This browser does not let Wendle copy. Mark the link and copy it by hand.');
		}
	}
	async function save(file: Blob): Promise<void> {
		const { download } = await import('../../charts/export/download');
		const name = (form.spool.name || 'set-up').replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
		download(`${name}.json`, file);
	}
</script>

<details class="mt-3 text-[14px]" bind:open>
	<summary class="min-h-6 cursor-pointer text-soft underline">Send this set-up to somebody</summary>
	{#await sent then ready}
		{#if ready}
			<p class="mt-2">
				The link holds the whole set-up, and nothing else of yours. It opens in this Wendle. Somebody with a
				Wendle of their own pastes it on the page <em>Your data</em> there.
			</p>
			<label class="mt-2 block">
				<span class="block text-[13px] text-soft">Link</span>
				<input
					class="figure w-full min-w-0 border-b-[1.5px] border-ink bg-transparent py-1 text-[13px]"
					readonly
					value={ready.link}
					onfocus={({ currentTarget }) => currentTarget.select()}
				/>
			</label>
			<p class="mt-2 flex flex-wrap gap-2">
				<button type="button" class="action-quiet" onclick={() => void copy(ready.link)}>Copy the link</button
				>
				<button type="button" class="action-quiet" onclick={() => void save(ready.file)}
					>Save as a file</button
				>
			</p>
			<SaveDrawing
				drawing={thread && [thread]}
				name="{form.spool.name || 'set-up'} thread"
				what="the thread"
			/>
			<div class="mt-3 w-56 max-w-full bg-white" role="img" aria-label="The link as a code to scan" data-code>
				<!-- Made here, from the link. -->
				<!-- eslint-disable-next-line svelte/no-at-html-tags -->
				{@html ready.code}
			</div>
		{/if}
	{/await}
</details>
