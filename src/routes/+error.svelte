<script lang="ts">
	import { page } from '$app/state';
	import { refreshAll } from '$lib/ui/state/refresh';

	/** Something that may pass: the data file, or this machine. */
	const passes = $derived(page.status >= 500);

	/** Keeps the window when it can; until the page hears clicks, the link itself asks again. */
	function askAgain(event: MouseEvent): void {
		event.preventDefault();
		void refreshAll();
	}
</script>

<svelte:head><title>{page.status} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[60ch] px-8 py-16">
	<p class="figure text-[64px] leading-none font-bold">{page.status}</p>
	<h1 class="mt-4 text-[22px] font-semibold">{page.error?.message}</h1>
	{#if page.status >= 500 && page.error?.request}
		<p class="mt-3 text-[14px] text-soft">
			The log of this Wendle says more about it under <span class="figure">{page.error.request}</span>.
		</p>
	{/if}
	<div class="mt-6 flex flex-wrap gap-3">
		{#if passes}
			<a class="action" href={page.url.pathname + page.url.search} onclick={askAgain}>Try again</a>
		{/if}
		<a class={passes ? 'action-quiet min-h-11' : 'action'} href="/">To the rack</a>
	</div>
</div>
