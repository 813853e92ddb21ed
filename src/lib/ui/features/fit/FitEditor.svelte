<script lang="ts">
	import { afterNavigate, goto, replaceState } from '$app/navigation';
	import type { SetupForm } from '$lib/setup/form';
	import type { LearntHere } from '$lib/setup/learnt-here';
	import { showLeader, showLong, showSmall, showTurns } from '$lib/wording/units';
	import { roleName } from '$lib/wording/strands';
	import Download from '@lucide/svelte/icons/download';
	import { tick, untrack } from 'svelte';
	import { saveDrawing } from '../../charts/export/save';
	import Section from '../../charts/section/Section.svelte';
	import Thread, { type ThreadItem } from '../../charts/thread/Thread.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { saveBeforeLeaving } from '../../state/leaving';
	import { isShortcut } from '../../state/shortcuts';
	import { providePageUndo } from '../../state/undo.svelte';
	import Answers from './Answers.svelte';
	import { FitState } from './fit-state.svelte';
	import { StartingPoint } from './starting-point.svelte';
	import { rememberVisit } from './visit';
	import SaveNote from './SaveNote.svelte';
	import SendSetup from './SendSetup.svelte';
	import SpoolFields from './SpoolFields.svelte';
	import StackFields from './StackFields.svelte';
	import { SetupStore, type OfSpool } from './store.svelte';
	import WaitingFor from './WaitingFor.svelte';
	import WindingFields from './WindingFields.svelte';

	interface Props {
		form: SetupForm;
		saved?: { id: string; spoolId: string; version: number } | undefined;
		/** The spool that a new set-up is for. */
		of?: OfSpool | undefined;
		/** What earlier windings have taught of its spool, strands and winder. */
		learnt?: LearntHere | undefined;
		/** Somebody sent it, and it is not saved before it is kept. */
		isSent?: boolean;
	}
	let { form, saved, of, learnt, isSent = false }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	// The editor lives for one set-up: its page makes a new one for another.
	// svelte-ignore state_referenced_locally
	const start = new StartingPoint(learnt, form);
	// svelte-ignore state_referenced_locally
	const fit: FitState = new FitState(form, {
		units: () => preferences.units,
		onchange: () => store.autosave.touch(),
		refused: () => store.issues,
		spoolId: () => store.known?.spoolId ?? of?.spoolId,
		learnt: () => start.learnt
	});
	// svelte-ignore state_referenced_locally
	const store = new SetupStore({
		known: saved,
		of,
		units: () => preferences.units,
		form: () => $state.snapshot(fit.form),
		live: () => fit.form,
		onmerged: () => fit.forgetChanges(),
		oncreate: (id) => replaceState(`/fit/${id}`, { savedAs: id }),
		onsaved: (id) => void start.follow(id, $state.snapshot(fit.form))
	});

	// It is read anew when a winding was left out.
	$effect(() => {
		start.learnt = learnt;
	});

	// The page is told anew what the server has, after an undo for instance.
	$effect(() => {
		const [now, as] = [saved, form];
		untrack(() => void store.follow(now, structuredClone(as)));
	});

	let ready = $state(false);
	afterNavigate(() => (ready = true));
	saveBeforeLeaving(store.autosave);
	// svelte-ignore state_referenced_locally
	rememberVisit(store, { began: $state.snapshot(form), isNew: !saved && !of, form: () => fit.form });
	$effect(() => providePageUndo({ last: () => fit.lastChange, undo: () => fit.undo() }));

	const workout = $derived(fit.workout);
	const stop = $derived(workout?.fit.layers[workout.stopIndex]);
	const items = $derived<ThreadItem[]>(
		fit.form.fill.stack.map(({ id, role, joint, note }) => {
			const at = workout?.parts.findIndex((part) => part.id === id) ?? -1;
			const layer = workout?.fit.layers[at];
			return {
				id,
				role,
				joint,
				label: workout?.parts[at]?.label ?? (note || roleName(role)),
				length: layer && !fit.stale ? showLong(layer.lengthMm, units) : '–',
				sections: workout?.stack[at]?.sections ?? []
			};
		})
	);
	/** There is something to do at the bench: a finished set-up that fits. */
	const doable = $derived(!fit.stale && workout?.fit.fits === true);
	let editor = $state<HTMLElement>();
	let drawing = $state<SVGSVGElement>();
	let thread = $state<HTMLElement>();

	/** Leaving for the bench waits for the save: the bench reads what is kept, not what is typed. */
	async function toBench(query = ''): Promise<void> {
		if (!store.known) store.autosave.touch();
		await store.autosave.flush();
		if (store.known && store.autosave.state === 'saved') await goto(`/bench/${store.known.id}${query}`);
	}

	/** Opens the editor of what was chosen in the thread, and goes there. */
	async function pick(part: string, joint = false): Promise<void> {
		if (joint) fit.showsKnots = true;
		const isComponent = fit.form.fill.stack.some(({ id }) => id === part);
		if (isComponent) fit.selected = part;
		else fit.showsWinding = true;
		if (isComponent) await import('./StrandEditor.svelte');
		// Once for what is chosen, once for the editor that has come.
		await tick();
		await tick();
		const section = editor?.querySelector<HTMLElement>(`[data-part="${isComponent ? 'stack' : part}"]`);
		section?.scrollIntoView({ block: 'nearest', behavior: 'smooth' });
		const within = isComponent ? section?.querySelector(`[data-component="${part}"]`) : section;
		within?.querySelector<HTMLElement>('input, select')?.focus({ preventScroll: true });
	}

	async function remove(id: string): Promise<void> {
		const at = fit.form.fill.stack.findIndex((component) => component.id === id);
		fit.removeComponent(id);
		const next = fit.form.fill.stack[Math.min(at, fit.form.fill.stack.length - 1)]!.id;
		if (fit.selected) fit.selected = next;
		await tick();
		document.querySelector<HTMLElement>(`[data-strand="${next}"]`)?.focus();
	}

	const save = (kind: 'svg' | 'png'): void =>
		void (drawing && saveDrawing(drawing, fit.form.spool.name || 'spool', kind));

	function onkeydown(event: KeyboardEvent): void {
		if (event.key !== 'b' || !isShortcut(event) || !doable) return;
		event.preventDefault();
		void toBench();
	}
