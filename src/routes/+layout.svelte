<script lang="ts">
	import { afterNavigate, goto } from '$app/navigation';
	import { page } from '$app/state';
	import RoleBar from '$lib/ui/features/access/RoleBar.svelte';
	import Masthead from '$lib/ui/features/Masthead.svelte';
	import SampleBar from '$lib/ui/features/SampleBar.svelte';
	import { DESCRIPTIONS } from '$lib/ui/state/descriptions';
	import { notices } from '$lib/ui/state/notices.svelte';
	import { providePreferences, rememberZone, todayHere } from '$lib/ui/state/preferences.svelte';
	import { stayWhileAway } from '$lib/ui/state/leaving';
	import { isShortcut, isUndo } from '$lib/ui/state/shortcuts';
	import { undoLast } from '$lib/ui/state/undo.svelte';
	import { untrack } from 'svelte';
	import { doEarly } from '$lib/ui/state/early';
	import { refreshAll } from '$lib/ui/state/refresh';
	import '../app.css';

	let { data, children } = $props();
	// svelte-ignore state_referenced_locally
	const preferences = providePreferences(
		data.units,
		data.theme,
		data.schools,
		data.winder,
		data.locale,
		data.today
	);
	let help = $state(false);
	/** The keys come when they are first asked for, and stay, so that the focus finds its way back. */
	let asked = $state(false);
	$effect(() => {
		if (help) asked = true;
	});
	stayWhileAway();
	// From here on the page answers to what is done with it, and to what was done before.
	afterNavigate(() => {
		document.documentElement.dataset['alive'] = '';
		doEarly();
	});
	$effect(() => {
		preferences.today = data.today;
	});
	/** It is another day here than the page says: it was made before this browser said where it is, or it was open overnight. */
	function lookAtTheDay(): void {
		if (document.hidden || todayHere().compare(data.today) === 0) return;
		rememberZone();
		void refreshAll();
	}
	$effect(() => untrack(lookAtTheDay));
	// A browser takes long to name its zone, and nobody waits for it.
	$effect(() => void (window.requestIdleCallback ?? setTimeout)(rememberZone));

	const NEXT_UNITS = { 'yd-mm': 'yd-in', 'yd-in': 'm-mm', 'm-mm': 'yd-mm' } as const;
	/** A slip beside T would leave a reel in the middle of being wound. */
	const winding = $derived(page.route.id === '/bench/[id]');
	const LEAVING = new Set(['r', 'n', 'm', 'k', 'c']);
	const KEYS: Record<string, () => void> = {
		'?': () => (help = true),
		r: () => void goto('/'),
		n: () => void goto('/fit/new'),
		m: () => void goto('/match'),
		k: () => void goto('/knots'),
		c: () => void goto('/care'),
		u: () => (preferences.units = NEXT_UNITS[preferences.units])
	};
</script>

<svelte:head>
	<meta
		name="description"
		content={DESCRIPTIONS[page.route.id ?? ''] ?? 'The bench companion for setting up fly and spey reels.'}
	/>
</svelte:head>
<svelte:document onvisibilitychange={lookAtTheDay} />
<svelte:window
	onkeydown={(event) => {
		if (isUndo(event)) {
			event.preventDefault();
			undoLast();
			return;
		}
		const act = KEYS[event.key];
		if (!act || !isShortcut(event) || (winding && LEAVING.has(event.key))) return;
		event.preventDefault();
		act();
	}}
/>

<SampleBar place={data.place} />
{#if data.role !== null}<Masthead onhelp={() => (help = true)} />{/if}
<main id="main">{@render children()}</main>
{#if data.signedIn && data.role !== null}<RoleBar role={data.role} />{/if}
{#if notices.wanted}
	{#await import('svelte-sonner') then { Toaster }}
		<Toaster
			position="bottom-center"
			theme={preferences.theme}
			toastOptions={{
				duration: 8000,
				unstyled: true,
				classes: { toast: 'notice', content: 'notice-text', actionButton: 'notice-action' }
			}}
		/>
	{:catch}
		<div role="status" class="fixed inset-x-0 bottom-0 z-40">
			{#if notices.plain}
				<p class="flex items-center gap-4 border-t-2 border-ink bg-paper px-4 py-3 text-[15px] sm:px-8">
					{notices.plain.text}
					<button type="button" class="ml-auto min-h-9 underline" onclick={() => (notices.plain = undefined)}
						>Close</button
					>
				</p>
			{/if}
		</div>
	{/await}
{/if}

{#if asked}
	{#await import('$lib/ui/features/KeySheet.svelte') then { default: KeySheet }}<KeySheet
			bind:open={help}
		/>{/await}
{/if}
