<script lang="ts">
	import type { Component } from 'svelte';
	import type { FitState } from '../fit-state.svelte';

	/** What else a fit can be asked, one question at a time; each is loaded when it is asked. */
	let { fit }: { fit: FitState } = $props();

	type Panel = Component<{ fit: FitState }>;
	const PANELS: readonly { slug: string; label: string; load: () => Promise<{ default: Panel }> }[] = [
		{ slug: 'sure', label: 'How sure?', load: () => import('./HowSure.svelte') },
		{ slug: 'ways', label: 'Compare methods', load: () => import('./WhichWay.svelte') },
		{ slug: 'pause', label: 'Check while winding', load: () => import('./AtAPause.svelte') },
		{ slug: 'run', label: 'With a fish on', load: () => import('./TheRun.svelte') },
		{ slug: 'swaps', label: 'Swaps', load: () => import('./Swaps.svelte') },
		{ slug: 'list', label: 'Buy and cut', load: () => import('./BuyAndCut.svelte') }
	];
	let open = $state<string>();
	const shown = $derived(PANELS.find(({ slug }) => slug === open));

	function onkeydown(event: KeyboardEvent): void {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (by === undefined) return;
		const tabs = [
			...(event.currentTarget as HTMLElement)
				.closest('[role=tablist]')!
				.querySelectorAll<HTMLElement>('[role=tab]')
		];
		const at = tabs.indexOf(event.currentTarget as HTMLElement);
		tabs[(at + by + tabs.length) % tabs.length]!.focus();
		event.preventDefault();
	}
</script>

<div class="no-print mt-5">
	<div
		class="figure flex flex-wrap gap-x-3 gap-y-1 border-b border-hair"
		role="tablist"
		aria-label="More of this fit"
	>
		{#each PANELS as { slug, label } (slug)}
			<button
				type="button"
				role="tab"
				id="tab-{slug}"
				aria-selected={open === slug}
				aria-controls="panel"
				class="border-b-[3px] pb-1 text-[13.5px] {open === slug
					? 'border-ink font-semibold'
					: 'border-transparent text-soft hover:text-ink'}"
				{onkeydown}
				onclick={() => (open = open === slug ? undefined : slug)}>{label}</button
			>
		{/each}
	</div>
	{#if shown}
		<div id="panel" role="tabpanel" aria-labelledby="tab-{shown.slug}" class="pt-4" data-panel={shown.slug}>
			{#await shown.load() then { default: Content }}
				<Content {fit} />
			{/await}
		</div>
	{/if}
</div>