</script>

<svelte:window {onkeydown} />
<svelte:document onvisibilitychange={() => document.hidden && void store.autosave.flush()} />

<div class="mx-auto max-w-[1440px] px-4 sm:px-8" data-ready={ready || undefined}>
	<div class="flex flex-wrap items-baseline gap-x-6 gap-y-1 pt-4">
		<h1 class="min-w-0 flex-1">
			<label for="spool-name" class="sr-only">Name of the spool</label>
			<input
				id="spool-name"
				class="w-full min-w-0 bg-transparent text-[26px] leading-tight font-bold tracking-tight placeholder:text-soft"
				placeholder="Name this spool"
				maxlength="80"
				bind:value={() => fit.form.spool.name, (name) => fit.change((form) => (form.spool.name = name))}
			/>
		</h1>
		<SaveNote {store} />
	</div>

	{#if isSent && !store.known}
		<p class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-[3px] border-now pl-3" data-sent>
			Somebody sent you this set-up. It isn't on your rack.
			<button type="button" class="action-quiet min-h-11" onclick={() => store.autosave.touch()}
				>Keep it on my rack</button
			>
		</p>
	{/if}
	<div class="border-b border-hair pt-3 pb-3" bind:this={thread}>
		<Thread
			{items}
			arborTurns={fit.form.fill.arborTurns}
			leader={workout ? showLeader(workout.leaderMm, units) : '–'}
			selected={fit.selected}
			onpick={pick}
			onorder={(ids) => fit.order(ids)}
			onremove={(id) => remove(id)}
		/>
	</div>

	<div
		class="grid gap-x-7 pb-28 lg:grid-cols-[300px_minmax(0,1fr)_284px] lg:grid-rows-[auto_1fr] lg:pb-10 xl:grid-cols-[312px_minmax(0,1fr)_290px]"
	>
		<div bind:this={editor} class="space-y-4 pt-4 lg:row-span-2">
			<section class="space-y-2.5" aria-label="Spool" data-part="spool">
				<div class="flex items-baseline justify-between">
					<h2 class="text-[15px] font-semibold">Spool</h2>
					<a href="/help/words" class="text-[13px] text-soft underline">What do these words mean?</a>
				</div>
				<SpoolFields {fit} />
			</section>
			<StackFields {fit} />
			<section aria-label="Winding" data-part="winding"><WindingFields {fit} /></section>
		</div>

		<div class="min-w-0 pt-4 max-lg:order-first">
			<div class="relative border border-ink bg-paper">
				{#if workout}
					<div class={fit.stale ? 'opacity-45' : ''}>
						<Section {workout} {units} maxHeight={500} ongap={(mm) => fit.setGapMm(mm)} bind:svg={drawing} />
					</div>
					<div class="figure flex border-t border-ink text-[12.5px]">
						<span class="border-r border-ink px-3 py-1.5 whitespace-nowrap">Section, true to scale</span>
						<span class="px-3 py-1.5 text-soft max-sm:hidden"
							>each circle is one turn; blurred edges are uncertain</span
						>
						<span class="no-print ml-auto flex">
							{#each ['svg', 'png'] as const as kind (kind)}
								<button
									type="button"
									class="flex items-center gap-1 border-l border-ink px-2.5"
									onclick={() => save(kind)}
								>
									<Download size={13} />{kind.toUpperCase()}
								</button>
							{/each}
						</span>
					</div>
				{:else}
					<WaitingFor {fit} />
				{/if}
			</div>
		</div>

		<div class="pt-4 lg:sticky lg:top-0 lg:row-span-2 lg:self-start">
			{#if workout}
				{#if fit.stale && fit.reason}
					<p
						class="mb-3 border-l-[3px] border-warn py-0.5 pl-3 text-[15px] text-warn"
						role="status"
						data-reason
					>
						These answers are from before your last change. {fit.reason}
					</p>
				{/if}
				<Answers form={fit.form} {workout} stale={fit.stale}>
					<div class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
						<button type="button" class="action" disabled={!doable} onclick={() => void toBench()}>
							Take it to the bench<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">B</kbd>
						</button>
						{#if doable}
							<p class="text-[14px] text-soft">
								Is this reel wound already?
								<button
									type="button"
									class="min-h-6 text-ink underline"
									onclick={() => void toBench('?wound')}>Save what is on it</button
								>
							</p>
						{/if}
					</div>
				</Answers>
				{#if workout.problem.learnt}
					<p class="mt-2 text-[13.5px] text-soft" data-learnt>
						These answers use <a class="underline" href="/learnt">what Wendle has learnt</a> from earlier windings.
					</p>
				{/if}
				<SendSetup form={fit.form} {thread} />
			{:else}
				<h2 class="text-[15px] font-semibold">Your four answers will be here</h2>
				<ul class="mt-2 space-y-1 text-soft">
					<li>the depth at which you stop winding,</li>
					<li>how much backing goes on,</li>
					<li>how many turns that takes,</li>
					<li>the gap that is left when the line is on.</li>
				</ul>
			{/if}
		</div>

		{#if workout}
			<div class="min-h-24 min-w-0 lg:col-start-2">
				{#await import('./panels/Panels.svelte') then { default: Panels }}<Panels
						{fit}
						tobench={doable ? (query) => void toBench(query) : undefined}
					/>{/await}
			</div>
		{/if}
	</div>

	{#if workout}
		<div
			class="figure fixed inset-x-0 bottom-0 z-20 grid grid-cols-4 border-t-2 border-ink bg-paper px-2 py-2 text-center lg:hidden {fit.stale
				? 'text-soft'
				: ''}"
		>
			{#each [['stop at', showSmall(stop?.depthMm ?? 0, units)], ['backing', showLong(stop?.lengthMm ?? 0, units)], ['turns', showTurns((stop?.turns ?? 0) / workout.gear)], ['gap', showSmall(workout.fit.gapMm, units)]] as [label, value], i (label)}
				<div>
					<div class="text-[12px] text-soft">{label}</div>
					<div class="text-[18px] leading-tight font-semibold">
						<span class={i === 0 ? 'px-0.5 marked' : ''}>{value}</span>
					</div>
				</div>
			{/each}
		</div>
	{/if}
</div>

{#if store.clashes.length > 0}
	{#await import('./ClashSheet.svelte') then { default: ClashSheet }}<ClashSheet {store} />{/await}
{/if}
