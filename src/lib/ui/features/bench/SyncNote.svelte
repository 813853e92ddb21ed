<script lang="ts">
	import type { Run } from '../../state/run.svelte';

	/** Where the count is kept: on the server, in this browser, or in this page only. */
	let { run }: { run: Run } = $props();
	const words = $derived.by((): readonly [string, string] => {
		switch (run.sync) {
			case 'idle':
				return ['', ''];
			case 'waiting':
				return ['Saving…', ''];
			case 'saved':
				return [
					'Saved',
					run.over
						? ' with the job that another window finished. Reload this page to start a new one'
						: `, ${run.entries} ${run.entries === 1 ? 'entry' : 'entries'}`
				];
			case 'away':
				return [
					'Not saved yet, trying again',
					`. ${run.trouble ?? "The server doesn't answer."} ${
						run.onlyHere
							? "This browser won't keep the count: leave this page open, or the last steps are lost"
							: 'Wendle keeps the count in this browser and sends it later'
					}`
				];
		}
	});
	/** Something can be lost, or is not where it seems: that has to be seen wherever the page is. */
	const grave = $derived(run.over || (run.sync === 'away' && run.onlyHere));
	const warns = $derived(run.sync === 'away' || run.over);
</script>

<span
	role="status"
	class={grave
		? 'fixed inset-x-0 top-0 z-30 border-b-2 border-warn bg-paper px-4 py-2 text-[15px] text-warn sm:px-8'
		: warns
			? 'text-warn'
			: ''}
	data-state={run.sync}
	data-version={run.entries}
	data-kept={run.sync === 'saved' ? 'server' : run.onlyHere ? 'page' : 'browser'}
	><span>{words[0]}</span><span>{words[1]}</span></span
>
