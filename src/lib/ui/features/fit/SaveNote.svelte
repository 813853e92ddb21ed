<script lang="ts">
	import type { SetupStore } from './store.svelte';

	let { store }: { store: SetupStore } = $props();
	const WORDS = {
		untouched: 'Saves itself as you type',
		waiting: 'Saving…',
		saving: 'Saving…',
		saved: 'Saved',
		failed: 'Not saved yet, trying again',
		held: 'Changed in another window'
	} as const;
	const state = $derived(store.autosave.state);
</script>

<span
	role="status"
	class="figure text-[14px] whitespace-nowrap {state === 'failed' || state === 'held'
		? 'text-warn'
		: 'text-soft'}"
>
	{store.refusal && state === 'failed' ? store.refusal : WORDS[state]}
</span>
