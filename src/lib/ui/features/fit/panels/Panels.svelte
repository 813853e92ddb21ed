<script lang="ts">
	import { untrack, type Component } from 'svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import { figuresOf } from './figures';

	/** What else a fit can be asked, one question at a time; each is loaded when it is asked. */
	interface Props {
		fit: FitState;
		/** To the bench, with a job; undefined while there is nothing to do there. */
		tobench: ((query: string) => void) | undefined;
	}
	let { fit, tobench }: Props = $props();
	const preferences = usePreferences();

	type Panel = Component<Props>;
	const PANELS: readonly { slug: string; label: string; load: () => Promise<{ default: Panel }> }[] = [
		{ slug: 'sure', label: 'How sure?', load: () => import('./HowSure.svelte') },
		{ slug: 'ways', label: 'Compare methods', load: () => import('./WhichWay.svelte') },
		{ slug: 'pause', label: 'Check while winding', load: () => import('./AtAPause.svelte') },
		{ slug: 'run', label: 'With a fish on', load: () => import('./TheRun.svelte') },
		{ slug: 'swaps', label: 'Swaps', load: () => import('./Swaps.svelte') },
		{ slug: 'list', label: 'Buy and cut', load: () => import('./BuyAndCut.svelte') }
	];
	// What tells most to begin with: the heads that it swaps, how to know it better, or how sure it is.
	let open = $state(
		untrack(() =>
			(fit.workout?.swaps.length ?? 0) > 0
				? 'swaps'
				: (fit.workout?.known.estimated.length ?? 0) > 0
					? 'ways'
					: 'sure'
		)
	);
	const shown = $derived(PANELS.find(({ slug }) => slug === open)!);
	const figures = $derived<Record<string, string>>(
		fit.workout && !fit.stale ? figuresOf(fit.form, fit.workout, fit.rubs, preferences) : {}
	);

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

<div class="no-print mt-4">
	<div
		class="figure grid grid-cols-2 border-l border-hair sm:grid-cols-3"
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
				class="border-r border-b border-hair px-2.5 py-1 text-left leading-tight first:border-t nth-2:border-t sm:nth-3:border-t {open ===
				slug
					? 'bg-paper shadow-[inset_0_-3px_0_var(--ink)]'
					: 'hover:bg-paper'}"
				{onkeydown}
				onclick={() => (open = slug)}
				><span class="block text-[14px] {open === slug ? 'font-semibold' : ''}">{label}</span><span
					class="block min-h-[1.2em] text-[12.5px] text-soft">{figures[slug] ?? ''}</span
				></button
			>
		{/each}
	</div>
	<div id="panel" role="tabpanel" aria-labelledby="tab-{shown.slug}" class="pt-4" data-panel={shown.slug}>
		{#await shown.load() then { default: Content }}
			<Content {fit} {tobench} />
		{/await}
	</div>
</div>
