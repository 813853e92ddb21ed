<script lang="ts">
	import { page } from '$app/state';
	import { THEMES } from '$lib/ui/state/cookies';
	import type { UnitSystem } from '$lib/wording/units';
	import Moon from '@lucide/svelte/icons/moon';
	import Search from '@lucide/svelte/icons/search';
	import Sun from '@lucide/svelte/icons/sun';
	import SunMoon from '@lucide/svelte/icons/sun-moon';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { usePreferences } from '../state/preferences.svelte';
	import { undoable, undoLast } from '../state/undo.svelte';

	let { onhelp }: { onhelp: () => void } = $props();
	const preferences = usePreferences();

	const place = $derived(page.route.id?.split('/')[1] ?? '');
	/** The set-up in hand, on the pages that have one. */
	const id = $derived.by(() => {
		const own = page.state.savedAs ?? (place === 'fit' || place === 'bench' ? page.params['id'] : undefined);
		return own === 'new' ? undefined : own;
	});
	/** The same everywhere, in the order of the work. */
	const places = $derived([
		{ href: '/', label: 'Rack', on: place === '' || place === 'spool' },
		{ href: `/fit/${id ?? 'new'}`, label: 'Fit', on: place === 'fit' },
		{ href: id === undefined ? '/bench' : `/bench/${id}`, label: 'Bench', on: place === 'bench' },
		{ href: '/knots', label: 'Knots', on: place === 'knots' },
		{ href: '/twist', label: 'Twist', on: place === 'twist' },
		{ href: '/care', label: 'Care', on: place === 'care' },
		{ href: '/match', label: 'Match', on: place === 'match' },
		...(page.data['hasOrders'] ? [{ href: '/orders', label: 'Orders', on: place === 'orders' }] : []),
		...(page.data['hasStock'] ? [{ href: '/stock', label: 'Stock', on: place === 'stock' }] : []),
		{ href: '/help', label: 'Help', on: place === 'help' }
	]);

	/** On a narrow screen the places scroll: the one that is open is in sight. */
	let nav = $state<HTMLElement>();
	$effect(() => {
		if (place !== '' && nav) {
			const on = nav.querySelector<HTMLElement>('[aria-current]');
			if (on) nav.scrollLeft = on.offsetLeft + on.offsetWidth - nav.clientWidth;
		}
	});

	const UNITS: readonly { value: UnitSystem; label: string }[] = [
		{ value: 'yd-mm', label: 'yd, mm' },
		{ value: 'yd-in', label: 'yd, in' },
		{ value: 'm-mm', label: 'm, mm' }
	];
	const ICONS = { system: SunMoon, light: Sun, dark: Moon } as const;
	const Icon = $derived(ICONS[preferences.theme]);
	const nextTheme = $derived(THEMES[(THEMES.indexOf(preferences.theme) + 1) % THEMES.length]!);
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-paper focus:p-3"
	>Skip to the content</a
>
<header class="no-print border-b border-hair">
	<div
		class="mx-auto flex max-w-[1440px] flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2 sm:gap-x-7 sm:px-8"
	>
		<a href="/" class="figure text-[22px] font-bold tracking-tight" aria-label="Wendle, go to the rack"
			>Wendle</a
		>
		<nav
			bind:this={nav}
			class="relative order-last flex w-full gap-2.5 overflow-x-auto sm:order-none sm:w-auto sm:gap-5"
			aria-label="Places"
		>
			{#each places as { href, label, on } (label)}
				<a
					{href}
					aria-current={on ? 'page' : undefined}
					class="flex min-h-9 items-center border-b-[3px] text-[15px] whitespace-nowrap sm:text-[16px] {on
						? 'border-now font-semibold'
						: 'border-transparent text-soft hover:text-ink'}">{label}</a
				>
			{/each}
		</nav>
		<div class="ml-auto flex items-center gap-2">
			<button
				type="button"
				class="grid size-8 place-items-center rounded-[3px] border border-hair disabled:opacity-35"
				aria-label="Undo the last change"
				title={undoable() === undefined ? 'Nothing to undo yet' : `Undo: ${undoable()}`}
				disabled={undoable() === undefined}
				data-undo
				onclick={undoLast}><Undo size={16} /></button
			>
			<a
				href="/find"
				class="grid size-8 place-items-center rounded-[3px] border border-hair {place === 'find'
					? 'border-ink'
					: ''}"
				aria-label="Find"
				title="Find by a label's code or a name"><Search size={16} /></a
			>
			<label class="sr-only" for="units">Units</label>
			<select
				id="units"
				class="figure min-h-8 rounded-[3px] border border-hair bg-transparent pr-5 pl-1.5 text-[14px]"
				value={preferences.units}
				onchange={(event) => (preferences.units = event.currentTarget.value as UnitSystem)}
			>
				{#each UNITS as { value, label } (value)}<option {value} class="bg-paper text-ink">{label}</option
					>{/each}
			</select>
			<button
				type="button"
				class="grid size-8 place-items-center rounded-[3px] border border-hair"
				aria-label="Theme: {preferences.theme}. Switch to {nextTheme}"
				onclick={() => (preferences.theme = nextTheme)}><Icon size={16} /></button
			>
			<button
				type="button"
				class="figure hidden size-8 place-items-center rounded-[3px] border border-hair text-[16px] font-semibold sm:grid"
				aria-label="Keys"
				onclick={onhelp}>?</button
			>
		</div>
	</div>
</header>
