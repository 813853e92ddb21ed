<script lang="ts">
	import { afterNavigate, goto } from '$app/navigation';
	import { jobSteps, type StepKey } from '$lib/core';
	import type { WindRecord } from '$lib/schema/record';
	import type { SetupForm } from '$lib/schema/setup';
	import { jobOf } from '$lib/schema/job';
	import type { Workout } from '$lib/schema/workout';
	import Check from '@lucide/svelte/icons/check';
	import { onDestroy, tick } from 'svelte';
	import { browser } from '$app/environment';
	import { ROLE_NAMES } from '$lib/schema/parts';
	import Segmented from '../../primitives/Segmented.svelte';
	import { Run } from '../../state/run.svelte';
	import { notify } from '../../state/notices.svelte';
	import { saveBeforeLeaving } from '../../state/leaving';
	import { isShortcut } from '../../state/shortcuts';
	import Counter from './Counter.svelte';
	import { JobState } from './job-state.svelte';
	import RecordCard from './RecordCard.svelte';
	import StepCard from './StepCard.svelte';

	interface Props {
		setup: { id: string; form: SetupForm; ticks: readonly StepKey[] };
		workout: Workout;
		records: readonly WindRecord[];
		/** The run that the server says this set-up is in. */
		run: string | undefined;
	}
	let { setup, workout, records, run: serverRun }: Props = $props();

	const job = $derived(jobOf(setup.form, workout));
	const steps = $derived(jobSteps(job));
	// The bench is made anew for another set-up.
	// svelte-ignore state_referenced_locally
	const progress = new JobState(setup.id, setup.ticks, () => steps);
	const step = $derived(steps[progress.at]);
	// svelte-ignore state_referenced_locally
	const run = browser ? new Run(setup.id, serverRun) : undefined;
	onDestroy(() => run?.stop());

	/** What is counted in the step in hand: the backing, or one of the parts over it. */
	let chosen = $state<string>();
	const counted = $derived(
		step?.key === 'backing'
			? workout.parts.slice(workout.stopIndex, workout.stopIndex + 1)
			: step?.key === 'line'
				? workout.parts.slice(workout.stopIndex + 1)
				: []
	);
	const counting = $derived(counted.find(({ id }) => id === chosen) ?? counted[0]);
	const stopPart = $derived(workout.parts[workout.stopIndex]?.id ?? '');
	let ready = $state(false);
	afterNavigate(() => (ready = true));
	saveBeforeLeaving(progress.autosave);

	/** A new step is read from its top: by eye and by screen reader. */
	async function show(change: () => void): Promise<void> {
		change();
		await tick();
		const title = document.querySelector<HTMLElement>('#step-title, #record-title');
		title?.focus({ preventScroll: true });
		window.scrollTo({ top: 0 });
	}

	const ownsSpace = (target: EventTarget | null): boolean =>
		target instanceof HTMLElement && target.matches('button, a, input, [role=checkbox]');

	const KEYS: Record<string, () => void> = {
		' ': () => progress.finish(),
		ArrowRight: () => progress.go(progress.at + 1),
		ArrowLeft: () => progress.go(progress.at - 1)
	};
	function onkeydown(event: KeyboardEvent): void {
		const act = KEYS[event.key];
		// A pedal held down, or a key that repeats, is one step all the same.
		if (
			!act ||
			event.repeat ||
			!isShortcut(event) ||
			(event.key === ' ' && (ownsSpace(event.target) || progress.recording))
		)
			return;
		event.preventDefault();
		void show(act);
	}

	async function recorded(): Promise<void> {
		await run?.end();
		void notify(`${setup.form.spool.name || 'The spool'} is on the rack, as wound.`);
		await goto('/', { invalidateAll: true });
	}

	const saving = $derived(
		{
			untouched: '',
			waiting: 'Saving…',
			saving: 'Saving…',
			saved: 'Saved',
			failed: 'Not saved yet, trying again',
			held: ''
		}[progress.autosave.state]
	);
</script>

<svelte:window {onkeydown} />

