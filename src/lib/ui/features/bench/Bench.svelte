<script lang="ts">
	import { afterNavigate, replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { behindFirst } from '$lib/core';
	import { fetchKnots } from '../knots/fetch-knots';
	import { standingOf, type StandingRemedy } from '$lib/bench/standing';
	import { firstFillOf } from '$lib/bench/reverse';
	import { jobText, jobTitle, workOf } from '$lib/bench/work';
	import { usualCoil } from '$lib/inventory/strands';
	import type { Ended } from '$lib/bench/run';
	import { jobOf } from '$lib/bench/job';
	import { countedOf, stopNow } from '$lib/bench/readings';
	import { showDuration, spoken } from '$lib/wording/phrase';
	import { onDestroy, onMount, tick, untrack } from 'svelte';
	import Sheet from '../../primitives/Sheet.svelte';
	import { CounterLink } from '../../state/counter-link.svelte';
	import { provideHandsBusy } from '../../state/hands-busy.svelte';
	import { saveBeforeLeaving } from '../../state/leaving';
	import { providePageUndo } from '../../state/undo.svelte';
	import { jobSaved, windingSaved } from './ended';
	import { usePreferences } from '../../state/preferences.svelte';
	import { Run } from '../../state/run.svelte';
	import { isShortcut } from '../../state/shortcuts';
	import type { BenchProps } from './bench-props';
	import { BenchState } from './bench-state.svelte';
	import AskDone from './AskDone.svelte';
	import BenchHead from './BenchHead.svelte';
	import BenchLinks from './BenchLinks.svelte';
	import BenchBar from './BenchBar.svelte';
	import EndCard from './EndCard.svelte';
	import Notes from './Notes.svelte';
	import WindingCard from './WindingCard.svelte';
	import ShortForm from './ShortForm.svelte';
	import StepCard from './StepCard.svelte';
	import SyncNote from './SyncNote.svelte';
	import StepList from './StepList.svelte';
	import StepReading from './StepReading.svelte';
	import Trouble from './Trouble.svelte';
	import Techniques from './Techniques.svelte';
	import { WindingState } from './winding.svelte';
	import { refresh } from '../../state/refresh';

	let {
		setup,
		workout,
		records,
		begun,
		tempo,
		doing,
		wound,
		wrong,
		winders,
		winder,
		order,
		cuts,
		form
	}: BenchProps = $props();
	const preferences = usePreferences();
	const hands = provideHandsBusy();

	// The bench is made anew for another set-up, or another job.
	// svelte-ignore state_referenced_locally
	const run = new Run(setup.id, jobText(doing), begun?.id);
	/** What is read on the way moves the stop, and with it what the steps say. */
	const moved = $derived(workout.stopIndex >= 0 ? stopNow(run.state, workout) : undefined);
	const job = $derived(jobOf(setup.form, workout, preferences.schools, moved));
	/** A reverse fill puts everything on back to front first: a set-up of its own. */
	const first = $derived(firstFillOf(setup.form, workout, doing, preferences.units, preferences.schools));
	const work = $derived(workOf(job, doing, first?.job));
	// svelte-ignore state_referenced_locally
	const bench = new BenchState(() => work, tempo, begun, run, wound);
	const step = $derived(bench.step);

	/** The winding that this step belongs to: the finished one, or the one that a reverse fill begins with. */
	const lying = $derived(step?.part && behindFirst(step.part) && first ? first.workout : workout);
	const index = $derived(step?.kind === 'wind' ? lying.parts.findIndex(({ id }) => id === step.part) : -1);
	/** The strand that is wound; at the gap step, the outermost strand. */
	const windingAt = $derived(step?.kind === 'gap' ? workout.parts.length - 1 : Math.max(index, 0));
	const winding = new WindingState(
		run,
		() => lying,
		() => windingAt
	);
	const link = new CounterLink(
		run,
		() => (step?.kind === 'wind' ? step.part : undefined),
		() => (hands.get('counterCounts') === 'spool' ? 1 : workout.gear)
	);

	let ready = $state(false);
	let trouble = $state(false);
	let ways = $state(false);
	afterNavigate(() => {
		// Once: the page may be gone from, and come back to.
		if (!ready && wrong) void (begun ? showTrouble() : beginAt(wrong));
		ready = true;
	});
	let knotsFetched = $state(false);
	onMount(() => {
		const slugs = work.steps.flatMap(({ knots = [] }) => knots.map(({ slug }) => slug));
		void fetchKnots(slugs, () => import('./StepKnot.svelte')).then((all) => (knotsFetched = all));
		const close = hands.open(`${setup.id}/${jobText(doing)}`);
		if (hands.get('counterOn')) link.connect(hands.get('counterUrl'));
		return close;
	});
	onDestroy(() => link.disconnect());
	$effect(() =>
		providePageUndo({
			last: () => {
				const last = run.state.undoable;
				return last && { said: 'the last thing at the bench', at: last.events.at(-1)!.at };
			},
			undo: () => void run.undo()
		})
	);
	saveBeforeLeaving(run);

	$effect(() => {
		if (run.loaded) untrack(() => bench.catchUp());
	});
	// What another window does is followed: a step done there, or a way back taken, shows here.
	let seen: { done: boolean; id: string | undefined; remedies: number } | undefined;
	$effect(() => {
		const id = bench.step?.id;
		const now = {
			id,
			done: id !== undefined && bench.done.has(id),
			remedies: run.state.remedies.length
		};
		const before = seen;
		seen = now;
		if (!before || !run.loaded) return;
		if (now.remedies > before.remedies) untrack(() => bench.goTo(run.state.remedies.at(-1)!.back));
		else if (now.id === before.id && now.done && !before.done) untrack(() => bench.go(bench.at + 1));
	});

	/** A reel that stands wound is taken up where its trouble shows: everything before is done, and its turns are on. */
	async function beginAt(remedy: StandingRemedy): Promise<void> {
		const standing = standingOf(remedy, bench.steps, workout, records[0]);
		if (!standing) return;
		await run.ready;
		if (run.id !== undefined) return;
		await run.add(
			...standing.done.map(({ id }) => ({ kind: 'step', step: id, done: true }) as const),
			...[...standing.turns].map(([part, turns]) => ({ kind: 'turns', part, turns, by: 'set' }) as const),
			...(standing.uncounted ? [{ kind: 'lost-count', part: standing.uncounted } as const] : [])
		);
		await show(() => bench.go(standing.at));
		showTrouble();
	}
	/** Asked for once: a page that is loaded again doesn't ask again. */
	function showTrouble(): void {
		trouble = bench.remedies.length > 0;
		const { pathname, searchParams } = page.url;
		replaceState(`${pathname}?job=${searchParams.get('job') ?? 'wind'}`, page.state);
	}

	/** A new step is read from its top: by eye, by screen reader, and aloud where that is switched on. */
	async function show(change: () => void): Promise<void> {
		link.write();
		change();
		trouble = false;
		await tick();
		document.querySelector<HTMLElement>('#step-title, #record-title')?.focus({ preventScroll: true });
		window.scrollTo({ top: 0 });
		say();
	}
	function say(): void {
		if (bench.step) hands.say(spoken(bench.step, preferences.units));
	}

	const ownsSpace = (target: EventTarget | null): boolean =>
		target instanceof HTMLElement && target.matches('button, a, input, summary, [role=checkbox]');
	/** A tapped button keeps the focus; a pedal's Space then still means the step, not the button again. */
	function release(event: MouseEvent): void {
		if (event.detail > 0 && event.target instanceof Element) event.target.closest('button')?.blur();
	}

	/** What a coil is called when nobody says otherwise. */
	const coilName = (part: string): string => {
		const off = doing.kind === 'swap' || doing.kind === 'off' ? doing.off : [];
		return usualCoil(setup.form.spool.name, off.find(({ id }) => id === part)?.label);
	};

	/** A winding step is said to be done, and nothing says so: it is asked once. */
	let asking = $state(false);
	const winds = $derived(index >= 0 ? winding : undefined);
	const finish = (): void => void show(() => ((asking = false), bench.finish()));
	const next = (): void => {
		if (asking) return;
		if (winds?.unfinished && bench.step && !bench.done.has(bench.step.id)) asking = true;
		else finish();
	};
	const KEYS: Record<string, () => void> = {
		' ': () => !bench.recording && next(),
		PageDown: () => !bench.recording && next(),
		PageUp: () => void show(() => bench.back()),
		ArrowRight: () => void show(() => bench.go(bench.at + 1)),
		ArrowLeft: () => void show(() => bench.go(bench.at - 1)),
		w: () => (trouble = !trouble && bench.remedies.length > 0),
		l: say,
		f: () => void hands.toggleWhole()
	};
	function onkeydown(event: KeyboardEvent): void {
		const act = short ? undefined : KEYS[event.key];
		// A pedal held down, or a key that repeats, is one step all the same.
		if (!act || event.repeat || !isShortcut(event) || (event.key === ' ' && ownsSpace(event.target))) return;
		event.preventDefault();
		act();
	}

	async function over(): Promise<void> {
		await run.end();
		hands.jobEnded();
	}
	async function recorded(record: string): Promise<void> {
		await over();
		await windingSaved(setup.form.spool.name, record, order);
	}
	async function ended(written: Ended['written']): Promise<void> {
		await over();
		await jobSaved(
			written,
			preferences.today,
			doing.kind === 'outing' || doing.kind === 'repair' ? '/' : '/care'
		);
	}

	/** Everything that is wound on the way, the first fill of a reverse fill included. */
	const parts = $derived([...workout.parts, ...(first?.workout.parts ?? [])]);
	/** The winding that is saved at the end. */
	const finished = $derived({
		setupId: setup.id,
		job,
		doing,
		elsewhere: wound,
		run: () => run.id,
		counted: countedOf(run.state, workout),
		before: () => run.flush(),
		winder,
		cuts,
		onrecorded: recorded
	});
	/** One screen is enough for winding and for a swap; whatever else is done at the bench goes step by step. */
	const short = $derived(
		form === 'short' && (doing.kind === 'wind' || doing.kind === 'swap') && !wound && !wrong
	);
</script>

<svelte:window {onkeydown} />
<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events -->
<div
	class="bench mx-auto grid max-w-[1440px] gap-x-12 px-4 pb-28 sm:px-8 lg:pb-12 {hands.whole
		? ''
		: 'lg:grid-cols-[280px_minmax(0,1fr)]'}"
	data-ready={ready || undefined}
	data-knots-fetched={knotsFetched || undefined}
	data-whole={hands.whole || undefined}
	data-counter-shows={link.total}
	onclick={release}
