<script lang="ts">
	import { goto } from '$app/navigation';

	/** A set-up that somebody sent: its link, or its file. It is shown before it is saved. */
	let text = $state('');
	let wrong = $state(false);

	async function open(sent: string): Promise<void> {
		const { packSetup, readSent } = await import('$lib/setup/sent');
		const form = readSent(sent);
		wrong = form === undefined;
		if (form) await goto(`/fit/new?setup=${packSetup(form)}`);
	}
</script>

<section class="mt-8 border-t-[3px] border-ink pt-3" aria-labelledby="sent">
	<h2 id="sent" class="text-[19px] font-semibold">Open a set-up that somebody sent</h2>
	<p class="mt-1 max-w-[64ch]">
		Paste the link, or choose the file. Wendle shows the set-up, and saves it when you say so. To send one of
		yours, open it and press <em>Send this set-up to somebody</em>.
	</p>
	<form
		class="mt-3 flex max-w-[44rem] flex-wrap items-end gap-3"
		onsubmit={(event) => {
			event.preventDefault();
			void open(text);
		}}
	>
		<label class="min-w-0 flex-1">
			<span class="block text-[13.5px] text-soft">Link</span>
			<input class="w-full border-b-[1.5px] border-ink bg-transparent py-1.5" bind:value={text} />
		</label>
		<button type="submit" class="action-quiet min-h-11" disabled={text.trim() === ''}>Open it</button>
	</form>
	<label class="mt-3 block text-[15px]">
		<span class="block text-[13.5px] text-soft">File of a set-up</span>
		<input
			type="file"
			accept=".json,application/json"
			class="mt-1 file-button"
			onchange={async ({ currentTarget }) => {
				const file = currentTarget.files?.[0];
				if (file) await open(await file.text());
			}}
		/>
	</label>
	{#if wrong}
		<p class="mt-2 max-w-[64ch] border-l-[3px] border-warn pl-3" role="alert">
			There is no set-up in this. Copy the whole link, or ask for the file again.
		</p>
	{/if}
</section>