<div
	class="mx-auto grid max-w-[1440px] gap-x-12 px-4 pb-28 sm:px-8 lg:grid-cols-[280px_minmax(0,1fr)] lg:pb-12"
	data-ready={ready || undefined}
>
	<div class="pt-5 lg:sticky lg:top-0 lg:self-start">
		<h1 class="text-[20px] leading-tight font-bold tracking-tight">
			{setup.form.spool.name || 'Unnamed spool'}
		</h1>
		<p
			role="status"
			class="figure h-5 text-[14px] {progress.autosave.state === 'failed' ? 'text-warn' : 'text-soft'}"
		>
			{saving}
		</p>
		<ol class="mt-2 flex gap-1 max-lg:overflow-x-auto lg:block" aria-label="Steps of the job">
			{#each steps as { key, title }, i (key)}
				{@const done = progress.done.has(key)}
				<li class="flex items-center gap-1 lg:border-b lg:border-hair">
					<button
						type="button"
						role="checkbox"
						aria-checked={done}
						aria-label={title}
						class="grid size-8 shrink-0 place-items-center max-lg:size-6"
						onclick={() => progress.tick(key, !done)}
					>
						<span
							class="grid size-[18px] place-items-center border-[1.5px] border-ink {done
								? 'bg-ink text-paper'
								: ''}"
						>
							{#if done}<Check size={14} strokeWidth={3} />{/if}
						</span>
					</button>
					<button
						type="button"
						class="figure flex-1 py-1.5 text-left text-[15px] leading-tight max-lg:sr-only {i === progress.at
							? 'font-semibold'
							: 'text-soft'}"
						aria-current={i === progress.at ? 'step' : undefined}
						onclick={() => show(() => progress.go(i))}
					>
						<span class={i === progress.at ? 'marked' : ''}>{title}</span>
					</button>
				</li>
			{/each}
			<li class="max-lg:hidden">
				<button
					type="button"
					class="figure w-full py-2 pl-9 text-left text-[15px] {progress.recording
						? 'font-semibold'
						: 'text-soft'}"
					aria-current={progress.recording ? 'step' : undefined}
					onclick={() => show(() => progress.go(steps.length))}
				>
					<span class={progress.recording ? 'marked' : ''}>Write down what came out</span>
				</button>
			</li>
		</ol>
		{#if records.length > 0}
			<p class="mt-4 text-[13.5px] text-soft">
				Wound {records.length === 1 ? 'once' : `${records.length} times`} before, last on {records[0]!
					.woundOn}.
			</p>
		{/if}
	</div>

	<div class="pt-5">
		{#if step}
			<StepCard {step} number={progress.at + 1} total={steps.length} />
			{#if run && counting}
				{#if counted.length > 1}
					<div class="mt-6 max-w-md">
						<Segmented
							label="Going on now"
							shown
							options={counted.map(({ id, role }) => ({ value: id, label: ROLE_NAMES[role] }))}
							value={counting.id}
							onchange={(id) => (chosen = id)}
						/>
					</div>
				{/if}
				<Counter {run} {workout} index={workout.parts.indexOf(counting)} />
			{/if}
		{:else}
			<RecordCard
				setupId={setup.id}
				plan={job.plan}
				counted={{
					turns: run?.state.turns.get(stopPart),
					depthMm: run?.state.depths.get(stopPart)?.depthMm
				}}
				before={() => progress.autosave.flush()}
				onrecorded={recorded}
			/>
		{/if}
		<div
			class="no-print mt-8 flex gap-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:mt-0 max-lg:border-t-2 max-lg:border-ink max-lg:bg-paper max-lg:p-2.5"
		>
			<button
				type="button"
				class="action-quiet min-h-12"
				disabled={progress.at === 0}
				onclick={() => show(() => progress.go(progress.at - 1))}>Back</button
			>
			{#if step}
				<button
					type="button"
					class="action min-h-12 max-lg:flex-1 max-lg:justify-center"
					onclick={() => show(() => progress.finish())}
				>
					Done, next<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">Space</kbd>
				</button>
			{/if}
		</div>
	</div>
</div>