>
	<div
		class="min-w-0 pt-5 lg:sticky lg:top-0 lg:max-h-dvh lg:self-start lg:overflow-y-auto {hands.whole
			? 'hidden'
			: ''}"
	>
		<h1 class="text-[20px] leading-tight font-bold tracking-tight">
			{setup.form.spool.name || 'Unnamed spool'}
		</h1>
		<p class="figure flex gap-3 text-[14px] text-soft">
			<span data-time-left
				>{bench.secondsLeft > 0 ? `about ${showDuration(bench.secondsLeft)} left` : 'all steps done'}</span
			>
			<SyncNote {run} />
		</p>
		{#if order}<a class="figure text-[15px] underline underline-offset-4" href="/orders/{order.id}"
				>Order {order.number}{order.who && `, ${order.who}`}</a
			>{/if}
		{#if jobTitle(doing)}<p class="figure text-[15px] font-semibold" data-doing={doing.kind}>
				{jobTitle(doing)}
			</p>{/if}
		{#if !short}<StepList {bench} {doing} onshow={(at) => show(() => bench.go(at))} />{/if}
		<div class="max-lg:hidden">{@render links()}</div>
	</div>

	<div class="min-w-0 pt-5">
		{#if short}
			<ShortForm {...finished} counting={run} {workout} {winders} />
			<div class="lg:hidden">{@render links()}</div>
		{:else}
			<BenchHead
				{bench}
				bind:trouble
				winds={winds !== undefined}
				onaloud={say}
				onback={() => void show(() => bench.back())}
				onnext={next}
			/>
			{#if trouble}
				<Trouble {bench} first={wrong} {parts} onback={() => void show(() => undefined)} />
			{/if}
			{#if step}
				<StepCard {step} number={bench.at + 1} total={bench.steps.length} seconds={bench.seconds(step)}>
					<StepReading
						{bench}
						{step}
						{run}
						{winding}
						{link}
						workout={lying}
						tools={work.tools}
						hand={job.hand}
						{coilName}
					/>
				</StepCard>
				<Notes {bench} {run} {parts} gear={workout.gear} />
				{#if !hands.whole}<div class="lg:hidden">{@render links()}</div>{/if}
			{:else if doing.kind !== 'wind' && doing.kind !== 'swap' && doing.kind !== 'reverse'}
				<EndCard kind={doing.kind} run={() => run.id} before={() => run.flush()} onended={ended} />
			{:else}
				<WindingCard {...finished} plan={jobOf(setup.form, workout, preferences.schools).plan} {winders} />
			{/if}
			<BenchBar {bench} winding={winds} onback={() => void show(() => bench.back())} onnext={next} />
		{/if}
	</div>
</div>

{#if asking && winds}
	<AskDone winding={winds} onkeep={() => (asking = false)} ondone={finish} />
{/if}

{#snippet links()}
	<BenchLinks
		setupId={setup.id}
		{doing}
		{winder}
		{winders}
		before={records.length}
		{form}
		onways={() => (ways = true)}
	/>
{/snippet}

<Sheet
	bind:open={ways}
	title="How you do it"
	description="People differ here. Each technique says what you gain from it."
>
	<Techniques
		setupId={setup.id}
		{job}
		own={setup.form.fill.schools}
		onchanged={() => refresh('wendle:bench')}
	/>
</Sheet>
