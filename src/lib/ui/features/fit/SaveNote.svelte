<script lang="ts">
	import type { SetupStore } from './store.svelte';

	let { store }: { store: SetupStore } = $props();
	const autosave = $derived(store.autosave);
	const version = $derived(store.known?.version);
	/** Where saving stands, and the rest of what there is to say of it. */
	const words = $derived.by((): readonly [string, string] => {
		switch (autosave.state) {
			case 'untouched':
				return ['Saves as you type', ''];
			case 'waiting':
			case 'saving':
				return ['Saving…', ''];
			case 'saved':
				return ['Saved', `, version ${version}`];
			case 'failed':
				return ['Not saved yet, trying again', `. ${store.trouble ?? "The server doesn't answer"}`];
			case 'refused':
				return ['Not saved', `. ${store.trouble ?? 'Look through it and change it'}`];
			case 'held':
				return ['Not saved', ': changed in another window'];
		}
	});
	const warns = $derived(['failed', 'refused', 'held'].includes(autosave.state));
</script>

<span
	role="status"
	data-save={autosave.state}
	data-version={version}
	class="figure text-[14px] {warns
		? 'fixed inset-x-0 bottom-[62px] z-30 border-y-2 border-warn bg-paper px-4 py-2 text-[15px] text-warn sm:px-8 lg:bottom-0'
		: 'text-soft'}"><span>{words[0]}</span><span>{words[1]}</span></span
>
